/** Whether gas, process, metal, wind and filler go together. */
import type { FitContext } from '../fit/context.ts'
import type { Finding, Verdict } from '../model/finding.ts'
import { commonPractice, jobField, type Source, standard } from '../model/source.ts'
import { term } from '../model/working.ts'
import { printValue } from '../quantity/printValue.ts'
import type { Wire } from '../model/equipment.ts'
import { MATERIALS } from '../reference/materials.ts'
import { isClassification, type PairAdvice, pairAdvice } from '../reference/pairs.ts'
import { pairNames, serviceOf } from '../trade/service.ts'
import { type Check, unknownFinding } from './check.ts'

const NAME = { check: 'shielding', title: 'Gas and filler' }

interface Rule {
  readonly verdict: Verdict
  readonly says: string
  readonly source: Source
}

const PURE_ARGON_PCT = 99.9
/** Above this share of CO₂ a steel wire never goes over to spray. */
const SPRAY_MOST_CO2_PCT = 20

const rule = (says: string, source: Source = commonPractice(), verdict: Verdict = 'short'): Rule => ({
  verdict,
  says,
  source,
})

function windRules({ job, process, assume, shop }: FitContext): Rule[] {
  if (!process.shielded || job.place === 'indoors') return []
  const limit = assume.term('windLimitKmPerH', 'w')
  if (job.windKmPerH === null) {
    return [rule('Outdoors, and the wind at the weld is not given', limit.source, 'unknown')]
  }
  const words = (kmPerH: number) => printValue(kmPerH, 'km/h', shop.unitSystem)
  return job.windKmPerH > Number(limit.value)
    ? [
        rule(
          `Wind of ${words(job.windKmPerH)} blows the gas away above ${words(Number(limit.value))}: screen the weld or use self-shielded wire`,
          limit.source,
        ),
      ]
    : []
}

function gasRules({ process, gas, joints }: FitContext): Rule[] {
  if (!process.shielded) {
    return gas ? [rule('Self-shielded wire takes no gas: close the cylinder', commonPractice(), 'tight')] : []
  }
  if (!gas) return [rule('The set-up has no gas', commonPractice(), 'unknown')]
  const families = new Set(
    joints.flatMap(({ joint }) => [MATERIALS[joint.materialA].family, MATERIALS[joint.materialB].family]),
  )
  const rules: Rule[] = []
  if (process.family === 'gtaw' && gas.argonPct + gas.heliumPct < PURE_ARGON_PCT) {
    rules.push(rule(`TIG wants pure argon: ${gas.name} burns the tungsten`))
  }
  if (
    process.family === 'gmaw' &&
    families.has('aluminium') &&
    gas.argonPct + gas.heliumPct < PURE_ARGON_PCT
  ) {
    rules.push(rule(`Aluminium wants pure argon: ${gas.name} oxidises it`))
  }
  if (process.family === 'gmaw' && families.has('carbon-steel') && gas.co2Pct + gas.oxygenPct < 1) {
    rules.push(rule(`Steel wire wanders in inert gas: use an argon mix or CO₂ instead of ${gas.name}`))
  }
  if (process.family === 'gmaw' && families.has('stainless') && gas.co2Pct > 5) {
    rules.push(rule(`${gas.name} takes the corrosion resistance out of stainless: CO₂ of 5 % at most`))
  }
  if (process.id === 'gmaw-spray' && families.has('carbon-steel') && gas.co2Pct > SPRAY_MOST_CO2_PCT) {
    rules.push(rule(`With ${gas.co2Pct} % CO₂ steel never sprays: use at least 80 % argon`))
  }
  return rules
}

