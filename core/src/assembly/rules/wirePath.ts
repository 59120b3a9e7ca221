/** Rules of the wire path: rolls, liner, tip, nozzle, spool and gun, from the feeder to the arc. */
import { commonPractice, dataPlate, handbook, standard } from '../../model/source.ts'
import type { Connector, Groove, Gun, Metal, PowerSource, SpoolMm, Wire } from '../../model/equipment.ts'
import { CONNECTOR_WORDS } from '../../model/equipment.ts'
import { isCored } from '../../trade/burnOff.ts'
import { type Assembly, FEED_SLOTS, feedPathOf } from '../assembly.ts'
import { compatibleTipsMm } from '../tipSizes.ts'
import {
  diameter,
  fits,
  isSameSize,
  type Judge,
  notKnown,
  print,
  type Rule,
  SAME_SIZE_MM,
  short,
  tight,
} from '../rule.ts'
import { isSoft } from './aluminium.ts'

const PLATE = dataPlate()
const ROLLS = handbook('drive roll grooves by wire, welding handbooks')
const METAL_WORDS: Readonly<Record<Metal, string>> = {
  'carbon-steel': 'carbon steel',
  stainless: 'stainless',
  aluminium: 'aluminium',
}
export const GROOVE_WORDS: Readonly<Record<Groove, string>> = {
  'v-smooth': 'smooth V',
  'v-knurled': 'knurled V',
  u: 'U',
}

/** The wire on a spool that this process feeds; null for a rod or none. */
const fedWire = ({ process, wire }: Assembly): Wire | null =>
  process.feedsWire && wire && wire.form !== 'rod' ? wire : null

/** A feeder takes a range of wire sizes. */
const wireSizeFed: Judge = (assembly) => {
  const path = feedPathOf(assembly)
  const wire = fedWire(assembly)
  if (!wire || !path) return null
  const { wireMinMm, wireMaxMm } = path.feeder
  if (wireMinMm === null || wireMaxMm === null) return notKnown(`the wire sizes that ${path.name} takes`)
  const range = () => `${diameter(assembly, wireMinMm)} to ${diameter(assembly, wireMaxMm)}`
  return wire.diameterMm < wireMinMm - SAME_SIZE_MM || wire.diameterMm > wireMaxMm + SAME_SIZE_MM
    ? short(
        () => `${path.name} feeds ${range()}; ${wire.name} is ${diameter(assembly, wire.diameterMm)}`,
        PLATE,
      )
    : fits(() => `${path.name} feeds ${range()}`, PLATE)
}

/** `200 mm (8 in)`: spools are called by both. */
const spoolWords = (spoolMm: SpoolMm): string => `${spoolMm} mm (${spoolMm / 25} in)`

/** A spool that does not go on the hub. */
const spoolSize: Judge = (assembly) => {
  const path = feedPathOf(assembly)
  const wire = fedWire(assembly)
  if (!wire || !path) return null
  const { spoolMm } = wire
  if (spoolMm === null) return notKnown(`the spool of ${wire.name}`)
  if (path.feeder.spoolsMm.length === 0) return notKnown(`the spools that ${path.name} takes`)
  const takes = () => path.feeder.spoolsMm.map(spoolWords).join(' or ')
  const source = standard('ISO 544, spools S 100, S 200, S 300', true)
  return path.feeder.spoolsMm.includes(spoolMm)
    ? fits(() => `${path.name} takes ${takes()} spools`, source)
    : short(
        () => `${wire.name} is on a ${spoolWords(spoolMm)} spool; ${path.name} takes ${takes()}`,
        source,
        {
          mends: [{ says: 'The same wire on a spool that it takes' }],
        },
      )
}

/** A hub or a spool gun carries so much. */
const spoolMass: Judge = (assembly) => {
  const path = feedPathOf(assembly)
  const wire = fedWire(assembly)
  if (!wire || !path || path.feeder.spoolMostG === null) return null
  const mostG = path.feeder.spoolMostG
  const has = () => print(assembly, wire.packageG, 'g')
  return wire.packageG > mostG * 1.001
    ? short(
        () => `A spool of ${wire.name} weighs ${has()}; ${path.name} carries ${print(assembly, mostG, 'g')}`,
        PLATE,
      )
    : fits(() => `${path.name} carries the spool of ${has()}`, PLATE)
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
    : short(says, ROLLS)
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
    : short(() => `${path.name} takes rolls “${own}”; ${roll.name} is for “${roll.rollSystem}”`, PLATE)
}

