/** How what is needed of a power source is read of its plate and of what goes with it. */
import { isRatedFor, settingsFor } from '../assembly/propose.ts'
import { offersFor } from '../assembly/offers.ts'
import { capabilityOf } from '../capability/capability.ts'
import { emptyChoice } from '../capability/slots.ts'
import type { Slot } from '../kinds/slots.ts'
import { dutyAtCurrentPct } from '../duty/curve.ts'
import { isEngineDriven } from '../kinds/engineDriven.ts'
import type { PowerSource, SupplyRating } from '../kinds/equipment.ts'
import { isCandidate } from '../model/ownership.ts'
import { PROCESS_IDS, type ProcessId } from '../model/process.ts'
import type { Requirement, RequirementKind } from '../kinds/requirementSheet.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { PROCESSES } from '../reference/processes.ts'

/** Where machines are compared. */
export interface Ground {
  readonly shop: Shop
  readonly shelf: Shelf
}

type Asked = Pick<Requirement, 'process' | 'amount' | 'atA'>

/** @returns the figure, 1 or 0 for what is there or not; null where nobody knows */
type Read = (source: PowerSource, asked: Asked, ground: Ground) => number | null

const flag = (value: boolean | null): number | null => (value === null ? null : Number(value))
const least = (values: readonly number[]): number | null => (values.length === 0 ? null : Math.min(...values))
const greatest = (values: readonly number[]): number | null =>
  values.length === 0 ? null : Math.max(...values)

const supplies = (source: PowerSource, process: ProcessId | null): readonly SupplyRating[] =>
  source.processes
    .filter(({ family }) => process === null || family === PROCESSES[process].family)
    .flatMap((one) => one.supplies)

const processesOf = (source: PowerSource, asked: ProcessId | null): readonly ProcessId[] =>
  PROCESS_IDS.filter((id) => (asked === null || id === asked) && isRatedFor(source, id))

/** What of the shelf goes into one place of a set-up with the machine. */
function going(
  slot: 'circuit' | 'gun',
  source: PowerSource,
  asked: ProcessId | null,
  { shop, shelf }: Ground,
) {
  return processesOf(source, asked).flatMap((process) => {
    const begun = capabilityOf(shop, settingsFor(process, null, source), {
      ...emptyChoice(),
      building: shelf,
      bench: shelf,
      powerSource: source,
    })
    return offersFor(slot as Slot, begun, null, shelf)
      .filter(({ verdict }) => verdict === 'fits' || verdict === 'tight')
      .map(({ item }) => item)
  })
}
const guns = (source: PowerSource, { process }: Asked, ground: Ground) =>
  going('gun', source, process, ground) as Shelf['guns']

const READ: Readonly<Record<RequirementKind, Read>> = {
  process: (source, { process }) => flag(process === null ? null : isRatedFor(source, process)),
  'lowest-current': (source, { process }) =>
    source.lowestStableA ?? least(supplies(source, process).map(({ outputMinA }) => outputMinA)),
  'highest-current': (source, { process }) =>
    greatest(supplies(source, process).map(({ outputMaxA }) => outputMaxA)),
  'duty-at-current': (source, { process, atA }) =>
    atA === null
      ? null
      : greatest(
          supplies(source, process).map(({ ratedPoints, outputMaxA }) =>
            atA > outputMaxA ? 0 : dutyAtCurrentPct(ratedPoints, atA),
          ),
        ),
  'ac-frequency': ({ acFrequency }) => acFrequency?.maxHz ?? null,
  pulse: ({ processes }) => flag(processes.some(({ pulse }) => pulse)),
  'start-high-frequency': ({ start }) => (start.length === 0 ? null : flag(start.includes('high-frequency'))),
  'start-lift': ({ start }) => (start.length === 0 ? null : flag(start.includes('lift'))),
  'input-voltage': (source, { amount }) =>
    amount === null ? null : flag(supplies(source, null).some(({ voltageV }) => voltageV === amount)),
  'runs-here': (source, { process }, ground) =>
    flag(
      isEngineDriven(source) ||
        going('circuit', source, process, ground).some((circuit) => !isCandidate(circuit)),
    ),
  'feed-speed': ({ feeder }) => feeder?.feedMaxMmPerMin ?? null,
  spool: ({ feeder }) => greatest(feeder?.spoolsMm ?? []),
  'torch-length': (source, asked, ground) =>
    greatest(guns(source, asked, ground).map(({ lengthMm }) => lengthMm)),
  'torch-weight': (source, asked, ground) =>
    least(guns(source, asked, ground).flatMap(({ massG }) => massG ?? [])),
  weight: ({ massG }) => massG,
  noise: ({ noiseDb }) => noiseDb,
  'memories-locked': ({ memoriesLocked }) => flag(memoriesLocked),
  'post-flow-by-hand': ({ postFlowByHand }) => flag(postFlowByHand),
  'service-near': ({ serviceNear }) => flag(serviceNear),
  price: ({ price }) => price,
}

/**
 * @returns what a machine has of what is needed, in the unit of its kind; 1 or 0 for what is there or not
 * @example readOf('weight', source, { process: null, amount: null, atA: null }, ground) // 18000 g
 */
export const readOf = (
  what: RequirementKind,
  source: PowerSource,
  asked: Asked,
  ground: Ground,
): number | null => READ[what](source, asked, ground)