/** What the pair of metals says of this filler. */
function pairRules(wire: Wire, names: string, pair: PairAdvice): Rule[] {
  if (pair.weldable === 'no') return [rule(`${names}: ${pair.says}`)]
  const named = ({ classification }: { classification: string }) =>
    isClassification(wire.classification, classification)
  const excluded = pair.excluded.find(named)
  if (excluded) return [rule(`${wire.name} is not for ${names}: ${excluded.reason}`, excluded.source)]
  const procedure =
    pair.weldable === 'needs-procedure'
      ? [rule(`${names} needs a procedure. ${pair.says}`, commonPractice(), 'tight')]
      : []
  if (pair.fillers.length === 0 || pair.fillers.some(named)) return procedure
  const usual = pair.fillers.slice(0, 3).map(({ classification }) => classification)
  return [rule(`${wire.name} is not for ${names}: usual are ${usual.join(', ')}`), ...procedure]
}

function fillerRules({ wire, process, joints, job }: FitContext): Rule[] {
  if (!wire) return process.feedsWire ? [rule('The set-up has no wire', commonPractice(), 'unknown')] : []
  const rules: Rule[] = []
  const formOf = {
    gmaw: ['solid'],
    fcaw: [process.shielded ? 'cored-gas-shielded' : 'cored-self-shielded'],
    gtaw: ['rod'],
  }
  if (!formOf[process.family].includes(wire.form)) {
    rules.push(rule(`${wire.name} is not a filler for ${process.workshopWord}`))
  }
  const seen = new Set<string>()
  for (const { joint } of joints) {
    const pair = pairAdvice(joint.materialA, joint.materialB, serviceOf(job, joint))
    const names = pairNames(joint)
    if (seen.has(names)) continue
    seen.add(names)
    rules.push(...pairRules(wire, names, pair))
  }
  return rules
}

function depthRules({ process, joints, assume, shop }: FitContext): Rule[] {
  if (process.id !== 'gmaw-short') return []
  const limit = assume.term('shortCircuitLimitMm', 't')
  const thick = joints.find(
    ({ joint }) => Math.min(joint.thicknessAMm, joint.thicknessBMm) > Number(limit.value) + 1e-6,
  )
  if (!thick || MATERIALS[thick.joint.materialA].family !== 'carbon-steel') return []
  return [
    rule(
      `Short-circuit above ${printValue(limit.value, 'mm', shop.unitSystem)} of steel may not fuse: use spray or flux-cored, or a qualified procedure`,
      limit.source,
    ),
  ]
}

const ORDER: readonly Verdict[] = ['short', 'unknown', 'tight', 'fits']

export const shielding: Check = (context): Finding => {
  const { gas, process, wire, job } = context
  const broken = [
    ...gasRules(context),
    ...fillerRules(context),
    ...windRules(context),
    ...depthRules(context),
  ]
  broken.sort((a, b) => ORDER.indexOf(a.verdict) - ORDER.indexOf(b.verdict))
  const first = broken[0]
  const gives = process.shielded ? (gas?.name ?? 'no gas') : 'no gas'
  const working = [
    {
      says: first ? 'Rules that this set-up breaks' : 'Gas, filler, metal, wind and process go together',
      formula: 'trade rules',
      terms: broken.map((one, index) => term(`${index + 1}`, one.says, '', '', one.source)),
      result: { symbol: 'gas', value: gives, unit: '' },
      source: standard('AWS D1.1 for wind; otherwise common practice', true),
    },
    {
      says: 'What was looked at',
      formula: 'gas, filler, place',
      terms: [
        term('gas', 'gas', gives, '', jobField('set-up')),
        term('filler', 'wire or rod', wire?.name ?? 'none', '', jobField('set-up')),
        term('place', 'place', job.place, '', jobField('job')),
      ],
      result: { symbol: 'rules broken', value: broken.length, unit: '' },
      source: commonPractice(),
    },
  ]
  const common = { demand: null, capacity: gives, working }
  if (first?.verdict === 'unknown')
    return unknownFinding(NAME, first.says, { ...common, says: `${first.says}.` })
  return {
    check: NAME.check,
    title: NAME.title,
    demand: common.demand,
    capacity: common.capacity,
    working,
    verdict: first?.verdict ?? 'fits',
    says: first ? `${broken.map(({ says }) => says).join('. ')}.` : 'Gas, filler and place suit the metal.',
    jointId: null,
    marginPct: null,
    missing: null,
    restsOn: first ? first.source.text : 'common practice',
    mends: [],
  }
}
