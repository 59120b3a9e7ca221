/** Where what is missing is written down: the thing that has the field, the set-up, or the job. No unknown is a dead end. */
import type { Slot } from '../kinds/slots.ts'
import type { Param } from '../model/message.ts'
import type { Assessment } from './criterion.ts'

export interface MissingField {
  /** A place of the set-up, whose thing has the field; `feed` is whatever pushes the wire. */
  readonly at: Slot | 'feed' | 'set-up' | 'job'
  /** The field by its label; null where the choice itself is missing. */
  readonly field: string | null
}

const of = (at: MissingField['at'], field: string | null = null): MissingField => ({ at, field })
const CHOICE = of('set-up')

/** By what is missing. */
const SETTLED_AT: Readonly<Record<string, MissingField>> = {
  'power-source': CHOICE,
  gun: CHOICE,
  wire: CHOICE,
  rod: CHOICE,
  covered: CHOICE,
  gas: CHOICE,
  tungsten: CHOICE,
  'not-chosen': CHOICE,
  supply: CHOICE,
  'no-circuit': CHOICE,
  'other-supply': CHOICE,
  'wire-for-arc': CHOICE,
  'gas-for-rating': CHOICE,
  'other-kind': CHOICE,
  'wire-is-rod': CHOICE,
  feeder: CHOICE,
  'not-rated': of('powerSource'),
  'plate-fault': of('powerSource'),
  'open-circuit': of('powerSource', 'Open-circuit voltage'),
  start: of('powerSource', 'Arc start'),
  'gas-valve': of('powerSource', 'Switches the gas'),
  'water-cooler': of('powerSource', 'Water cooler'),
  'machine-connector': of('powerSource', 'Torch connector'),
  'feed-max': of('feed', 'Maximum wire feed speed'),
  'wire-sizes': of('feed', 'Thinnest wire'),
  spools: of('feed', 'Spools'),
  'roll-drive': of('feed', 'Drive roll type'),
  'gun-connector': of('gun', 'Connector'),
  'gun-rating': of('gun'),
  'class-of-gun': of('gun', 'Parts class'),
  'drive-of-roll': of('roll', 'Drive roll type'),
  spool: of('wire', 'Spool'),
  'wire-range': of('wire', 'Minimum current'),
  'gas-of-wire': of('wire', 'Made for gas'),
  'tungsten-range': of('tungsten', 'Diameter'),
  'tungsten-too-short': of('tungsten', 'Length'),
  ampacity: of('circuit', 'Cable size, as printed'),
  outlet: of('circuit', 'Outlet'),
  'inrush-not-given': of('powerSource', 'Inrush current'),
  cord: of('set-up', 'Extension cord'),
  leads: of('set-up', 'Welding leads'),
  wind: of('job', 'Wind'),
  'wire-stock': of('wire', 'Stock on hand'),
  'gas-left': of('gas', 'Gas in the cylinder'),
  'tungsten-stock': of('tungsten', 'Stock on hand'),
  hours: of('job', 'Planned hours'),
}

/** Of parts that screw into a gun the place is the criterion’s. */
const PART_OF: Readonly<Record<string, Slot>> = {
  'tip-class': 'tip',
  'nozzle-class': 'nozzle',
  'collet-class': 'collet',
  'collet-body-class': 'colletBody',
  'cup-class': 'cup',
  'back-cap-class': 'backCap',
}

/** A gun plugs into what pushes its wire, a torch or a holder into the machine itself. */
const isFor = (holder: Param | undefined, code: string): boolean =>
  typeof holder === 'object' && 'word' in holder && holder.code === code

/**
 * @returns where to write what is missing; null where nothing is
 * @example missingFieldOf({ criterion: 'gas-use', code: 'gas-left', params: {} }) // { at: 'gas', field: 'Gas in the cylinder' }
 */
export function missingFieldOf({
  criterion,
  code,
  params,
}: Pick<Assessment, 'criterion' | 'code' | 'params'>): MissingField | null {
  if (code === 'machine-connector' && isFor(params['holder'], 'gun')) return of('feed', 'Gun connector')
  if (code === 'class-of-part') return of(PART_OF[criterion] ?? 'set-up', 'Parts class')
  return SETTLED_AT[code] ?? null
}
