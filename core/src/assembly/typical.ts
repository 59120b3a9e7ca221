/** What is usual where nobody has looked yet: the same field of the nearest class, or of what it plugs into. */
import type { Circuit, Feeder, Gun, Part, PowerSource, Wire } from '../kinds/equipment.ts'
import type { RecordAt } from '../kinds/index.ts'
import { valueAt } from '../model/valueAt.ts'
import type { ProcessFamily } from '../model/process.ts'
import type { Shop } from '../kinds/shop.ts'
import { ruleBookOf } from '../supply/index.ts'
import type { LibraryEntry, LibraryPath } from '../library/entry.ts'
import { isSoldTo, LIBRARY } from '../library/index.ts'

/** A record of the set-up that lacks a figure, and what stands beside it there. */
export interface Lacking {
  readonly path: LibraryPath | 'circuits'
  readonly record: Circuit | Feeder | Gun | Part | PowerSource | Wire
  /** Where in the record the figure is, such as `['feeder', 'gunConnector']`. */
  readonly steps: readonly (string | number)[]
  readonly family: ProcessFamily
  readonly powerSource: PowerSource | null
  readonly gun: Gun | null
}

/** Of the library what this shop can buy. */
const soldTo = <P extends LibraryPath>(path: P, shop: Pick<Shop, 'unitSystem'>): readonly RecordAt[P][] =>
  LIBRARY.filter((entry): entry is LibraryEntry<P> => entry.path === path && isSoldTo(entry, shop)).map(
    ({ record }) => record,
  )
const nearest = <T>(records: readonly T[], distance: (record: T) => number): T | null => {
  const [first] = records
    .map((record) => ({ record, far: distance(record) }))
    .filter(({ far }) => Number.isFinite(far))
    .toSorted((a, b) => a.far - b.far)
  return first?.record ?? null
}
const apart = (one: number, other: number): number => Math.abs(Math.log(one / other))

const mostA = (source: PowerSource, family: ProcessFamily): number =>
  Math.max(
    0,
    ...source.processes
      .filter((process) => process.family === family)
      .flatMap(({ supplies }) => supplies.map(({ outputMaxA }) => outputMaxA)),
  )
/** The class whose process puts out about as much. */
const classOf = ({ family }: Lacking, source: PowerSource, shop: Shop): PowerSource | null =>
  nearest(soldTo('power-sources', shop), (one) => apart(mostA(one, family), mostA(source, family)))
const gunRatingA = ({ ratings }: Gun): number => Math.max(1, ...ratings.map(({ currentA }) => currentA))

/** What a connector or a parts class has to go with, where that is known. */
function besideOf({ path, steps, powerSource, gun }: Lacking): unknown {
  const key = steps.at(-1)
  if (path === 'guns' && key === 'connector')
    return gun?.kind === 'gun' ? powerSource?.feeder?.gunConnector : powerSource?.torchConnector
  if (path === 'parts' && key === 'partsClass') return gun?.partsClass
  if (path === 'parts' && key === 'rollSystem') return powerSource?.feeder?.rollSystem
  return undefined
}

function ofClass(lacking: Lacking, shop: Shop): unknown {
  const { path, record, steps, powerSource } = lacking
  switch (path) {
    case 'power-sources': {
      const alike = classOf(lacking, record as PowerSource, shop)
      // A plate's columns are found by their place: the class has one for the process at least.
      if (steps[0] !== 'processes') return valueAt(alike, steps)
      const [supply] = alike?.processes.find(({ family }) => family === lacking.family)?.supplies ?? []
      return valueAt(supply, steps.slice(-1))
    }
    case 'feeders':
      return valueAt(powerSource && classOf(lacking, powerSource, shop)?.feeder, steps)
    case 'guns': {
      const own = record as Gun
      const alike = nearest(
        soldTo('guns', shop).filter(
          ({ kind, drive, cooling }) => kind === own.kind && drive === own.drive && cooling === own.cooling,
        ),
        (one) => apart(gunRatingA(one), gunRatingA(own)),
      )
      return valueAt(alike, steps)
    }
    case 'wires': {
      const own = record as Wire
      const alike = nearest(
        soldTo('wires', shop).filter(
          ({ form, classification }) => form === own.form && classification === own.classification,
        ),
        (one) => apart(one.diameterMm, own.diameterMm),
      )
      return valueAt(alike, steps)
    }
    case 'circuits': {
      const own = record as Circuit
      const alike = nearest(
        ruleBookOf(shop).usualCircuits.filter(({ voltageV }) => voltageV === own.voltageV),
        (one) => apart(one.breakerA, own.breakerA),
      )
      return valueAt(alike, steps)
    }
    default:
      return undefined
  }
}

/**
 * @returns the value that is usual for such a thing; null where there is no usual one: it has to be looked up
 * @example typicalOf({ path: 'guns', record: gun, steps: ['connector'], … }, shop) // 'pin-large'
 */
export function typicalOf(lacking: Lacking, shop: Shop): unknown {
  const value = besideOf(lacking) ?? ofClass(lacking, shop) ?? null
  return Array.isArray(value) && value.length === 0 ? null : value
}
