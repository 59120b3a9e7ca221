/** The shortest pause that is enough, where a longer one always is too. */

/**
 * @param isEnough whether a pause of so many seconds does
 * @param longestS beyond which it is not the same spell of work, s
 * @returns s, rounded up to a whole second; null where not even the longest does
 * @example shortestPauseS((pauseS) => pauseS >= 12.3, 3600) // 13
 */
export function shortestPauseS(isEnough: (pauseS: number) => boolean, longestS: number): number | null {
  if (!isEnough(longestS)) return null
  let low = 0
  let high = longestS
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2)
    if (isEnough(middle)) high = middle
    else low = middle
  }
  return isEnough(low) ? low : high
}
