/** A turntable and a hand: turns a minute from travel, and travel from a time. Geometry. */

/**
 * @returns turns a minute that give a travel at a diameter
 * @example turnsPerMin(300, 100) // 0.95
 */
export const turnsPerMin = (travelMmPerMin: number, diameterMm: number): number =>
  travelMmPerMin / (Math.PI * diameterMm)

/**
 * @param lengthMm that was welded while it was timed; once around is π times the diameter
 * @returns mm/min; null for no time at all
 * @example timedTravel(25.4, 5) // 305
 */
export const timedTravel = (lengthMm: number, seconds: number): number | null =>
  seconds > 0 ? (lengthMm / seconds) * 60 : null
