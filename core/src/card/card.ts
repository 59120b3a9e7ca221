/** One page for one weld at one machine: everything that is known of it, in the order in which hands do it. */
import type { Capability } from '../capability/capability.ts'
import type { Changeover } from '../changeover/changeover.ts'
import { changeoverTo } from '../changeover/toSetUp.ts'
import { type WeldClass, weldClassOf } from '../dialin/causes.ts'
import { isConsequence } from '../criteria/chosen.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { fillerOfJobG, fillerOfWeldG, gasOfJobL, gasOfRunL } from '../criteria/use.ts'
import type { Demand } from '../demand/demand.ts'
import { type Fit, type FitInput, fitOf, sidesOf } from '../fit/fit.ts'
import { allowedDutyPct } from '../fit/cost.ts'
import { type PassStart, settingsOf, type StartingSettings } from '../fit/settings.ts'
import { inStock } from '../kinds/counts.ts'
import type { Gas } from '../kinds/equipment.ts'
import type { Joint } from '../kinds/job.ts'
import { figure, list, type Message, message, word } from '../model/message.ts'
import type { Polarity } from '../model/process.ts'
import type { Verdict } from '../model/verdict.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { expectedGauge } from '../record/gauge.ts'
import { jointName } from '../weldlist/words.ts'
import { type CardFigure, figuresOf } from './figures.ts'
import { lastsOf } from './lasts.ts'
import { type CardRow, rowsOfCard } from './rows.ts'
import { type CardStep, stepsOf } from './steps.ts'
import { type Symptom, symptomsOf } from './symptoms.ts'

/** Which lead hangs on which terminal. */
export interface Leads {
  readonly polarity: Polarity
  readonly electrode: 'wire' | 'tungsten' | 'covered'
  /** How this machine changes it. */
  readonly way: string | null
  readonly told: Message
}

export interface Card {
  readonly jobId: string
  readonly setUpId: string
  readonly jointId: string
  readonly joint: Joint
  readonly heading: Message
  /** Of the job with this set-up; the card says what is against it. */
  readonly verdict: Verdict
  readonly against: readonly Assessment[]
  /** Every check with its verdict: a coupon may answer what is tight. */
  readonly judged: readonly Pick<Assessment, 'criterion' | 'verdict' | 'weldId'>[]
  readonly figures: readonly CardFigure[]
  readonly leads: Leads
  readonly settings: StartingSettings
  readonly passes: Message
  /** Of a groove with an open root what each kind of pass is set to; empty for every other weld. */
  readonly passSettings: readonly Message[]
  readonly rows: readonly CardRow[]
  readonly changeover: Changeover
  /** The set-up that is on the machine now; null where it is not recorded. */
  readonly onMachineNow: string | null
  readonly steps: readonly CardStep[]
  readonly pace: Message
  readonly uses: readonly Message[]
  readonly symptoms: readonly Symptom[]
  readonly weldClass: WeldClass
  readonly cautions: Fit['cautions']
}

const WINDOW_S = 600
const FULL_PCT = 100

function paceOf(capability: Capability, demand: Demand): Message {
  const { dutyPct } = demand
  if (dutyPct === null) return message('pace-unknown')
  const allowed = Math.min(FULL_PCT, allowedDutyPct(capability, demand))
  const params = { asks: figure(Math.round(dutyPct), '%'), allows: figure(Math.round(allowed), '%') }
  if (allowed <= 0) return message('pace-none', params)
  if (dutyPct <= allowed) return message('pace-free', params)
  const weldS = (WINDOW_S * allowed) / FULL_PCT
  return message('pace-rest', {
    ...params,
    weld: figure(Math.round(weldS), 's'),
    rest: figure(Math.round(WINDOW_S - weldS), 's'),
  })
}

/** What the gauge should show when the job is done: less is a leak, or a flow that was not set. */
function gaugeAfter({ shop, assumptions }: Capability, gas: Gas, leftL: number): readonly Message[] {
  const reading = {
    notation: { system: shop.unitSystem, locale: shop.locale },
    remainderBar: assumptions.cylinderRemainderBar,
  }
  const gauge = leftL > 0 ? expectedGauge(leftL, gas, reading) : null
  return gauge ? [message('gauge-after', { gauge: `${gauge.value} ${gauge.unit}` })] : []
}

