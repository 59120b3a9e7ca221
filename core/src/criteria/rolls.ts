/** Criteria of the drive rolls: groove, size, and the drive that they are made for. */
import { dataPlate, handbook } from '../basis/source.ts'
import { FEED_SLOTS } from '../capability/capability.ts'
import { figure, message, word } from '../model/message.ts'
import { grooveFor, grooveInUse, missOf, whyNot, WITH_CARE } from '../trade/rollGroove.ts'
import { isSameSize } from '../trade/sameSize.ts'
import type { Criterion } from './criterion.ts'
import { bad, good, notKnown, ofSetUp, poor } from './grouped.ts'

const PLATE = dataPlate()
const ROLLS = handbook('drive roll grooves by wire, welding handbooks')

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
