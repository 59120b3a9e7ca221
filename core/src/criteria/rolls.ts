/** Criteria of the drive rolls: groove, size, and the drive that they are made for. */
import { fillerFamilyOf } from '../reference/fillerFamilies.ts'
import { dataPlate, handbook } from '../basis/source.ts'
import { FEED_SLOTS } from '../capability/capability.ts'
import type { Groove, Wire } from '../kinds/equipment.ts'
import type { DriveRoll, RollGroove } from '../kinds/part.ts'
import { figure, message, word } from '../model/message.ts'
import { isCored } from '../trade/burnOff.ts'
import type { Criterion } from './criterion.ts'
import { bad, good, isSameSize, notKnown, ofSetUp, poor, SAME_SIZE_MM } from './grouped.ts'

const PLATE = dataPlate()
const ROLLS = handbook('drive roll grooves by wire, welding handbooks')

/** Smooth V for solid steel, knurled V for cored, U for aluminium. */
const grooveFor = (wire: Wire): Groove =>
  isCored(wire) ? 'v-knurled' : wire.metal === 'aluminium' ? 'u' : 'v-smooth'

function whyNot(wire: Wire, groove: Groove): string {
  if (isCored(wire)) return groove === 'v-smooth' ? 'smooth-on-cored' : 'crushes-cored'
  // Hard 5xxx wire stands a smooth V at light tension for an occasional seam; soft 4xxx is flattened.
  if (wire.metal === 'aluminium')
    return groove === 'v-smooth' && !isSoft(wire) ? 'v-on-aluminium' : 'shaves-aluminium'
  if (groove === 'u') return 'slips-on-steel'
  // Some makers feed stainless by a fine knurl; carbon steel it only chews.
  return wire.metal === 'stainless' ? 'knurl-on-stainless' : 'chews-solid'
}
const isSoft = ({ classification }: Wire): boolean => fillerFamilyOf(classification) === 'al-silicon'
/** Feeds all the same, with care. */
const WITH_CARE: readonly string[] = ['smooth-on-cored', 'v-on-aluminium', 'knurl-on-stainless']

/** Neighbours that one groove is often cut for: 0.030 and 0.035, 0.040 and 0.045. */
const SHARED_GROOVES: readonly (readonly [number, number])[] = [
  [0.762, 0.889],
  [1.016, 1.143],
]
const isShared = (oneMm: number, otherMm: number): boolean =>
  SHARED_GROOVES.some((pair) => [oneMm, otherMm].every((mm) => pair.some((size) => isSameSize(size, mm))))

const isWithin = ({ wireMinMm, wireMaxMm }: RollGroove, mm: number): boolean =>
  mm > wireMinMm - SAME_SIZE_MM && mm < wireMaxMm + SAME_SIZE_MM

/** How far a groove is from what the wire needs: 0 as it should be, 1 with care, 2 not. */
function missOf(groove: RollGroove, wire: Wire): readonly [form: number, size: number] {
  const form = groove.form === grooveFor(wire) ? 0 : WITH_CARE.includes(whyNot(wire, groove.form)) ? 1 : 2
  const mm = wire.diameterMm
  const isNear = isShared(groove.wireMinMm, mm) || isShared(groove.wireMaxMm, mm)
  return [form, isWithin(groove, mm) ? 0 : isNear ? 1 : 2]
}

/**
 * @returns the groove of a roll that a wire is laid in: the one that suits it best
 * @example grooveInUse(roll, wire).form // 'v-knurled'
 */
export function grooveInUse({ grooves }: DriveRoll, wire: Wire): RollGroove {
  const rank = (groove: RollGroove) => {
    const [form, size] = missOf(groove, wire)
    return 10 * Math.max(form, size) + form + size
  }
  return grooves.reduce((best, next) => (rank(next) < rank(best) ? next : best))
}

const rollGroove = ofSetUp(
  'roll-groove',
  'together',
  ['roll', 'wire'],
  ({ roll, fedWire }) => {
    if (!fedWire || !roll) return null
    const wanted = grooveFor(fedWire)
    const { form } = grooveInUse(roll, fedWire)
    const params = {
      wire: fedWire.name,
      wanted: word('groove', wanted),
      has: word('groove', form),
      size: figure(fedWire.diameterMm, 'mm diameter'),
    }
    if (form === wanted) return good('right', params, ROLLS)
    const why = whyNot(fedWire, form)
    return WITH_CARE.includes(why) ? poor(why, params, ROLLS) : bad(why, params, ROLLS)
  },
  {
    concerns: 'feed-path',
    mends: (_c, _d, { params, verdict }) =>
      verdict === 'fails'
        ? [message('roll-with-groove', { wanted: params['wanted'] ?? '', size: params['size'] ?? '' })]
        : [],
  },
)

/** The groove takes the wire by its stamp, or is that of a neighbour, where one groove often serves both. */
const rollSize = ofSetUp(
  'roll-size',
  'together',
  ['roll', 'wire'],
  ({ roll, fedWire }) => {
    if (!fedWire || !roll) return null
    const groove = grooveInUse(roll, fedWire)
    const { wireMinMm, wireMaxMm } = groove
    const mm = fedWire.diameterMm
    const isOneSize = isSameSize(wireMinMm, wireMaxMm)
    const params = {
      groove: figure(isOneSize || mm < wireMinMm ? wireMinMm : wireMaxMm, 'mm diameter'),
      from: figure(wireMinMm, 'mm diameter'),
      size: figure(mm, 'mm diameter'),
    }
    const [, size] = missOf(groove, fedWire)
    if (size === 0) {
      if (roll.grooves.length > 1) return good(isOneSize ? 'turned' : 'turned-range', params, ROLLS)
      return good(isOneSize ? 'same' : 'range', params, ROLLS)
    }
    if (size === 1) return poor('neighbour', params, ROLLS)
    return bad(wireMinMm > mm ? 'slips' : 'flattens', params, ROLLS)
  },
  {
    concerns: 'feed-path',
    mends: (_c, _d, { params }) => [message('roll-of-size', { size: params['size'] ?? '' })],
  },
)

/** Rolls are made for one drive. */
const rollSystem = ofSetUp(
  'roll-system',
  'together',
  [...FEED_SLOTS, 'roll'],
  ({ feedPath, roll, gun }) => {
    if (!roll || !feedPath || gun?.drive === 'spool') return null
    const own = feedPath.feeder.rollSystem
    if (own === null) return notKnown(message('roll-drive', { feeder: feedPath.name }))
    if (roll.rollSystem === null) return notKnown(message('drive-of-roll', { roll: roll.name }))
    const params = { feeder: feedPath.name, roll: roll.name, own, has: roll.rollSystem }
    return own === roll.rollSystem ? good('goes', params, PLATE) : bad('other', params, PLATE)
  },
  {
    concerns: 'feed-path',
    mends: (_c, _d, { params }) => [message('roll-for-drive', { own: params['own'] ?? '' })],
  },
)

export const ROLL_CRITERIA: readonly Criterion[] = [rollGroove, rollSize, rollSystem]
