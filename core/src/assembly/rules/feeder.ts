/** Rules of the feeder: the wires and spools that it takes, and what plugs into it. */
import {
  type Connector,
  CONNECTOR_WORDS,
  type Gun,
  type PowerSource,
  type SpoolMm,
} from '../../model/equipment.ts'
import { dataPlate, standard } from '../../model/source.ts'
import { type Assembly, FEED_SLOTS, feedPathOf } from '../assembly.ts'
import {
  diameter,
  fits,
  type Judge,
  notKnown,
  print,
  type Rule,
  SAME_SIZE_MM,
  short,
  wants,
} from '../rule.ts'
import { fedWire } from './fedWire.ts'

const PLATE = dataPlate()

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
        wants(() => `A wire of ${range()}`),
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
        wants(() => `The same wire on a spool of ${takes()}`),
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
        wants(() => `A spool of at most ${print(assembly, mostG, 'g')}`),
      )
    : fits(() => `${path.name} carries the spool of ${has()}`, PLATE)
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
    : short(
        () => `${gun.name} has a ${CONNECTOR_WORDS[own]}; ${name} has a ${CONNECTOR_WORDS[has]}`,
        PLATE,
        wants(() => `A gun or torch with a ${CONNECTOR_WORDS[has]}, or an adapter made for both`),
      )
}

export const FEEDER_RULES: readonly Rule[] = [
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
]
