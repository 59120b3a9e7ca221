/** What a message writes as an example: as the shop itself would write it. */
import type { Notation } from '../quantity/units.ts'

interface Examples {
  readonly parts: string
  readonly leg: string
  readonly unequal: string
  readonly groove: string
  readonly pattern: string
}
const EXAMPLES: Readonly<Record<Notation['system'], Examples>> = {
  imperial: {
    parts: '3/16 to 1/4',
    leg: '3/16',
    unequal: '1/4 x 3/8',
    groove: 'gap 3/32, face 1/16, cap 1/16',
    pattern: '2-6 for 2 in of weld every 6 in',
  },
  metric: {
    parts: '5 to 6',
    leg: 'a 4 or z 6',
    unequal: '5 x 8',
    groove: 'gap 2, face 1.5, cap 1.5',
    pattern: '50-150 for 50 mm of weld every 150 mm, or 50(100)',
  },
}
export const examplesFor = ({ system }: Notation): Examples => EXAMPLES[system]
