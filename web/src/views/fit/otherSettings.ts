/** Words of all other settings, and of what comes of them: what the panel shows that is opened now and then. */
import type { OutcomeFigure, StartFigure, StartingSettings } from '@brannik/core'
import { POLARITY_SHORT, type SettingPrinters } from './settingWords.ts'

const TRANSFER_WORDS = {
  'short-circuit': 'short-circuit',
  spray: 'spray',
  'pulsed-spray': 'pulsed spray',
  droplets: 'droplets under slag',
} as const
const INDUCTANCE_WORDS = {
  low: 'low: stiff, freezes fast',
  middle: 'middle',
  high: 'high: soft, wets',
} as const

const ARC_FORCE_WORDS = {
  low: 'low: a soft arc',
  middle: 'middle',
  high: 'high: digs, and does not freeze',
} as const

export const OUTCOME_LABELS: Readonly<Record<OutcomeFigure, string>> = {
  arc: 'Arc',
  leg: 'Leg',
  filled: 'Metal, of the planned size',
  deposition: 'Deposition',
  heat: 'Heat input',
  cooling: 'Cools from 800 to 500 °C in',
  preheat: 'Preheat for this heat',
  carbon: 'Carbon equivalent CE',
  work: 'Work',
  cost: 'Cost',
}

/** From here on the arc of a thin part is narrow: the other school runs it wide (common practice, no source). */
const NARROW_HZ = 120
/** A slow pulse is followed by the hand: told in seconds too. */
const SLOW_HZ = 10
const inSeconds = ({ hz, sharePct }: NonNullable<StartingSettings['pulse']>, p: SettingPrinters): string =>
  hz > SLOW_HZ
    ? ''
    : `: ${p.seconds(sharePct / 100 / hz)} at the peak, ${p.seconds((1 - sharePct / 100) / hz)} at the base`

/** Printers of what stands nowhere else among the settings. */
interface Also {
  readonly money: (amount: number) => string
  /** A length that a hand measures. */
  readonly about: (mm: number) => string
}
const PROGRAM_WORDS = {
  covered: 'covers this wire and gas',
  'by-hand': 'does not list this wire and gas: set volts and wire speed by hand',
} as const
/** Within this the nearest tap is as good as any, V (common practice, no source). */
const NEAR_V = 0.3
const tapWords = ({ tap }: StartingSettings, p: SettingPrinters): string =>
  tap === null || Math.abs(tap.offV) < NEAR_V
    ? ''
    : `: ${p.volts(Math.abs(tap.offV))} V ${tap.offV > 0 ? 'hot' : 'cold'}; ${p.feed(tap.feedMmPerMin)} of wire suits it, ${p.percent(Math.abs(tap.feedByPct))} % ${tap.feedByPct > 0 ? 'more' : 'less'}`
/** Less than this nobody notices, A (common practice, no source). */
const NOTICED_A = 3
const reachWords = (
  { setBackA, reach }: StartingSettings,
  p: SettingPrinters,
  about: Also['about'],
): string => {
  if (reach)
    return `; in this corner ${about(reach.leastMm)} at least: ${p.amps(reach.lostA)} A less at this wire speed`
  return setBackA !== null && setBackA >= NOTICED_A
    ? `; a tip ${about(SET_BACK_MM)} back in the nozzle takes ${p.amps(setBackA)} A at the same wire speed`
    : ''
}
const SET_BACK_MM = 9.525
/** Schools of the flow by wire, ft³/h (common practice, no source). */
const flowSchools = ({ voltsV }: StartingSettings): string =>
  voltsV === null ? '' : '; shops run 15 ft³/h in still air, 20–25 as a rule, 30–35 in a draught'
const longFlowWords = ({ longFlow }: StartingSettings, p: SettingPrinters, money: Also['money']): string =>
  longFlow === null
    ? ''
    : ` automatic. ${p.seconds(longFlow.neededS)} is enough and saves ${p.gas(longFlow.gasL)} of gas${longFlow.cost === null ? '' : `, ${money(longFlow.cost)}`}`

