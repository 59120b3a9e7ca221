/** What has to be on the machine and on the bench: every place of a card, filled, or with the reason why it is empty. */
import type { Capability } from '../capability/capability.ts'
import { tensionMarkOf } from '../changeover/changeover.ts'
import type { Demand } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import type { StartingSettings } from '../fit/settings.ts'
import { isSpooled } from '../kinds/spooled.ts'
import { figure, list, type Message, message, type Param, word } from '../model/message.ts'
import { coveredClassOf } from '../reference/coveredElectrodes.ts'
import { isCo2 } from '../reference/gases.ts'
import { MATERIALS } from '../reference/materials.ts'
import { warmingOf } from '../trade/preheat.ts'
import { grooveInUse } from '../trade/rollGroove.ts'
import { thinnerFamily } from '../trade/wantedCurrent.ts'

export const CARD_PLACES = [
  'supply',
  'panel',
  'gun',
  'wire',
  'rolls',
  'inlet',
  'liner',
  'tip',
  'nozzle',
  'o-rings',
  'brake',
  'tension',
  'gas-bottle',
  'regulator',
  'tungsten',
  'grind',
  'torch-parts',
  'cup',
  'arc-start',
  'valve',
  'pedal',
  'slopes',
  'flows',
  'alternating',
  'holder',
  'electrode',
  'storage',
  'surface',
  'solvent',
  'preheat',
  'tacks',
  'clamp',
] as const
export type CardPlace = (typeof CARD_PLACES)[number]

export interface CardRow {
  readonly place: CardPlace
  readonly told: Message
  /** The shop has to record something before this place can be filled. */
  readonly isMissing: boolean
}

const row = (place: CardPlace, code: string, params: Readonly<Record<string, Param>> = {}): CardRow => ({
  place,
  told: message(code, params),
  isMissing: false,
})
const missing = (place: CardPlace, code: string, params: Readonly<Record<string, Param>> = {}): CardRow => ({
  place,
  told: message(code, params),
  isMissing: true,
})

function supplyRows({ circuit, powerSource, powerFeed, settings }: Capability): readonly CardRow[] {
  if (powerFeed?.kind === 'engine') return [row('supply', 'engine', { source: powerSource?.name ?? '' })]
  if (!circuit) return [missing('supply', 'no-circuit')]
  const set = settings.linksSetV
  const change = powerSource?.supplyChange ?? null
  const params = {
    circuit: circuit.name,
    volts: figure(circuit.voltageV, 'V'),
    set: figure(set ?? circuit.voltageV, 'V'),
  }
  const code = change === 'links' ? 'supply-links' : change === 'plug' ? 'supply-plug' : 'supply'
  return [row('supply', code, params)]
}

/** Which side a groove's mark faces differs by drive: the size that is read is usually the one in use. */
function feedRows(capability: Capability): readonly CardRow[] {
  const { fedWire, wire, roll, liner, tip, nozzle, gun, feedPath, process } = capability
  const isSpoolGun = gun?.drive === 'spool'
  const mark = tensionMarkOf(capability)
  const rollRow = isSpoolGun
    ? row('rolls', 'rolls-in-gun')
    : !roll
      ? missing('rolls', 'no-roll')
      : fedWire
        ? row('rolls', 'rolls', {
            groove: word('groove', grooveInUse(roll, fedWire).form),
            size: figure(fedWire.diameterMm, 'mm diameter'),
            roll: roll.name,
          })
        : missing('rolls', 'no-wire')
  const wireRow =
    wire === null || !isSpooled(wire)
      ? missing('wire', 'no-wire')
      : row('wire', isSpoolGun ? 'wire-in-gun' : 'wire', { wire: wire.name })
  return [
    wireRow,
    rollRow,
    isSpoolGun ? row('inlet', 'inlet-none') : row('inlet', 'inlet'),
    isSpoolGun
      ? row('liner', 'liner-short')
      : liner
        ? row('liner', 'liner', { liner: liner.name })
        : missing('liner', 'no-liner'),
    tip ? row('tip', 'tip', { tip: tip.name }) : missing('tip', 'no-tip'),
    nozzle ? nozzleRow(nozzle, process.shielded) : missing('nozzle', 'no-nozzle'),
    process.shielded ? row('o-rings', 'o-rings') : row('o-rings', 'o-rings-no-gas'),
    row('brake', fedWire?.metal === 'aluminium' ? 'brake-light' : 'brake'),
    !feedPath
      ? missing('tension', 'no-feeder')
      : // Soft wire flattens at the mark of steel.
        fedWire?.metal === 'aluminium'
        ? row('tension', 'tension-light')
        : mark === null
          ? row('tension', 'tension')
          : row('tension', 'tension-mark', { mark }),
    gunRow(capability),
  ]
}

function nozzleRow(
  { name, tipRecessMm, gasless }: NonNullable<Capability['nozzle']>,
  isShielded: boolean,
): CardRow {
  if (gasless || !isShielded) return row('nozzle', 'nozzle-gasless', { nozzle: name })
  if (tipRecessMm === null || tipRecessMm === 0) return row('nozzle', 'nozzle-flush', { nozzle: name })
  return row('nozzle', tipRecessMm > 0 ? 'nozzle-recessed' : 'nozzle-out', {
    nozzle: name,
    by: figure(Math.abs(tipRecessMm), 'mm'),
  })
}

function gunRow({ gun }: Capability): CardRow {
  if (!gun) return missing('gun', 'no-gun')
  const code = gun.drive === 'spool' ? 'gun-spool' : gun.drive === 'push-pull' ? 'gun-push-pull' : 'gun'
  return row('gun', code, { gun: gun.name })
}