/** Steel for steel; polymer or graphite for aluminium. */
const linerMaterial: Judge = (assembly) => {
  const { liner, gun } = assembly
  const wire = fedWire(assembly)
  if (!wire || !liner || gun?.drive === 'spool') return null
  const source = handbook('liners by wire, welding handbooks')
  if (wire.metal === 'aluminium') {
    return liner.material === 'steel'
      ? short('Aluminium through a steel liner is shaved and jams: polymer or graphite', source)
      : fits('A slippery liner for aluminium', source)
  }
  if (liner.material === 'steel') return fits('A steel liner for steel wire', source)
  return wire.metal === 'stainless'
    ? fits('A polymer liner keeps stainless wire clean; it wears sooner than steel', source)
    : tight('Hard steel wire cuts a polymer or graphite liner: it wears fast', source)
}

const linerSize: Judge = (assembly) => {
  const { liner, gun } = assembly
  const wire = fedWire(assembly)
  if (!wire || !liner || gun?.drive === 'spool') return null
  const range = () => `${diameter(assembly, liner.wireMinMm)} to ${diameter(assembly, liner.wireMaxMm)}`
  if (wire.diameterMm > liner.wireMaxMm + SAME_SIZE_MM) {
    return short(() => `The liner is for ${range()}: ${wire.name} binds in it`, PLATE)
  }
  return wire.diameterMm < liner.wireMinMm - SAME_SIZE_MM
    ? short(() => `The liner is for ${range()}: ${wire.name} wanders in it and feeds in jerks`, PLATE)
    : fits(() => `The liner is for ${range()}`, PLATE)
}

const linerLength: Judge = (assembly) => {
  const { liner, gun, process } = assembly
  if (!process.feedsWire || !liner || !gun || gun.drive === 'spool') return null
  const length = (valueMm: number) => print(assembly, valueMm, 'mm length')
  return liner.lengthMm < gun.lengthMm
    ? short(
        () =>
          `The liner is ${length(liner.lengthMm)} and the gun ${length(gun.lengthMm)}: it does not reach the tip`,
      )
    : fits(() => `The liner is ${length(liner.lengthMm)}; cut it to the gun`)
}

/** What one metal leaves in a liner, the next picks up. */
const linerOneMetal: Judge = (assembly) => {
  const { liner, gun } = assembly
  const wire = fedWire(assembly)
  if (!wire || !liner || gun?.drive === 'spool') return null
  const { usedFor } = liner
  if (usedFor === null || usedFor === wire.metal) {
    return fits(
      usedFor === null ? 'The liner is new: keep it for this metal' : 'The liner has run this metal only',
    )
  }
  return short(
    () =>
      `The liner has run ${METAL_WORDS[usedFor]}: what it left there gets into ${METAL_WORDS[wire.metal]}. One metal per liner`,
    undefined,
    { mends: [{ says: `A liner kept for ${METAL_WORDS[wire.metal]}` }] },
  )
}

/** Tip as the wire; for aluminium one size over, or the wire's own by the other school. */
const tipBore: Judge = (assembly) => {
  const { tip, shop } = assembly
  const wire = fedWire(assembly)
  if (!wire || !tip) return null
  const { wantedMm, otherMm } = compatibleTipsMm(wire, shop)
  const has = () => diameter(assembly, tip.wireMm)
  const wants = () => diameter(assembly, wantedMm)
  if (isSameSize(tip.wireMm, wantedMm)) {
    return fits(
      otherMm === null
        ? `Tip of ${has()} for the wire`
        : shop.aluminiumTip === 'one-over'
          ? `Tip of ${has()}, one size over: aluminium swells as it heats`
          : `Tip of ${has()}, the wire’s own size, as this shop has it`,
    )
  }
  if (otherMm !== null && isSameSize(tip.wireMm, otherMm)) {
    return tight(
      shop.aluminiumTip === 'one-over'
        ? `Tip of ${has()} is the wire’s own size: aluminium swells and may stick; this shop goes one over, ${wants()}`
        : `Tip of ${has()} is one size over; this shop takes the wire’s own, ${wants()}, for better contact`,
    )
  }
  return short(
    tip.wireMm < wire.diameterMm
      ? `Tip of ${has()} is too small for ${wire.name}: it wants ${wants()}`
      : `Tip of ${has()} is too wide for ${wire.name}: poor contact, burn-back; it wants ${wants()}`,
  )
}

/** A gasless nozzle lets gas go anywhere but round the arc. */
const nozzleForGas: Judge = ({ nozzle, process }) => {
  if (!nozzle || !process.feedsWire) return null
  if (process.shielded) {
    return nozzle.gasless
      ? short(() => `${nozzle.name} has no gas shroud: ${process.workshopWord} needs a gas nozzle`)
      : fits('A gas nozzle for a gas-shielded wire')
  }
  return nozzle.gasless
    ? fits('A gasless nozzle: better sight, and it shields the gas ports')
    : fits(
        'A gas nozzle on self-shielded wire: no harm, and it shields the gas ports; some take it off or use a gasless one to see better',
      )
}

