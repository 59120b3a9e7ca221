/** Criteria of the gun's end: contact tip, nozzle, and whether it feeds aluminium at all. */
import { fillerFamilyOf } from '../reference/fillerFamilies.ts'
import { commonPractice, dataPlate } from '../basis/source.ts'
import { assumed, calculation, input } from '../calculation/calculation.ts'
import { figure, message, word } from '../model/message.ts'
import type { Criterion } from './criterion.ts'
import { isSameSize } from '../trade/sameSize.ts'
import { bad, good, ofSetUp, poor } from './grouped.ts'
import { compatibleTipsMm } from './tipSizes.ts'

/** Tip as the wire; for aluminium one size over, or the wire's own by the other school. */
const tipBore = ofSetUp(
  'tip-bore',
  'together',
  ['tip', 'wire'],
  ({ tip, shop, fedWire }) => {
    if (!fedWire || !tip) return null
    const { wantedMm, otherMm } = compatibleTipsMm(fedWire, shop)
    const params = {
      has: figure(tip.wireMm, 'mm diameter'),
      wanted: figure(wantedMm, 'mm diameter'),
      wire: fedWire.name,
    }
    if (isSameSize(tip.wireMm, wantedMm))
      return good(otherMm === null ? 'same' : `school-${shop.aluminiumTip}`, params)
    if (otherMm !== null && isSameSize(tip.wireMm, otherMm))
      return poor(`against-${shop.aluminiumTip}`, params)
    return bad(tip.wireMm < fedWire.diameterMm ? 'too-small' : 'too-wide', params)
  },
  {
    concerns: 'feed-path',
    mends: (_c, _d, { verdict, params }) =>
      verdict === 'fails' ? [message('tip-of', { wanted: params['wanted'] ?? '' })] : [],
  },
)

/** A gasless nozzle lets gas go anywhere but round the arc. */
const nozzleForGas = ofSetUp(
  'nozzle-for-gas',
  'together',
  ['nozzle'],
  ({ nozzle, process }) => {
    if (!nozzle || !process.feedsWire) return null
    if (!process.shielded) return good(nozzle.gasless ? 'gasless' : 'gas-on-self-shielded')
    return nozzle.gasless
      ? bad('no-shroud', { nozzle: nozzle.name, process: word('process', process.id) })
      : good('gas')
  },
  { concerns: 'feed-path', mends: () => [message('gas-nozzle')] },
)

/** Silicon and pure-aluminium wires are soft, magnesium wires stiff (AWS A5.10 classes, common practice). */
const isSoft = (classification: string): boolean =>
  ['al-silicon', 'al-pure'].includes(fillerFamilyOf(classification))
const ORDINARY = commonPractice('common practice: aluminium through an ordinary gun, no source')

const lengthRoom = calculation({
  id: 'aluminium-gun-room',
  title: 'Gun length left before aluminium buckles',
  symbol: 'L_room',
  unit: 'mm length',
  expression: 'L_most - L',
  inputs: { L_most: assumed('aluminiumGunMostMm'), L: input('gun', 'mm length', dataPlate()) },
  compute: ({ L_most, L }) => L_most - L,
  source: ORDINARY,
})

/** Aluminium buckles where it is pushed too far. */
const aluminiumPath = ofSetUp(
  'aluminium-path',
  'together',
  ['gun', 'wire'],
  ({ gun, assumptions, fedWire, reckoner }) => {
    if (!fedWire || gun?.kind !== 'gun' || fedWire.metal !== 'aluminium') return null
    if (gun.drive === 'spool') return good('spool-gun')
    if (gun.drive === 'push-pull') return good('push-pull')
    const mostMm = assumptions.aluminiumGunMostMm
    const soft = isSoft(fedWire.classification)
    const params = {
      wire: fedWire.name,
      length: figure(gun.lengthMm, 'mm length'),
      most: figure(mostMm, 'mm length'),
    }
    if (reckoner.compute(lengthRoom, { L: gun.lengthMm }) < 0)
      return bad(soft ? 'soft-buckles' : 'buckles', params, ORDINARY)
    if (soft) return bad('too-soft', params, ORDINARY)
    return poor(gun.neck === 'straight' ? 'occasional-straight' : 'occasional', params, ORDINARY)
  },
  {
    concerns: 'feed-path',
    from: [lengthRoom],
    mends: (_c, _d, { code, verdict }) => {
      if (verdict === 'tight') return [message('spool-gun-daily')]
      return [message(code === 'too-soft' ? 'spool-gun-or-stiffer' : 'spool-gun')]
    },
  },
)

export const GUN_END_CRITERIA: readonly Criterion[] = [aluminiumPath, tipBore, nozzleForGas]
