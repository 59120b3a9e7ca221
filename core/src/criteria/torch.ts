/** Criteria of the torch's head: the set of parts round the tungsten, its stick-out, and the type of the tungsten. */
import { commonPractice, dataPlate, standard } from '../basis/source.ts'
import { assumed, calculation, input } from '../calculation/calculation.ts'
import { figure, message } from '../model/message.ts'
import type { Criterion } from './criterion.ts'
import { isSameSize } from '../trade/sameSize.ts'
import { bad, good, ofSetUp, poor } from './grouped.ts'

const bore = (mm: number) => figure(mm, 'mm diameter')
const long = (mm: number) => figure(mm, 'mm length')

const colletSize = ofSetUp(
  'collet-size',
  'together',
  ['collet', 'tungsten'],
  ({ collet, tungsten }) => {
    if (!collet || !tungsten) return null
    const params = { has: bore(collet.tungstenMm), tungsten: bore(tungsten.diameterMm) }
    return isSameSize(collet.tungstenMm, tungsten.diameterMm) ? good('same', params) : bad('other', params)
  },
  { mends: (_c, _d, { params }) => [message('a-collet', { size: params['tungsten'] ?? '' })] },
)

const colletBodySize = ofSetUp(
  'collet-body-size',
  'together',
  ['colletBody', 'tungsten'],
  ({ colletBody, tungsten }) => {
    if (!colletBody || !tungsten) return null
    const params = { has: bore(colletBody.tungstenMm), tungsten: bore(tungsten.diameterMm) }
    return isSameSize(colletBody.tungstenMm, tungsten.diameterMm)
      ? good('same', params)
      : bad('other', params)
  },
  { mends: (_c, _d, { params }) => [message('a-collet-body', { size: params['tungsten'] ?? '' })] },
)

/** A gas lens takes cups of its own. */
const cupOnBody = ofSetUp(
  'cup-on-body',
  'together',
  ['cup', 'colletBody'],
  ({ cup, colletBody }) => {
    if (!cup || !colletBody) return null
    if (cup.forGasLens === colletBody.gasLens) return good(cup.forGasLens ? 'lens' : 'plain')
    return bad(cup.forGasLens ? 'lens-on-plain' : 'plain-on-lens')
  },
  {
    mends: (_c, _d, { code }) => [message(code === 'plain-on-lens' ? 'lens-cup' : 'plain-cup')],
  },
)

const backCapLength = ofSetUp(
  'back-cap-length',
  'together',
  ['backCap', 'tungsten'],
  ({ backCap, tungsten }) => {
    if (!backCap || !tungsten) return null
    const params = { cap: long(backCap.longestMm), tungsten: long(tungsten.lengthMm) }
    return tungsten.lengthMm > backCap.longestMm + 1 ? bad('short-cap', params) : good('closes', params)
  },
  { mends: (_c, _d, { params }) => [message('longer-cap', { tungsten: params['tungsten'] ?? '' })] },
)

const cupNumber = input('cup number', '', dataPlate())
const stickOutPlain = calculation({
  id: 'stick-out',
  title: 'Most stick-out',
  symbol: 's',
  unit: 'mm diameter',
  expression: 'N * 25.4 / 16',
  inputs: { N: cupNumber },
  compute: ({ N }) => (N * 25.4) / 16,
  source: commonPractice('the cup’s inside diameter'),
})
const stickOutLens = calculation({
  id: 'stick-out-lens',
  title: 'Most stick-out with a gas lens',
  symbol: 's',
  unit: 'mm diameter',
  expression: 'N * 25.4 / 16 * k',
  inputs: { N: cupNumber, k: assumed('stickOutLensFactor') },
  compute: ({ N, k }) => ((N * 25.4) / 16) * k,
  source: commonPractice('a multiple of the cup’s inside diameter'),
})

/** Not beyond the cup's inside diameter without a gas lens; more with one. */
const stickOut = ofSetUp(
  'stick-out',
  'together',
  ['cup', 'colletBody'],
  ({ cup, colletBody, settings, reckoner }) => {
    if (!cup || !colletBody) return null
    const isLens = colletBody.gasLens
    const mostMm = isLens
      ? reckoner.compute(stickOutLens, { N: cup.number })
      : reckoner.compute(stickOutPlain, { N: cup.number })
    const most = bore(mostMm)
    const isMm = settings.stickOutMm
    if (isMm === null) return good('up-to', { most })
    const params = { is: bore(isMm), most, cup: figure(cup.number, '') }
    if (isMm <= mostMm + 1e-6) return good('within', params)
    return bad(isLens ? 'beyond-lens' : 'beyond', params)
  },
  {
    from: [stickOutPlain, stickOutLens],
    mends({ cup, colletBody, reckoner }) {
      if (!cup || !colletBody) return []
      const stickOutMm = colletBody.gasLens
        ? reckoner.compute(stickOutLens, { N: cup.number })
        : reckoner.compute(stickOutPlain, { N: cup.number })
      const less = {
        ...message('stick-out-of', { most: bore(stickOutMm) }),
        patch: { on: 'set-up' as const, change: { stickOutMm } },
      }
      return colletBody.gasLens ? [less] : [less, message('gas-lens')]
    },
  },
)

/** Pure and zirconiated tungsten are for AC; thoriated spits on AC. */
const tungstenType = ofSetUp(
  'tungsten-type',
  'together',
  ['tungsten'],
  ({ tungsten, process }) => {
    if (!tungsten || process.family !== 'gtaw') return null
    const source = standard('ISO 6848, types of electrode, use by AWS A5.12 annex', true)
    const isAc = process.id === 'gtaw-ac'
    if (!isAc && tungsten.type === 'WP') return bad('pure-on-dc', {}, source)
    if (!isAc && tungsten.type === 'WZr8') return poor('zirconiated-on-dc', {}, source)
    if (isAc && tungsten.type === 'WTh20') return poor('thoriated-on-ac', {}, source)
    if (isAc && tungsten.type === 'WP') return poor('pure-on-ac', {}, source)
    return good(isAc ? 'suits-ac' : 'suits-dc', { type: tungsten.type }, source)
  },
  { mends: (_c, _d, { code }) => (code === 'pure-on-dc' ? [message('alloyed-tungsten')] : []) },
)

export const TORCH_CRITERIA: readonly Criterion[] = [
  colletSize,
  colletBodySize,
  cupOnBody,
  backCapLength,
  stickOut,
  tungstenType,
]
