/** The large figures of a card: what is set, what to expect, each with its band and where to turn it. */
import type { Capability } from '../capability/capability.ts'
import type { StartingSettings } from '../fit/settings.ts'
import { figure, type Message, message, type Param, word } from '../model/message.ts'
import type { DialSetting } from '../trade/dial.ts'
import { turnsPerMin } from '../trade/turntable.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'

export const CARD_FIGURES = [
  'volts',
  'feed',
  'amps',
  'gas',
  'tip-to-work',
  'stick-out',
  'arc-length',
  'post-flow',
  'travel',
] as const
export type CardFigureId = (typeof CARD_FIGURES)[number]

export interface CardFigure {
  readonly id: CardFigureId
  readonly value: Message
  /** How far it may lie beside, where to turn it, or what goes with it. */
  readonly notes: readonly Message[]
}

const S_PER_MIN = 60
/** As the fit shows it: no more figures than a hand can set. */
const rounded = (number: number, digits: number): number => Number(number.toPrecision(digits))
const feedOf = (mmPerMin: number): number => rounded(mmPerMin, mmPerMin >= 10_000 ? 3 : 2)
const of = (id: CardFigureId, value: Message, ...notes: readonly (Message | null)[]): CardFigure => ({
  id,
  value,
  notes: notes.filter((note) => note !== null),
})
const band = ({ low, high }: { readonly low: number; readonly high: number }, unit: string): Message =>
  message('band', { low: figure(low, unit), high: figure(high, unit) })
const value = (param: Param): Message => message('value', { value: param })
const dialNote = (dial: DialSetting | null, isTap: boolean): Message | null =>
  dial && message(isTap ? 'tap' : 'dial', { mark: dial.mark })

/** A tap is off by some volts, and the wire makes up for it. */
function tapNote({ tap }: StartingSettings): Message | null {
  if (!tap || Math.abs(tap.offV) < 0.05) return null
  const params = {
    off: figure(Math.abs(tap.offV), 'V'),
    side: word('tapOff', tap.offV > 0 ? 'hot' : 'cold'),
    by: figure(Math.abs(Math.round(tap.feedByPct)), '%'),
  }
  return message(tap.feedByPct < 0 ? 'tap-off-less' : 'tap-off-more', params)
}

/** What holds a metal in the hand: the length of one weld in its time. */
function travelFigure({ travelMmPerMin }: StartingSettings, { joint, runMm }: WeldFigures): CardFigure {
  if (travelMmPerMin === null || travelMmPerMin <= 0) return of('travel', message('no-travel'))
  const lengthMm = Math.min(joint.segmentMm ?? runMm, runMm)
  const seconds = (lengthMm / travelMmPerMin) * S_PER_MIN
  return of(
    'travel',
    value(figure(rounded(travelMmPerMin, 2), 'mm/min')),
    joint.around && joint.diameterMm !== null
      ? message('turntable', {
          rpm: figure(Number(turnsPerMin(travelMmPerMin, joint.diameterMm).toPrecision(2)), 'rpm'),
        })
      : null,
    message('travel-over', { length: figure(lengthMm, 'mm length'), time: figure(Math.round(seconds), 's') }),
  )
}

/**
 * @returns the figures of a weld in the order in which they are set
 * @example figuresOf(capability, weld, settings).map(({ id }) => id) // ['volts', 'feed', 'amps', 'gas', 'tip-to-work', 'travel']
 */
export function figuresOf(
  capability: Capability,
  weld: WeldFigures,
  settings: StartingSettings,
): readonly CardFigure[] {
  const { process, powerSource, gas, wire } = capability
  const { voltsV, feedMmPerMin, currentA, flowLPerMin, tipToWorkMm, voltsDial, feedDial, postFlowS, arcV } =
    settings
  const amps = of(
    'amps',
    value(figure(Math.round(currentA.value), 'A')),
    band({ low: Math.round(currentA.low), high: Math.round(currentA.high) }, 'A'),
    process.feedsWire
      ? message('amps-expected')
      : settings.range === null
        ? null
        : message('range', { mark: settings.range }),
  )
  const gasFigure = !process.shielded
    ? of('gas', message('no-gas'), message('no-gas-why'))
    : flowLPerMin === null
      ? of('gas', message('gas-missing'))
      : of(
          'gas',
          value(figure(rounded(flowLPerMin, 3), 'L/min')),
          gas ? message('plain', { text: gas.name }) : message('gas-missing'),
        )
  const travel = travelFigure(settings, weld)
  if (process.feedsWire)
    return [
      voltsV
        ? of(
            'volts',
            value(figure(rounded(voltsV.value, 3), 'V')),
            band(voltsV, 'V'),
            dialNote(voltsDial, (powerSource?.voltageSteps ?? null) !== null),
            tapNote(settings),
          )
        : of('volts', message('not-set')),
      feedMmPerMin
        ? of(
            'feed',
            value(figure(feedOf(feedMmPerMin.value), 'mm/min')),
            band({ low: feedOf(feedMmPerMin.low), high: feedOf(feedMmPerMin.high) }, 'mm/min'),
            dialNote(feedDial, false),
          )
        : of('feed', message('wire-missing')),
      amps,
      gasFigure,
      tipToWorkMm
        ? of(
            'tip-to-work',
            message('band', { low: figure(tipToWorkMm.low, 'mm'), high: figure(tipToWorkMm.high, 'mm') }),
          )
        : of('tip-to-work', message('not-set')),
      travel,
    ]
  if (process.electrode === 'tungsten')
    return [
      amps,
      gasFigure,
      postFlowS === null
        ? of('post-flow', message('not-set'))
        : of('post-flow', value(figure(postFlowS, 's'))),
      stickOutFigure(capability),
      of(
        'arc-length',
        value(figure(ARC_LENGTH_MM, 'mm diameter')),
        message('arc-volts', { volts: figure(arcV, 'V') }),
      ),
      travel,
    ]
  return [
    amps,
    of('volts', value(figure(arcV, 'V')), message('arc-by-length')),
    of(
      'arc-length',
      wire ? value(figure(wire.diameterMm, 'mm diameter')) : message('wire-missing'),
      message('as-the-core'),
    ),
    gasFigure,
    travel,
  ]
}

/** By TIG an arc of 1/8 in at most (common practice, no source); half of that is held. */
const ARC_LENGTH_MM = 2.38125
const MM_PER_CUP = 25.4 / 16

/** Without a lens no further out than the cup is wide inside; with one half as far again (common practice, no source). */
function stickOutFigure({ settings, cup, colletBody }: Capability): CardFigure {
  const set = settings.stickOutMm
  if (cup === null)
    return set === null ? of('stick-out', message('cup-missing')) : of('stick-out', value(figure(set, 'mm')))
  const most = cup.number * MM_PER_CUP * (colletBody?.gasLens === true ? 1.5 : 1)
  const start = set ?? Math.min(most, 6.35)
  return of('stick-out', value(figure(start, 'mm')), message('at-most', { most: figure(most, 'mm') }))
}
