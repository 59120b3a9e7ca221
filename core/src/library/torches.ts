/** TIG torches by size class, and the two heads whose parts they share. */
import type { Gun } from '../kinds/equipment.ts'
import { commonPractice } from '../basis/source.ts'
import { idOf, type LibraryEntry } from './entry.ts'

export const HEADS = { small: 'small head', large: 'large head' } as const

interface TorchClass {
  readonly name: string
  readonly cooling: Gun['cooling']
  readonly head: keyof typeof HEADS
  readonly dcA: number
  readonly acA: number
  readonly dutyPct: number
  readonly massG: number
}

const SOURCE = commonPractice(
  'size classes of TIG torches, common practice; rated by IEC 60974-7, from memory',
)
const LENGTH_MM = 4000

const CLASSES: readonly TorchClass[] = [
  { name: 'Air 125 A class', cooling: 'air', head: 'small', dcA: 125, acA: 90, dutyPct: 60, massG: 1300 },
  { name: 'Air 150 A class', cooling: 'air', head: 'large', dcA: 150, acA: 110, dutyPct: 60, massG: 1700 },
  { name: 'Air 200 A class', cooling: 'air', head: 'large', dcA: 200, acA: 150, dutyPct: 60, massG: 2300 },
  {
    name: 'Water 250 A class',
    cooling: 'water',
    head: 'small',
    dcA: 250,
    acA: 180,
    dutyPct: 100,
    massG: 1500,
  },
  {
    name: 'Water 350 A class',
    cooling: 'water',
    head: 'large',
    dcA: 350,
    acA: 250,
    dutyPct: 100,
    massG: 1900,
  },
]

export const LIBRARY_TORCHES: readonly LibraryEntry<'guns'>[] = CLASSES.map(
  ({ name, cooling, head, dcA, acA, dutyPct, massG }) => ({
    path: 'guns',
    record: {
      id: idOf('lib torch', name),
      name: `${name} torch`,
      held: 'candidate',
      price: null,
      keptAt: null,
      kind: 'torch',
      drive: 'none',
      cooling,
      lengthMm: LENGTH_MM,
      massG,
      neck: 'curved',
      ratings: [
        { gas: 'argon', wave: 'dc', currentA: dcA, dutyPct },
        { gas: 'argon', wave: 'ac', currentA: acA, dutyPct },
      ],
      connector: null,
      partsClass: HEADS[head],
      feeder: null,
      valve: null,
    },
    summary: `${HEADS[head]}, ${dcA} A DC, ${acA} A AC at ${dutyPct} %`,
    source: SOURCE,
  }),
)