interface Socket {
  readonly name: string
  readonly has: Connector | null
}
/** Where a gun or torch is plugged in: a torch and a spool gun at the source, any other gun at the feeder. */
function socketFor(
  assembly: Assembly,
  gun: Gun,
  { name, torchConnector, feeder }: PowerSource,
): Socket | null {
  if (gun.kind === 'torch') return { name, has: torchConnector }
  if (gun.drive === 'spool') return { name, has: feeder?.gunConnector ?? null }
  const path = feedPathOf(assembly)
  return path && { name: path.name, has: path.feeder.gunConnector }
}

/** What is plugged in must go in. */
const connector: Judge = (assembly) => {
  const { gun, process, powerSource } = assembly
  if (!gun || !powerSource) return null
  const machine = socketFor(assembly, gun, powerSource)
  if ((gun.kind === 'gun') !== process.feedsWire || !machine) return null
  const { name, has } = machine
  if (has === null) return notKnown(`the ${gun.kind} connector of ${name}`)
  const own = gun.connector
  if (own === null) return notKnown(`the connector of ${gun.name}`)
  return own === has
    ? fits(() => `${gun.name} plugs into ${name}: ${CONNECTOR_WORDS[own]}`, PLATE)
    : short(() => `${gun.name} has a ${CONNECTOR_WORDS[own]}; ${name} has a ${CONNECTOR_WORDS[has]}`, PLATE, {
        mends: [{ says: 'The same gun with the other connector, or an adapter made for both' }],
      })
}

/** Aluminium buckles where it is pushed too far. */
const aluminiumPath: Judge = (assembly) => {
  const { gun, assume } = assembly
  const wire = fedWire(assembly)
  if (!wire || gun?.kind !== 'gun' || wire.metal !== 'aluminium') return null
  if (gun.drive === 'spool') return fits('A spool gun pushes aluminium a hand’s breadth: it feeds')
  if (gun.drive === 'push-pull') return fits('Push-pull keeps aluminium taut all the way')
  const mostMm = assume.value('aluminiumGunMostMm')
  const [length, most] = [print(assembly, gun.lengthMm, 'mm length'), print(assembly, mostMm, 'mm length')]
  const source = commonPractice('common practice: aluminium through an ordinary gun, no source')
  const soft = isSoft(wire.classification)
  if (gun.lengthMm > mostMm) {
    return short(
      () =>
        `${soft ? 'Soft ' : ''}${wire.name} through ${length} of ordinary gun buckles at the rolls: at most ${most}, straight`,
      source,
      { mends: [{ says: 'A spool gun or push-pull' }] },
    )
  }
  if (soft) {
    return short(() => `${wire.name} is too soft to push through any ordinary gun`, source, {
      mends: [{ says: 'A spool gun or push-pull, or the stiffer ER5356 where the metal allows it' }],
    })
  }
  return tight(
    () =>
      `${wire.name} through a short ordinary gun is for occasional work: ${gun.neck === 'straight' ? 'keep' : 'lay'} the hose straight, tension light`,
    source,
    { mends: [{ says: 'A spool gun or push-pull where aluminium is daily work' }] },
  )
}

export const WIRE_PATH_RULES: readonly Rule[] = [
  { id: 'connector', title: 'Connector', group: 'wire-path', slots: FEED_SLOTS, judge: connector },
  {
    id: 'wire-size-fed',
    title: 'Wire sizes of the feeder',
    group: 'wire-path',
    slots: [...FEED_SLOTS, 'wire'],
    judge: wireSizeFed,
  },
  {
    id: 'spool-size',
    title: 'Spool size',
    group: 'wire-path',
    slots: [...FEED_SLOTS, 'wire'],
    judge: spoolSize,
  },
  {
    id: 'spool-mass',
    title: 'Spool weight',
    group: 'wire-path',
    slots: [...FEED_SLOTS, 'wire'],
    judge: spoolMass,
  },
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
  {
    id: 'aluminium-path',
    title: 'Feeding aluminium',
    group: 'wire-path',
    slots: ['gun', 'wire'],
    judge: aluminiumPath,
  },
  {
    id: 'liner-material',
    title: 'Liner kind',
    group: 'wire-path',
    slots: ['gun', 'liner', 'wire'],
    judge: linerMaterial,
  },
  {
    id: 'liner-size',
    title: 'Liner size',
    group: 'wire-path',
    slots: ['gun', 'liner', 'wire'],
    judge: linerSize,
  },
  {
    id: 'liner-length',
    title: 'Liner length',
    group: 'wire-path',
    slots: ['gun', 'liner'],
    judge: linerLength,
  },
  {
    id: 'liner-one-metal',
    title: 'One metal per liner',
    group: 'wire-path',
    slots: ['gun', 'liner', 'wire'],
    judge: linerOneMetal,
  },
  { id: 'tip-bore', title: 'Contact tip', group: 'wire-path', slots: ['tip', 'wire'], judge: tipBore },
  { id: 'nozzle-for-gas', title: 'Nozzle', group: 'wire-path', slots: ['nozzle'], judge: nozzleForGas },
]