function usedText(capability: Capability, demand: Demand): readonly Message[] {
  const { wire, gas, stock, process, claims } = capability
  const gasL = gasOfJobL(capability, demand)
  const fillerG = fillerOfJobG(capability, demand)
  const wireG = wire && inStock(stock, 'wire', wire.id)
  const gasLeftL = gas && process.shielded ? inStock(stock, 'gas', gas.id) : null
  const ends = (
    what: 'wire' | 'gas',
    { id }: { readonly id: string },
    amount: number | null,
    usedBy: (weld: WeldFigures) => number,
  ): readonly Message[] => {
    if (amount === null) return [message(`${what}-not-counted`)]
    // What was taken for the job was for its first welds.
    const fromFirst = amount + claims.used(demand.job, what, id)
    const { welds, of } = lastsOf(demand.job, demand.welds, fromFirst, usedBy)
    const params = { welds: figure(welds, ''), next: figure(welds + 1, ''), of: figure(of, '') }
    return [message(welds >= of ? `${what}-lasts` : `${what}-ends`, params)]
  }
  return [
    gasL === null
      ? message('uses-filler', { filler: figure(fillerG, 'g') })
      : message('uses', { filler: figure(fillerG, 'g'), gas: figure(gasL, 'L') }),
    ...(wire ? ends('wire', wire, wireG, (weld) => fillerOfWeldG(capability, demand, weld)) : []),
    ...(gas && gasL !== null
      ? ends('gas', gas, gasLeftL, (weld) => gasOfRunL(capability, demand, weld) ?? 0)
      : []),
    ...(gas && gasL !== null && gasLeftL !== null ? gaugeAfter(capability, gas, gasLeftL - gasL) : []),
  ]
}

function passesOf({ passes }: WeldFigures, { stepOverMm }: StartingSettings): Message {
  if (passes === 1) return message('one-pass')
  return stepOverMm === null
    ? message('passes', { count: figure(passes, '') })
    : message('passes-stepped', { count: figure(passes, ''), step: figure(stepOverMm, 'mm') })
}

/** Root first: its settings are not those of the fill. */
const passSetting = ({ pass, passes, wantedA, voltsV, feedMmPerMin }: PassStart): Message =>
  message('pass-set', {
    count: figure(passes, ''),
    pass: word(passes === 1 ? 'onePass' : 'pass', pass),
    settings: list([
      figure(Math.round(wantedA), 'A'),
      ...(voltsV === null ? [] : [figure(Number(voltsV.toPrecision(3)), 'V')]),
      ...(feedMmPerMin === null ? [] : [figure(Number(feedMmPerMin.toPrecision(2)), 'mm/min')]),
    ]),
  })

/**
 * @param input the shop, the job and every part of the set-up
 * @param jointId the weld; one that the job does not have gives the weld with the highest current
 * @returns the card as plain data: every place filled, or with the reason why it is not
 * @example cardOf(input, 'upright').figures[0]?.value // volts
 */
export function cardOf(input: FitInput, jointId: string): Card {
  const sides = sidesOf(input)
  const { capability, demand } = sides
  const { job, setUp, powerSource } = input
  const weld = demand.welds.find(({ joint }) => joint.id === jointId) ?? demand.hungriest
  const fit = fitOf(sides)
  const settings = settingsOf(capability, demand, weld)
  const { joint } = weld
  const changeover = changeoverTo(capability)
  const present = capability.bench?.presentSetUps.find(({ id }) => id === powerSource.id) ?? null
  const { electrode } = capability.process
  return {
    jobId: job.id,
    setUpId: setUp.id,
    jointId: joint.id,
    joint,
    heading: message('heading', {
      process: word('process', capability.process.id),
      joint: jointName(joint),
      a: figure(joint.thicknessAMm, 'mm'),
      b: figure(joint.thicknessBMm, 'mm'),
      position: word('position', joint.position),
      count: figure(joint.count, ''),
      length: figure(joint.lengthMm, 'mm length'),
    }),
    verdict: fit.verdict,
    against: fit.criteria.filter(
      (one) => (one.verdict === 'fails' || one.verdict === 'unknown') && !isConsequence(one),
    ),
    judged: fit.criteria.map(({ criterion, verdict, weldId }) => ({ criterion, verdict, weldId })),
    figures: figuresOf(capability, weld, settings),
    leads: {
      polarity: settings.polarity,
      electrode,
      way: settings.polarity === 'ac' ? 'automatic' : powerSource.polarityChange,
      told: message('leads', { leads: word('leadsOf', `${settings.polarity}-${electrode}`) }),
    },
    settings,
    passes: passesOf(weld, settings),
    passSettings: settings.passes.map(passSetting),
    rows: rowsOfCard(capability, demand, weld, settings),
    changeover,
    onMachineNow: present?.name ?? null,
    steps: stepsOf(capability, settings, changeover),
    pace: paceOf(capability, demand),
    uses: usedText(capability, demand),
    symptoms: symptomsOf(capability),
    weldClass: weldClassOf(capability),
    cautions: fit.cautions,
  }
}
