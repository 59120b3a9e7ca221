/** Criteria of the drive rolls: groove, size, and the drive that they are made for. */
import { dataPlate, handbook } from '../basis/source.ts'
import { FEED_SLOTS } from '../capability/capability.ts'
import type { Groove, Wire } from '../model/equipment.ts'
import { figure, told, word } from '../model/told.ts'
import { isCored } from '../trade/burnOff.ts'
import type { Criterion } from './criterion.ts'
import { bad, good, grouped, isSameSize, notKnown, poor } from './grouped.ts'

const PLATE = dataPlate()
const ROLLS = handbook('drive roll grooves by wire, welding handbooks')

/** Smooth V for solid steel, knurled V for cored, U for aluminium. */
const grooveFor = (wire: Wire): Groove =>
  isCored(wire) ? 'v-knurled' : wire.metal === 'aluminium' ? 'u' : 'v-smooth'

function whyNot(wire: Wire, groove: Groove): string {
  if (isCored(wire)) return groove === 'v-smooth' ? 'smooth-on-cored' : 'crushes-cored'
  if (wire.metal === 'aluminium') return 'shaves-aluminium'
  return groove === 'u' ? 'slips-on-steel' : 'chews-solid'
}

const rollGroove = grouped(
  'roll-groove',
  'together',
  ['roll', 'wire'],
  ({ roll, fedWire }) => {
    if (!fedWire || !roll) return null
    const wanted = grooveFor(fedWire)
    const params = {
      wire: fedWire.name,
      wanted: word('groove', wanted),
      has: word('groove', roll.groove),
      size: figure(fedWire.diameterMm, 'mm diameter'),
    }
    if (roll.groove === wanted) return good('right', params, ROLLS)
    const why = whyNot(fedWire, roll.groove)
    return why === 'smooth-on-cored' ? poor(why, params, ROLLS) : bad(why, params, ROLLS)
  },
  {
    mends: (_c, _d, { params, verdict }) =>
      verdict === 'fails'
        ? [told('roll-with-groove', { wanted: params['wanted'] ?? '', size: params['size'] ?? '' })]
        : [],
  },
)

/** The groove's size is the wire's. */
const rollSize = grouped(
  'roll-size',
  'together',
  ['roll', 'wire'],
  ({ roll, fedWire }) => {
    if (!fedWire || !roll) return null
    const params = {
      groove: figure(roll.wireMm, 'mm diameter'),
      size: figure(fedWire.diameterMm, 'mm diameter'),
    }
    if (isSameSize(roll.wireMm, fedWire.diameterMm)) return good('same', params, ROLLS)
    return bad(roll.wireMm > fedWire.diameterMm ? 'slips' : 'flattens', params, ROLLS)
  },
  { mends: (_c, _d, { params }) => [told('roll-of-size', { size: params['size'] ?? '' })] },
)

/** Rolls are made for one drive. */
const rollSystem = grouped(
  'roll-system',
  'together',
  [...FEED_SLOTS, 'roll'],
  ({ feedPath, roll, gun }) => {
    if (!roll || !feedPath || gun?.drive === 'spool') return null
    const own = feedPath.feeder.rollSystem
    if (own === null) return notKnown(told('roll-drive', { feeder: feedPath.name }))
    if (roll.rollSystem === null) return notKnown(told('drive-of-roll', { roll: roll.name }))
    const params = { feeder: feedPath.name, roll: roll.name, own, has: roll.rollSystem }
    return own === roll.rollSystem ? good('goes', params, PLATE) : bad('other', params, PLATE)
  },
  { mends: (_c, _d, { params }) => [told('roll-for-drive', { own: params['own'] ?? '' })] },
)

export const ROLL_CRITERIA: readonly Criterion[] = [rollGroove, rollSize, rollSystem]