function gasRows({ process, gas, flowMeter, flowLPerMin }: Capability): readonly CardRow[] {
  if (!process.shielded) return [row('gas-bottle', 'no-gas-needed'), row('regulator', 'no-meter-needed')]
  return [
    gas
      ? row('gas-bottle', isCo2(gas) ? 'bottle-co2' : 'bottle', { gas: gas.name })
      : missing('gas-bottle', 'no-gas-chosen'),
    flowMeter
      ? row('regulator', 'meter', { meter: flowMeter.name, flow: figure(flowLPerMin, 'L/min') })
      : missing('regulator', 'no-meter'),
  ]
}

function tungstenRows(capability: Capability, settings: StartingSettings): readonly CardRow[] {
  const { tungsten, collet, colletBody, cup, backCap, gun, powerSource, wire, process } = capability
  const parts = [collet, colletBody, backCap].filter((part) => part !== null)
  const startMethod = capability.settings.start ?? powerSource?.start[0] ?? null
  const { slopes, startAmpsA, endAmpsA, alternating, preFlowS, postFlowS } = settings
  return [
    gunRow(capability),
    tungsten ? row('tungsten', 'tungsten', { tungsten: tungsten.name }) : missing('tungsten', 'no-tungsten'),
    row('grind', process.id === 'gtaw-ac' ? 'grind-ac' : 'grind-dc'),
    parts.length === 3
      ? row('torch-parts', 'torch-parts', { parts: list(parts.map(({ name }) => name)) })
      : missing('torch-parts', 'no-torch-parts'),
    cup ? row('cup', 'cup', { cup: cup.name }) : missing('cup', 'no-cup'),
    wire ? row('wire', 'rod', { wire: wire.name }) : row('wire', 'no-rod'),
    startMethod
      ? row('arc-start', 'arc-start', { start: word('start', startMethod) })
      : missing('arc-start', 'no-arc-start'),
    gun?.valve === true && powerSource?.gasValve !== true
      ? row('valve', 'valve-hand')
      : powerSource?.gasValve === true
        ? row('valve', 'valve-machine')
        : missing('valve', 'no-valve'),
    row('pedal', 'pedal'),
    row(
      'slopes',
      slopes ? 'slopes' : 'no-slopes',
      slopes
        ? {
            up: figure(slopes.upS, 's'),
            down: figure(slopes.downS, 's'),
            start: figure(startAmpsA ?? settings.currentA.value, 'A'),
            end: figure(endAmpsA ?? settings.currentA.low, 'A'),
          }
        : {},
    ),
    preFlowS === null || postFlowS === null
      ? missing('flows', 'no-gas-chosen')
      : row('flows', 'flows', { pre: figure(preFlowS, 's'), post: figure(postFlowS, 's') }),
    alternating && (alternating.positivePct !== null || alternating.hz !== null)
      ? row(
          'alternating',
          alternating.hz === null
            ? 'balance'
            : alternating.positivePct === null
              ? 'frequency'
              : 'alternating',
          {
            share: figure(alternating.positivePct ?? 0, '%'),
            hz: figure(alternating.hz ?? 0, 'Hz'),
          },
        )
      : row('alternating', process.id === 'gtaw-ac' ? 'ac-fixed' : 'dc'),
  ]
}

function stickRows({ gun, wire }: Capability): readonly CardRow[] {
  const covered = wire ? coveredClassOf(wire.classification) : null
  return [
    gun ? row('holder', 'holder', { gun: gun.name }) : missing('holder', 'no-gun'),
    wire ? row('electrode', 'electrode', { wire: wire.name }) : missing('electrode', 'no-wire'),
    covered?.isLowHydrogen === true ? row('storage', 'storage-low-hydrogen') : row('storage', 'storage'),
  ]
}

/** What is done to the parts before, the same for every process but for what it forgives. */
function preparationRows(
  { process, reckoner }: Capability,
  { job, assumptions }: Demand,
  weld: WeldFigures,
): readonly CardRow[] {
  const { joint } = weld
  const isAluminium = thinnerFamily(joint) === 'aluminium'
  const tacks = Math.max(2, Math.ceil(weld.runMm / assumptions.tackEveryMm) + 1)
  return [
    row('surface', 'surface', { how: MATERIALS[joint.materialA].preparation }),
    row('solvent', isAluminium || process.electrode === 'tungsten' ? 'solvent' : 'solvent-if-oily'),
    job.preheatC === null
      ? row('preheat', 'no-preheat')
      : row('preheat', 'preheat', {
          to: figure(job.preheatC, '°C'),
          time: figure(warmingOf(joint, weld.runMm, thinnerFamily(joint), job.preheatC, reckoner).timeS, 's'),
        }),
    row('tacks', 'tacks', { count: figure(tacks, '') }),
    row('clamp', 'clamp'),
  ]
}

/**
 * @returns the rows of a card in the order of the machine: supply, feed path or torch, gas, then the parts
 * @example rowsOfCard(capability, demand, weld, settings).find(({ place }) => place === 'tension')?.told.code // 'tension-mark'
 */
export function rowsOfCard(
  capability: Capability,
  demand: Demand,
  weld: WeldFigures,
  settings: StartingSettings,
): readonly CardRow[] {
  const { process } = capability
  const panel =
    settings.program === 'covered' ? 'panel-program' : process.feedsWire ? 'panel-by-hand' : 'panel'
  const middle = process.feedsWire
    ? feedRows(capability)
    : process.electrode === 'tungsten'
      ? tungstenRows(capability, settings)
      : stickRows(capability)
  return [
    ...supplyRows(capability),
    row('panel', panel, { process: word('process', process.id) }),
    ...middle,
    ...gasRows(capability),
    ...preparationRows(capability, demand, weld),
  ]
}
