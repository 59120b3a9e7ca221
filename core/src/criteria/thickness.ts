/** Criterion of thickness: what the weakest link of the chain welds. */
import { commonPractice, computed } from '../basis/source.ts'
import { calculation, listOf } from '../calculation/calculation.ts'
import type { Capability } from '../capability/capability.ts'
import { type Demand, mostWanted } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { figure, message, type Message } from '../model/message.ts'
import { thinnerMm } from '../trade/groove.ts'
import { heatedThickness, isHeatedByLayer } from '../trade/layers.ts'
import { thinnerFamily } from '../trade/wantedCurrent.ts'
import { thicknessAtMm, thicknessByCurrent } from '../trade/thicknessAt.ts'
import {
  type Carries,
  circuitCarrier,
  electrodeCarries,
  gunCarries,
  LINK_FROM,
  sourceCarries,
} from './carries.ts'
import { type Assessment, type Criterion, measured, type Mend, unknown } from './criterion.ts'
import { verdictOfCurrent, WINDOW } from './withinWindow.ts'

const weakestCurrent = calculation({
  id: 'weakest-link',
  title: 'What the weakest link carries',
  symbol: 'I_weak',
  unit: 'A',
  expression: 'min(I)',
  inputs: {
    I: listOf(
      'carried by circuit, source, gun, electrode',
      'A',
      computed(),
      ...Object.values(LINK_FROM).flatMap((calculations) => calculations.map(({ id }) => id)),
    ),
  },
  compute: ({ I }) => Math.min(...I),
  source: computed('the least decides'),
})
/** What the weakest link carries for each weld, A; source, gun and electrode are the same for all of them. */
function weakestLink(capability: Capability, demand: Demand) {
  const shared: readonly Carries[] = [
    sourceCarries(capability, demand),
    gunCarries(capability, demand),
    electrodeCarries(capability),
  ]
  const missing = shared.find((link) => link.missing !== null)?.missing ?? null
  const highs = shared.map((link) => (link.missing === null ? link.mostA : 0))
  const carrier = circuitCarrier(capability, demand)
  return (weld: WeldFigures): number | Message => {
    const circuit = carrier?.(weld)
    if (circuit && circuit.missing !== null) return circuit.missing
    if (missing) return missing
    return capability.reckoner.compute(weakestCurrent, { I: circuit ? [circuit.mostA, ...highs] : highs })
  }
}

/** The thickest part that the set-up welds with rest enough, against what the job has to weld. */
const thickness: Criterion = {
  id: 'thickness',
  concerns: 'arc-current',
  isByCoupon: true,
  group: null,
  slots: [],
  demandFrom: heatedThickness,
  capacityFrom: thicknessByCurrent,
  alsoFrom: [mostWanted, ...WINDOW],
  assess(capability, demand): Assessment | null {
    if (!demand) return null
    const weakestFor = weakestLink(capability, demand)
    const first = weakestFor(demand.hungriest)
    if (typeof first !== 'number') return unknown('thickness', first)
    let worst = { weld: demand.hungriest, mostA: first }
    for (const weld of demand.runs) {
      const I = weld === demand.hungriest ? first : weakestFor(weld)
      const mostA = typeof I === 'number' ? I : 0
      if (weld.jointA * worst.mostA > worst.weld.jointA * mostA) worst = { weld, mostA }
    }
    const { weld, mostA } = worst
    const thickestMm = thicknessAtMm(mostA, weld.law, capability.reckoner)
    // A stick that has its own current welds any plate: nothing to hold against.
    if (thickestMm === null) return null
    const found = measured(capability, 'thickness', {
      demand: weld.heatedMm,
      capacity: thickestMm,
      unit: 'mm',
      isLimit: true,
      weldId: weld.joint.id,
      pass: weld.pass,
      source: commonPractice('common practice'),
    })
    // What a spray needs to spray is no question of thickness: the source and the wire answer for it.
    const { jointA } = weld
    const joint = {
      wantedA: jointA,
      lowA: jointA * (1 - capability.assumptions.windowLowPct / 100),
      highA: null,
    }
    const verdict = verdictOfCurrent(joint, { lowA: 0, highA: mostA, leastA: 0, mostA })
    return { ...found, verdict, code: verdict === 'tight' ? 'slower' : 'measured' }
  },
  mends(_c, demand, { weldId, capacity, verdict }) {
    const weld = demand?.welds.find(({ joint }) => joint.id === weldId)
    if (!demand || !weld || capacity === null || verdict !== 'fails') return []
    const passes = Math.ceil(thinnerMm(weld.joint) / capacity)
    // More passes ask for less current only where each heats its own layer, and not below the least one.
    const helps = capacity >= demand.assumptions.leastLayerMm && passes > weld.passes && passes <= MOST_PASSES
    return helps && isHeatedByLayer(weld.joint, demand.processId, thinnerFamily(weld.joint))
      ? [passesMend(weld.joint, passes)]
      : []
  },
}
const MOST_PASSES = 60

/** Shares the metal of a groove into more passes. */
export const passesMend = (
  { id }: { readonly id: string },
  passes: number,
): Mend & { readonly patch: NonNullable<Mend['patch']> } => ({
  ...message('passes', { passes: figure(passes, '') }),
  patch: { on: 'joint', jointId: id, change: { passes } },
})

/**
 * What a job may be warmed to so that less current does.
 * @returns °C; null where it is warmed already, where a metal of it is left cold, as stainless, and where nothing is thick enough
 * @example preheatOfferedC(demand) // 120 of thick aluminium
 */
export function preheatOfferedC({ job, welds, assumptions }: Demand): number | null {
  if (job.preheatC !== null) return null
  // What melts through anyway burns through sooner when it is warm.
  if (!welds.some(({ joint, burnThroughMm }) => thinnerMm(joint) > burnThroughMm)) return null
  const most = job.joints.map((joint) => {
    const metal = thinnerFamily(joint)
    if (metal === 'stainless') return 0
    return metal === 'aluminium' ? assumptions.aluminiumPreheatMostC : assumptions.steelPreheatMostC
  })
  const leastC = Math.min(...most)
  return leastC > 0 ? leastC : null
}
export const preheatMend = (preheatC: number): Mend & { readonly patch: NonNullable<Mend['patch']> } => ({
  ...message('preheat', { temperature: figure(preheatC, '°C') }),
  patch: { on: 'job', change: { preheatC } },
})

export const THICKNESS_CRITERIA: readonly Criterion[] = [thickness]
