/** Working hours of one person: from a minute on the wall clock and minutes of work to the minute at which the work ends. */
import type { Interval } from './problem.ts'
import { DAY_MIN } from './shopTime.ts'

/** After the last of his hours nobody works: a task that needs more ends never. */
const NEVER = Infinity

export class Hours {
  readonly #starts: Float64Array
  readonly #ends: Float64Array
  /** Minutes of work before each interval. */
  readonly #before: Float64Array
  readonly #count: number
  readonly #from: number
  /** By day, the first interval that ends in it or later: a search asks a million times. */
  readonly #firstOfDay: Int32Array

  /** @param works in order, apart from each other */
  constructor(works: readonly Interval[]) {
    this.#count = works.length
    this.#starts = Float64Array.from(works, ({ startMin }) => startMin)
    this.#ends = Float64Array.from(works, ({ endMin }) => endMin)
    this.#before = new Float64Array(works.length + 1)
    works.forEach(({ startMin, endMin }, index) => {
      this.#before[index + 1] = (this.#before[index] as number) + endMin - startMin
    })
    this.#from = works[0]?.startMin ?? 0
    const days = Math.floor(((works.at(-1)?.endMin ?? this.#from) - this.#from) / DAY_MIN) + 1
    let at = 0
    this.#firstOfDay = Int32Array.from({ length: days }, (_, day) => {
      while (at < works.length && (this.#ends[at] as number) <= this.#from + day * DAY_MIN) at += 1
      return at
    })
  }

  /** The first interval that ends after this minute. */
  #at(minute: number): number {
    const day = Math.floor((minute - this.#from) / DAY_MIN)
    let at = day < 0 ? 0 : (this.#firstOfDay[Math.min(day, this.#firstOfDay.length - 1)] ?? 0)
    while (at < this.#count && (this.#ends[at] as number) <= minute) at += 1
    return at
  }

  /** @returns the first minute of work at or after this one; Infinity after the last */
  next(minute: number): number {
    const at = this.#at(minute)
    return at === this.#count ? NEVER : Math.max(minute, this.#starts[at] as number)
  }

  /** @returns minutes of work before this minute */
  worked(minute: number): number {
    const at = this.#at(minute)
    if (at === this.#count) return this.#before[at] as number
    return (this.#before[at] as number) + Math.max(0, minute - (this.#starts[at] as number))
  }

  /**
   * @param startMin a minute of work
   * @returns when so many minutes of work from there are done, over nights and breaks; Infinity where his hours end before
   */
  end(startMin: number, minutes: number): number {
    let at = this.#at(startMin)
    if (at === this.#count) return NEVER
    const inFirst = (this.#ends[at] as number) - Math.max(startMin, this.#starts[at] as number)
    if (minutes <= inFirst) return startMin + minutes
    let left = minutes - inFirst
    for (at += 1; at < this.#count; at += 1) {
      const long = (this.#ends[at] as number) - (this.#starts[at] as number)
      if (left <= long) return (this.#starts[at] as number) + left
      left -= long
    }
    return NEVER
  }
}

const known = new WeakMap<readonly Interval[], Hours>()
/** @returns the same for the same list: a plan is placed again and again by the same people */
export function hoursOf(works: readonly Interval[]): Hours {
  let hours = known.get(works)
  if (!hours) known.set(works, (hours = new Hours(works)))
  return hours
}