/** What else is set, beside volts, wire speed, amps and travel: label and words, where there is something to set. */
export function otherSettings(
  settings: StartingSettings,
  p: SettingPrinters,
  { money, about }: Also,
): readonly { readonly label: string; readonly words: string; readonly figure?: StartFigure }[] {
  const { transfer, inductance, voltsDial, feedDial, pulse, alternating, slopes, polarity } = settings
  const { flowLPerMin, preFlowS, postFlowS, tipToWorkMm, travel, angleDeg, workAngleDeg, arcForce } = settings
  const balance = alternating?.positivePct ?? null
  const hertz = alternating?.hz ?? null
  const found = [
    transfer && { label: 'Transfer', words: TRANSFER_WORDS[transfer] },
    { label: 'Polarity', words: POLARITY_SHORT[polarity] },
    voltsDial && {
      label: 'Voltage dial',
      words: `${voltsDial.mark}${voltsDial.isBeyond ? ', the nearest that was measured' : `, gives ${p.volts(voltsDial.gives)} V`}${tapWords(settings, p)}`,
    },
    feedDial && {
      label: 'Wire speed dial',
      words: `${feedDial.mark}${feedDial.isBeyond ? ', the nearest that was measured' : ''}`,
    },
    inductance && { label: 'Inductance', words: INDUCTANCE_WORDS[inductance] },
    arcForce && { label: 'Arc force', words: ARC_FORCE_WORDS[arcForce] },
    pulse && {
      label: transfer === 'pulsed-spray' ? 'Pulse' : 'Or pulsed',
      words: `${p.amps(pulse.peakA)} A peak, ${p.amps(pulse.baseA)} A base, ${p.amps(pulse.sharePct)} % at ${p.hertz(pulse.hz)}${inSeconds(pulse, p)}`,
      figure: 'pulse' as const,
    },
    balance !== null && {
      label: 'AC balance',
      words: `${p.amps(balance)} % electrode positive, ${p.amps(100 - balance)} % where the dial counts electrode negative. More positive cleans oxide and wears the tungsten`,
    },
    hertz !== null && {
      label: 'AC frequency',
      words: `${p.hertz(hertz)}; higher narrows the arc${hertz >= NARROW_HZ ? ', and some run very thin sheet wide, at 60 Hz' : ''}`,
    },
    settings.range !== null && { label: 'Range switch', words: settings.range },
    settings.program && { label: 'Automatic program', words: PROGRAM_WORDS[settings.program] },
    settings.burnBack && {
      label: 'Burn-back',
      words: 'start in the middle. More if the wire sticks in the pool, less if it burns to the tip',
    },
    settings.runIn && {
      label: 'Run-in',
      words: 'start at half the wire speed. Faster for aluminium, slower where the wire stubs',
    },
    settings.startAmpsA !== null && { label: 'Start current', words: `${p.amps(settings.startAmpsA)} A` },
    settings.endAmpsA !== null && {
      label: 'End current',
      words: `${p.amps(settings.endAmpsA)} A: hold it until the crater is full`,
    },
    slopes && { label: 'Up and down slope', words: `${p.seconds(slopes.upS)}, ${p.seconds(slopes.downS)}` },
    flowLPerMin !== null && {
      label: 'Gas flow',
      words: `${p.flow(flowLPerMin)}, ${p.flowOther(flowLPerMin)}${flowSchools(settings)}`,
      figure: 'flow' as const,
    },
    preFlowS !== null && { label: 'Pre-flow', words: p.seconds(preFlowS), figure: 'pre-flow' as const },
    postFlowS !== null && {
      label: 'Post-flow',
      words: `${p.seconds(postFlowS)}${longFlowWords(settings, p, money)}`,
      figure: 'post-flow' as const,
    },
    tipToWorkMm && {
      label: 'Contact tip to work',
      words: `${p.spread(tipToWorkMm, 'mm')}${reachWords(settings, p, about)}`,
    },
    settings.stepOverMm !== null && {
      label: 'Step-over',
      words: `${about(settings.stepOverMm)} from stringer to stringer, about half the width of a bead`,
    },
    settings.warmFirst && {
      label: 'Cold start',
      words:
        'Preheat the first inch to 150–200 °F (65–95 °C): a drop of water sizzles. Or start and end on a tab',
    },
    { label: travel === 'push' ? 'Push' : 'Drag', words: `${angleDeg.low}–${angleDeg.high}° from upright` },
    { label: 'Angle to the plate', words: `${workAngleDeg}°` },
  ]
  return found.filter((one) => one !== null && one !== false)
}
