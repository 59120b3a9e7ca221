/** Days of the Gregorian calendar as numbers, so that they can be counted without a clock or a zone. */

const DAYS_PER_ERA = 146_097
const YEARS_PER_ERA = 400
/** From 1 March of the year 0 to 1 January 1970. */
const TO_1970 = 719_468

/**
 * @param day ISO 8601, `2027-03-31`
 * @returns days since 1 January 1970
 */
export function dayNumber(day: string): number {
  const [y = 0, m = 1, d = 1] = day.split('-').map(Number)
  // A year begins in March: the leap day is its last.
  const year = m <= 2 ? y - 1 : y
  const era = Math.floor(year / YEARS_PER_ERA)
  const ofEra = year - era * YEARS_PER_ERA
  const ofYear = Math.floor((153 * ((m + 9) % 12) + 2) / 5) + d - 1
  const days = ofEra * 365 + Math.floor(ofEra / 4) - Math.floor(ofEra / 100) + ofYear
  return era * DAYS_PER_ERA + days - TO_1970
}

/** @returns the day of that number, ISO 8601 */
export function dayOfNumber(number: number): string {
  const shifted = number + TO_1970
  const era = Math.floor(shifted / DAYS_PER_ERA)
  const days = shifted - era * DAYS_PER_ERA
  const ofEra = Math.floor(
    (days - Math.floor(days / 1460) + Math.floor(days / 36_524) - Math.floor(days / 146_096)) / 365,
  )
  const ofYear = days - (365 * ofEra + Math.floor(ofEra / 4) - Math.floor(ofEra / 100))
  const march = Math.floor((5 * ofYear + 2) / 153)
  const d = ofYear - Math.floor((153 * march + 2) / 5) + 1
  const m = march < 10 ? march + 3 : march - 9
  const y = ofEra + era * YEARS_PER_ERA + (m <= 2 ? 1 : 0)
  return `${String(y).padStart(4, '0')}-${String(m).padStart(2, '0')}-${String(d).padStart(2, '0')}`
}

/** @returns so many days later; earlier where they are less than 0 */
export const daysAfter = (day: string, days: number): string => dayOfNumber(dayNumber(day) + days)
