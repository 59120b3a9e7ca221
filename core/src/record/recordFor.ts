/** What a row of the log begins with: which weld, with what, and what the plan says of one. */
import { BESIDE_ARC } from '../demand/demand.ts'
import { gasOfRunL } from '../criteria/use.ts'
import { settingsAreOf } from '../demand/weldFigures.ts'
import { startOf } from '../dialin/knobs.ts'
import type { WeldRecord } from '../events/weldRecorded.ts'
import { type FitInput, sidesOf } from '../fit/fit.ts'
import { settingsOf } from '../fit/settings.ts'
import { weldCountOf } from '../joints/weldCount.ts'
import { thinnerMm } from '../trade/groove.ts'
import { thinnerFamily } from '../trade/wantedCurrent.ts'
import { jointName } from '../weldlist/words.ts'

/** All but who and when. */
export type RecordStart = Omit<WeldRecord, 'weldedAt' | 'welder' | 'setUpVersion'>

const S_PER_MIN = 60
const rounded = (value: number): number => Number(value.toPrecision(4))

/**
 * @param jointId the weld; one that the job does not have gives the weld with the highest current
 * @returns a row for one weld, with the chart's settings; nothing of what is measured is filled
 * @example recordFor(input, 'upright').plan.wireG // g for one weld
 */
export function recordFor(input: FitInput, jointId: string): RecordStart {
  const { capability, demand } = sidesOf(input)
  const line = demand.welds.find(({ joint }) => joint.id === jointId) ?? demand.hungriest
  const { joint } = line
  const chart = startOf(settingsOf(capability, demand, settingsAreOf(line)), capability)
  const welds = weldCountOf(joint) * demand.job.quantity
  const gasL = gasOfRunL(capability, demand, line)
  const arcS = line.arcS === null ? null : line.arcS / welds
  const besideS =
    (capability.assumptions[BESIDE_ARC[capability.process.family]] / 100) *
    (line.tackS + line.pauseS * line.arcsPerWeld)
  return {
    state: 'done',
    jobName: input.job.name,
    weldName: jointName(joint),
    setUpId: input.setUp.id,
    setUpName: input.setUp.name,
    circuitId: input.setUp.circuitId,
    sourceId: input.powerSource.id,
    wireId: input.setUp.wireId,
    gasId: input.setUp.gasId,
    process: capability.process.id,
    position: joint.position,
    thicknessMm: thinnerMm(joint),
    metal: thinnerFamily(joint),
    settings: chart,
    chart,
    sign: null,
    cause: null,
    outcome: null,
    beadWidthMm: null,
    legMm: null,
    welds: 1,
    minutes: null,
    arcS: null,
    starts: null,
    wireG: null,
    gasL: null,
    spool: null,
    cylinder: null,
    plan: {
      arcS: arcS === null ? null : rounded(arcS),
      starts: line.arcsPerWeld,
      wireG: rounded(line.fillerG / welds),
      gasL: gasL === null ? null : rounded(gasL / welds),
      minutes: arcS === null ? null : rounded((arcS + besideS) / S_PER_MIN),
    },
    breaker: null,
    note: '',
    isWithdrawn: false,
  }
}

/** @returns the same plan for so many welds */
export const planOfWelds = ({ plan }: Pick<RecordStart, 'plan'>, welds: number): WeldRecord['plan'] => {
  const times = (value: number | null): number | null => (value === null ? null : rounded(value * welds))
  return {
    arcS: times(plan.arcS),
    starts: plan.starts === null ? null : plan.starts * welds,
    wireG: times(plan.wireG),
    gasL: times(plan.gasL),
    minutes: times(plan.minutes),
  }
}

/** @returns a row that saves settings and nothing else: what was measured stays with its own row */
export const savedAs = <R extends RecordStart>(row: R, settings: WeldRecord['settings']): R => ({
  ...row,
  state: 'planned',
  settings: { ...settings },
  sign: null,
  cause: null,
  outcome: null,
  beadWidthMm: null,
  legMm: null,
  minutes: null,
  arcS: null,
  starts: null,
  wireG: null,
  gasL: null,
  spool: null,
  cylinder: null,
  breaker: null,
  note: '',
})
