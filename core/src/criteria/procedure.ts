/** Criteria of the procedure: direction and transfer by the code, back purge of a root, least preheat. */
import { QUALITY } from '../model/quality.ts'
import { commonPractice, standard } from '../basis/source.ts'
import type { Demand } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import type { Job, Joint } from '../kinds/job.ts'
import { figure, message, word } from '../model/message.ts'
import {
  bringsLittleHydrogen,
  carbonEquivalentOf,
  CET_SOURCE,
  leastPreheatOf,
  preheatCategoryOf,
  THIN_SOURCE,
} from '../reference/leastPreheat.ts'
import { MATERIALS } from '../reference/materials.ts'
import { thickerMm } from '../trade/groove.ts'
import { leastByCarbon, leastByCarbonC, warmingOf } from '../trade/preheat.ts'
import type { Criterion } from './criterion.ts'
import { backingMend, sprayHolds } from './joint.ts'
import { bad, good, type Judged, ofWork, poor, type WorkParts } from './grouped.ts'

const isByCode = ({ quality }: Job): boolean => QUALITY[quality].isByCode
const isStructural = ({ quality }: Job): boolean => QUALITY[quality].isStructural
const familiesOf = ({ materialA, materialB }: Joint) => [
  MATERIALS[materialA].family,
  MATERIALS[materialB].family,
]

const D1_1 = standard('AWS D1.1, prequalified procedures, clause 5', true)

/** Structural steel: upward only, and no short-circuit, unless a procedure was qualified for it. */
const prequalified = ofWork(
  'prequalified',
  'joint',
  [],
  ({ process, shop }, demand) => {
    // By European standards every procedure is qualified by a test, whatever its transfer.
    if (
      !demand ||
      !isStructural(demand.job) ||
      QUALITY[demand.job.quality].isEuropean ||
      shop.filletRule === 'en-1993'
    )
      return null
    const steel = demand.welds.filter(({ joint }) => familiesOf(joint).every((one) => one === 'carbon-steel'))
    const [first] = steel
    if (!first) return null
    const make = isByCode(demand.job) ? bad : poor
    if (process.id === 'gmaw-short') return make('short-circuit', {}, D1_1, first.joint.id)
    const down = steel.find(({ joint }) => joint.position === 'vertical-down')
    return down ? make('downward', {}, D1_1, down.joint.id) : null
  },
  {
    mends: (_c, demand, { code }) =>
      code === 'downward'
        ? [message('weld-upward'), message('qualified-procedure')]
        : [message(demand?.welds.every(sprayHolds) ? 'spray-or-cored' : 'cored-or-procedure')],
  },
)

/** Joints whose root is melted through from one side. */
const ROOTED: readonly Joint['kind'][] = ['square', 'v', 'bevel', 'u', 'j', 'saddle']
const hasOpenBack = ({ kind, backing, backWeldMm }: Joint): boolean =>
  ROOTED.includes(kind) && !backing && backWeldMm === 0
/** A TIG rod with flux in it, which covers the back of the root by itself. */
const FLUXED_ROD = /^R3\d\dL?T1-5/i
const A5_22 = standard('AWS A5.22, R3xxLT1-5, cored TIG rod for roots without purge', true)
const SUGAR = commonPractice('common practice: hot stainless and air make a black, porous root')

/** The back of a stainless root burns in air: it sugars. */
const backPurge = ofWork(
  'back-purge',
  'joint',
  ['wire'],
  ({ process, wire }, demand): Judged | null => {
    if (!demand || !process.shielded) return null
    const rooted = demand.welds.filter(
      ({ joint }) =>
        familiesOf(joint).every((one) => one === 'stainless') &&
        hasOpenBack(joint) &&
        // A wire reaches the back through an open root only.
        (process.electrode === 'tungsten' || joint.rootGapMm > 0),
    )
    const [first] = rooted
    if (!first) return null
    if (wire && FLUXED_ROD.test(wire.classification)) return good('fluxed-rod', { wire: wire.name }, A5_22)
    const bare = rooted.find(({ joint }) => !joint.purge)
    if (!bare) return good('purged', {}, SUGAR, first.joint.id)
    const make =
      demand.job.quality === 'leak-tight' || isByCode(demand.job)
        ? bad
        : QUALITY[demand.job.quality].isPlain
          ? good
          : poor
    return make(make === good ? 'accepted' : 'sugars', {}, SUGAR, bare.joint.id)
  },
  {
    mends: (_c, demand, { weldId }) => {
      const joint = demand?.welds.find((weld) => weld.joint.id === weldId)?.joint
      if (!joint) return []
      return [
        { ...message('purge-it'), patch: { on: 'joint', jointId: joint.id, change: { purge: true } } },
        backingMend(joint.id),
        message('fluxed-rod'),
      ]
    },
  },
)

