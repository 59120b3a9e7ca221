/** Two fields of which the one must not exceed the other: said with both figures, also while others are still missing. */
import { z } from 'zod'

interface Bounds {
  readonly least: string
  readonly most: string
  readonly unit: string
  /** Whether the two may be equal. */
  readonly mayMeet: boolean
}

const numberAt = (value: unknown, key: string): number | null => {
  const found: unknown = typeof value === 'object' && value !== null ? Reflect.get(value, key) : null
  return typeof found === 'number' ? found : null
}

/** @returns a Zod check that refuses a least above its most; a null on either side passes */
export const inOrder = ({ least, most, unit, mayMeet }: Bounds) =>
  z.refine<object>(
    (value) => {
      const [low, high] = [numberAt(value, least), numberAt(value, most)]
      return low === null || high === null || low < high || (mayMeet && low === high)
    },
    {
      path: [least],
      when: () => true,
      error: ({ input }) =>
        `is ${numberAt(input, least)} ${unit}, ${mayMeet ? 'above' : 'not below'} the greatest of ${numberAt(input, most)} ${unit}. Swap or correct them`,
    },
  )
