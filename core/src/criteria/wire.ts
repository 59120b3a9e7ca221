/** Criteria of the wire or rod itself: for the process, the position, the metal. */
import { fillerName } from '../reference/fillerNames.ts'
import type { Shop } from '../kinds/shop.ts'
import type { Source } from '../basis/source.ts'
import type { Wire } from '../kinds/equipment.ts'
import { list, type Param, message, word } from '../model/message.ts'
import { VERDICT_RANK } from '../model/verdict.ts'
import { notForPosition, positionsOf } from '../reference/classification.ts'
import { fillersInForm } from '../reference/fillerFamilies.ts'
import { isFiller, type PairAdvice } from '../reference/pairs.ts'
import type { Process } from '../reference/processes.ts'
import type { MetalPair } from '../demand/demand.ts'
import type { Criterion } from './criterion.ts'
import { bad, good, type Judged, ofSetUp, ofWork, poor, type WorkParts } from './grouped.ts'

function formFor({ family, shielded }: Process): Wire['form'] {
  if (family === 'gmaw') return 'solid'
  if (family === 'gtaw') return 'rod'
  if (family === 'smaw') return 'covered'
  return shielded ? 'cored-gas-shielded' : 'cored-self-shielded'
}

const wireForm = ofSetUp(
  'wire-form',
  'shielding',
  ['wire'],
  ({ wire, process }) => {
    if (!wire) return null
    const wanted = formFor(process)
    const params = {
      wire: wire.name,
      process: word('process', process.id),
      form: word('form', wire.form),
      wanted: word('form', wanted),
    }
    return wire.form === wanted ? good('right', params) : bad('other', params)
  },
  { mends: (_c, _d, { params }) => [message('a-form', { wanted: params['wanted'] ?? '' })] },
)

/** Some cored wires and covered electrodes are for flat and horizontal only, others not for welding downward. */
const wirePosition = ofWork(
  'wire-position',
  'shielding',
  ['wire'],
  ({ wire, process }, demand) => {
    if (!wire || process.electrode === 'tungsten') return null
    for (const { joint } of demand?.welds ?? []) {
      const not = notForPosition(wire, joint.position)
      if (!not) continue
      const params = { wire: wire.name, position: word('position', joint.position) }
      return bad(not.value, params, not.source, joint.id)
    }
    const found = positionsOf(wire)
    return found?.value === 'flat-horizontal' ? good('flat-only', { wire: wire.name }, found.source) : null
  },
  {
    mends: ({ process }, _d, { code }) => {
      const isStick = process.electrode === 'covered'
      if (code === 'beyond' || code === 'flat-alone')
        return [
          message(
            isStick ? 'all-position-stick' : process.shielded ? 'all-position-gas' : 'all-position-self',
          ),
        ]
      // No gas-shielded class is for welding downward.
      if (!isStick && process.shielded) return [message('weld-upward')]
      return [message('weld-upward'), message(isStick ? 'downhill-stick' : 'downhill-self')]
    },
  },
)

const MOST_FILLERS = 3
/** Usual fillers of two metals that this process burns. */
const usualFillers = (
  { fillers }: PairAdvice,
  process: Process,
  shop: Pick<Shop, 'ruleBook'>,
): readonly string[] =>
  fillersInForm(
    fillers.map(({ classification }) => classification),
    formFor(process),
  )
    .slice(0, MOST_FILLERS)
    .map((one) => fillerName(one, formFor(process), shop))

function ofPair(
  { name, classification }: Wire,
  { process, shop }: WorkParts,
  { materialA, materialB, advice, weldId }: MetalPair,
): Judged {
  const pair: Param =
    materialA === materialB
      ? word('material', materialA)
      : list([word('material', materialA), word('material', materialB)])
  const params = { wire: name, pair, process: word('process', process.id) }
  const find = (code: string, make: typeof bad, more: Record<string, Param> = {}, source?: Source) =>
    make(code, { ...params, ...more }, source, weldId)
  if (advice.weldable === 'no') return find('not-weldable', bad, { why: advice.text })
  const named = (one: Parameters<typeof isFiller>[1]) => isFiller(classification, one)
  // Named only where another one is wanted.
  const usual = (): readonly string[] => usualFillers(advice, process, shop)
  const excluded = advice.excluded.find(named)
  if (excluded)
    return find('excluded', bad, { why: excluded.reason, fillers: list(usual()) }, excluded.source)
  if (advice.fillers.length > 0 && !advice.fillers.some(named)) {
    const fillers = usual()
    return fillers.length > 0 ? find('unusual', bad, { fillers: list(fillers) }) : find('not-by-process', bad)
  }
  return advice.weldable === 'needs-procedure'
    ? find('needs-procedure', poor, { why: advice.text })
    : find('right', good)
}

/** The job's metals decide which filler may join them; the pair that is worst off speaks. */
const fillerForMetal = ofWork(
  'filler-for-metal',
  'shielding',
  ['wire'],
  (capability, demand) => {
    const { wire } = capability
    if (!wire || !demand) return null
    return demand.pairs
      .map((pair) => ofPair(wire, capability, pair))
      .reduce<Judged | null>(
        (worst, next) => (!worst || VERDICT_RANK[next.verdict] > VERDICT_RANK[worst.verdict] ? next : worst),
        null,
      )
  },
  {
    concerns: 'filler',
    mends({ process, shop }, demand, { code, weldId, verdict }) {
      if (code === 'not-weldable') return [message('bolt-it')]
      if (verdict !== 'fails') return []
      const advice = demand?.pairs.find((pair) => pair.weldId === weldId)?.advice
      const fillers = advice ? usualFillers(advice, process, shop) : []
      if (fillers.length > 0) return [message('one-of-fillers', { fillers: list(fillers) })]
      return advice && advice.fillers.length > 0
        ? [message('another-process')]
        : [message('procedure-filler')]
    },
  },
)

export const WIRE_CRITERIA: readonly Criterion[] = [wireForm, fillerForMetal, wirePosition]
