/** Rules of the liner: what it is made of, its size and length, and one metal for each. */
import type { Metal } from '../../model/equipment.ts'
import { dataPlate, handbook } from '../../model/source.ts'
import { diameter, fits, type Judge, print, type Rule, SAME_SIZE_MM, short, tight, wants } from '../rule.ts'
import { fedWire } from './fedWire.ts'

const PLATE = dataPlate()
const METAL_WORDS: Readonly<Record<Metal, string>> = {
  'carbon-steel': 'carbon steel',
  stainless: 'stainless',
  aluminium: 'aluminium',
}

/** Steel for steel; polymer or graphite for aluminium. */
const linerMaterial: Judge = (assembly) => {
  const { liner, gun } = assembly
  const wire = fedWire(assembly)
  if (!wire || !liner || gun?.drive === 'spool') return null
  const source = handbook('liners by wire, welding handbooks')
  if (wire.metal === 'aluminium') {
    return liner.material === 'steel'
      ? short(
          'Aluminium through a steel liner is shaved and jams: polymer or graphite',
          source,
          wants(() => `A polymer or graphite liner for ${diameter(assembly, wire.diameterMm)}`),
        )
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
  const linerFor = () => wants(() => `A liner for ${diameter(assembly, wire.diameterMm)}`)
  if (wire.diameterMm > liner.wireMaxMm + SAME_SIZE_MM) {
    return short(() => `The liner is for ${range()}: ${wire.name} binds in it`, PLATE, linerFor())
  }
  return wire.diameterMm < liner.wireMinMm - SAME_SIZE_MM
    ? short(
        () => `The liner is for ${range()}: ${wire.name} wanders in it and feeds in jerks`,
        PLATE,
        linerFor(),
      )
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
        undefined,
        wants(() => `A liner of at least ${length(gun.lengthMm)}`),
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
    wants(`A liner kept for ${METAL_WORDS[wire.metal]}`),
  )
}

export const LINER_RULES: readonly Rule[] = [
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
]
