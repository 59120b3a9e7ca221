/** Two fields of which the one must not exceed the other: said with both figures. */
import type { z } from 'zod'

interface Bounds {
  readonly least: string
  readonly most: string
  readonly unit: string
  /** Whether the two may be equal. */
  readonly mayMeet: boolean
}

/** @returns a Zod check that refuses a least above its most; a null on either side passes */
export const inOrder =
  <T extends object>({ least, most, unit, mayMeet }: Bounds) =>
  (ctx: z.core.ParsePayload<T>): void => {
    const low: unknown = Reflect.get(ctx.value, least)
    const high: unknown = Reflect.get(ctx.value, most)
    if (typeof low !== 'number' || typeof high !== 'number') return
    if (low < high || (mayMeet && low === high)) return
    ctx.issues.push({
      code: 'custom',
      path: [least],
      input: low,
      message: `is ${low} ${unit}, ${mayMeet ? 'above' : 'not below'} the greatest of ${high} ${unit}; swap or correct them`,
    })
  }
