/** Days and times of the shop's clock as minutes since 1 January 1970, and back. */
import { dayNumber, dayOfNumber } from '../model/days.ts'

export const DAY_MIN = 1440
const HOUR_MIN = 60

const two = (value: number): string => String(value).padStart(2, '0')

/** @example clockMin('07:30') // 450 */
export function clockMin(clock: string): number {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number)
  return hours * HOUR_MIN + minutes
}
/** @example minuteOf('1970-01-02T00:01') // 1441 */
export const minuteOf = (time: string): number =>
  dayNumber(time.slice(0, 10)) * DAY_MIN + clockMin(time.slice(11))

/** @example dayOf(1441) // '1970-01-02' */
export const dayOf = (minute: number): string => dayOfNumber(Math.floor(minute / DAY_MIN))
/** @example timeOf(1441) // '1970-01-02T00:01' */
export function timeOf(minute: number): string {
  const whole = Math.round(minute)
  const ofDay = whole - Math.floor(whole / DAY_MIN) * DAY_MIN
  return `${dayOf(whole)}T${two(Math.floor(ofDay / HOUR_MIN))}:${two(ofDay % HOUR_MIN)}`
}
/** Late from the end of the day on. */
export const endOfDay = (day: string): number => (dayNumber(day) + 1) * DAY_MIN
