/** Looks at the server one after the other: of two at once neither would know what the other was told. */

/**
 * @param look never rejects: what it meets it keeps to itself
 * @returns begins a look; while one is under way, one more follows it, however often this is called
 */
export function inTurn(look: () => Promise<void>): () => void {
  let isUnderWay = false
  let isWanted = false
  async function go(): Promise<void> {
    isUnderWay = true
    while (isWanted) {
      isWanted = false
      await look()
    }
    isUnderWay = false
  }
  return () => {
    isWanted = true
    if (!isUnderWay) void go()
  }
}
