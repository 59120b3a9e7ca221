/** Rules of the drive rolls: groove, size, and the drive that they are made for. */
import type { Groove } from '../../model/equipment.ts'
import { dataPlate, handbook } from '../../model/source.ts'
import { isCored } from '../../trade/burnOff.ts'
import { FEED_SLOTS, feedPathOf } from '../assembly.ts'
import { diameter, fits, isSameSize, type Judge, notKnown, type Rule, short, tight, wants } from '../rule.ts'
import { fedWire } from './fedWire.ts'

const PLATE = dataPlate()
const ROLLS = handbook('drive roll grooves by wire, welding handbooks')
export const GROOVE_WORDS: Readonly<Record<Groove, string>> = {
  'v-smooth': 'smooth V',
  'v-knurled': 'knurled V',
  u: 'U',
}

/** Smooth V for solid steel, knurled V for cored, U for aluminium. */
const rollGroove: Judge = (assembly) => {
  const { roll } = assembly
  const wire = fedWire(assembly)
  if (!wire || !roll) return null
  const wanted: Groove = isCored(wire) ? 'v-knurled' : wire.metal === 'aluminium' ? 'u' : 'v-smooth'
  if (roll.groove === wanted) return fits(() => `${GROOVE_WORDS[wanted]} groove for ${wire.name}`, ROLLS)
  const why = isCored(wire)
    ? 'knurled V grips the soft tube without crushing it'
    : wire.metal === 'aluminium'
      ? 'a V shaves and flattens aluminium, a U does not'
      : roll.groove === 'u'
        ? 'a U slips on steel wire'
        : 'knurls chew solid wire, and the chips fill the liner'
  const says = `${wire.name} wants a ${GROOVE_WORDS[wanted]} groove, not ${GROOVE_WORDS[roll.groove]}: ${why}`
  return isCored(wire) && roll.groove === 'v-smooth'
    ? tight(() => `${says}. Some run cored wire on a smooth V at low tension`, ROLLS)
    : short(
        says,
        ROLLS,
        wants(() => `A ${GROOVE_WORDS[wanted]} roll for ${diameter(assembly, wire.diameterMm)}`),
      )
}

/** The groove's size is the wire's. */
const rollSize: Judge = (assembly) => {
  const { roll } = assembly
  const wire = fedWire(assembly)
  if (!wire || !roll) return null
  return isSameSize(roll.wireMm, wire.diameterMm)
    ? fits(() => `Groove of ${diameter(assembly, roll.wireMm)} for the wire`, ROLLS)
    : short(
        () =>
          `Groove of ${diameter(assembly, roll.wireMm)} and wire of ${diameter(assembly, wire.diameterMm)}: it ${roll.wireMm > wire.diameterMm ? 'slips' : 'flattens the wire'}`,
        ROLLS,
        wants(() => `A roll for ${diameter(assembly, wire.diameterMm)}`),
      )
}

/** Rolls are made for one drive. */
const rollSystem: Judge = (assembly) => {
  const path = feedPathOf(assembly)
  const { roll, gun } = assembly
  if (!roll || !path || gun?.drive === 'spool') return null
  const own = path.feeder.rollSystem
  if (own === null) return notKnown(`which rolls ${path.name} takes`)
  if (roll.rollSystem === null) return notKnown(`which drive ${roll.name} is for`)
  return own === roll.rollSystem
    ? fits(() => `${roll.name} goes on ${path.name}`, PLATE)
    : short(
        () => `${path.name} takes rolls “${own}”; ${roll.name} is for “${roll.rollSystem}”`,
        PLATE,
        wants(`A roll for “${own}”`),
      )
}

export const ROLL_RULES: readonly Rule[] = [
  {
    id: 'roll-groove',
    title: 'Groove of the rolls',
    group: 'wire-path',
    slots: ['roll', 'wire'],
    judge: rollGroove,
  },
  {
    id: 'roll-size',
    title: 'Size of the rolls',
    group: 'wire-path',
    slots: ['roll', 'wire'],
    judge: rollSize,
  },
  {
    id: 'roll-system',
    title: 'Rolls for the drive',
    group: 'wire-path',
    slots: [...FEED_SLOTS, 'roll'],
    judge: rollSystem,
  },
]