/** Thin tube and sheet of hardenable steel is welded cold: warmed it burns through. */
const COLD_MM = 3.2

interface Least {
  readonly weld: WeldFigures
  readonly leastC: number
  readonly source: Judged['source']
  readonly code: 'table' | 'carbon-equivalent'
}

function leastOf({ process, wire, reckoner }: WorkParts, weld: WeldFigures): Least | null {
  const { joint } = weld
  const materials = [joint.materialA, joint.materialB]
  const filler = process.electrode === 'covered' ? (wire?.classification ?? null) : null
  const cetPct = carbonEquivalentOf(materials)
  if (cetPct !== null) {
    if (thickerMm(joint) <= COLD_MM)
      return { weld, leastC: 0, source: THIN_SOURCE, code: 'carbon-equivalent' }
    const leastC = leastByCarbonC(cetPct, joint, bringsLittleHydrogen(process.id, filler), reckoner)
    return { weld, leastC, source: CET_SOURCE, code: 'carbon-equivalent' }
  }
  const category = preheatCategoryOf(materials, process.id, filler)
  return category && { weld, ...leastPreheatOf(category, thickerMm(joint)), code: 'table' }
}

const warmest = (capability: WorkParts, demand: Demand): Least | null =>
  demand.welds
    .flatMap((weld) => leastOf(capability, weld) ?? [])
    .reduce<Least | null>((most, next) => (most && most.leastC >= next.leastC ? most : next), null)

/** Cold steel takes the heat away so fast that the seam hardens, and hydrogen cracks it. */
const leastPreheat = ofWork(
  'least-preheat',
  'joint',
  ['wire'],
  (capability, demand): Judged | null => {
    if (!demand) return null
    const found = warmest(capability, demand)
    const hasC = demand.job.preheatC ?? capability.assumptions.workshopC
    if (!found || found.leastC <= 0) return null
    const { weld, leastC, source } = found
    const params = {
      thickness: figure(thickerMm(weld.joint), 'mm'),
      least: figure(leastC, '°C'),
      has: figure(hasC, '°C'),
      filler:
        capability.wire && capability.process.electrode === 'covered'
          ? capability.wire.name
          : word('process', capability.process.id),
    }
    if (hasC >= leastC) return good('warm', params, source, weld.joint.id)
    return (isStructural(demand.job) ? bad : poor)(found.code, params, source, weld.joint.id)
  },
  {
    from: [leastByCarbon],
    mends: (capability, demand, { weldId }) => {
      const found = demand && warmest(capability, demand)
      const weld = demand?.welds.find(({ joint }) => joint.id === weldId)
      if (!found || !weld) return []
      // Up to the next ten degrees: a crayon is not read closer.
      const preheatC = Math.ceil(found.leastC / 10) * 10
      const { timeS, fuelG, lostS } = warmingOf(
        weld.joint,
        weld.runMm,
        'carbon-steel',
        preheatC,
        capability.reckoner,
      )
      return [
        {
          ...message('preheat-to', {
            temperature: figure(preheatC, '°C'),
            time: figure(timeS / 3600, 'h'),
            fuel: figure(fuelG, 'g'),
            lost: figure(lostS / 3600, 'h'),
          }),
          patch: { on: 'job', change: { preheatC } },
        },
      ]
    },
  },
)

export const PROCEDURE_CRITERIA: readonly Criterion[] = [prequalified, backPurge, leastPreheat]
