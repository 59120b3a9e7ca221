/** Whole set-ups of what a shop has, and the generic classes of machines that a beginner takes. */
import { USUAL_RUN } from '../kinds/usualRun.ts'
import { describe, expect, it } from 'vitest'
import { partsOf } from '../fit/document.ts'
import { fitJob } from '../fit/fit.ts'
import { LIBRARY, type LibraryEntry } from '../library/index.ts'
import { LIBRARY_MACHINES } from '../library/machines.ts'
import type { Circuit, Gas, Gun, PowerSource, SetUp, Tungsten, Wire } from '../kinds/equipment.ts'
import { newJob } from '../joints/newJoint.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { plateFindings } from '../supply/plateCheck.ts'
import { demoShop } from '../testing/samples.ts'
import { gunFor, proposeSetUps } from './propose.ts'

const { shop } = demoShop()
const circuit = (voltageV: number, phases: 1 | 3, breakerA: number, conductorSize: string): Circuit => ({
  id: `c${voltageV}`,
  name: `${voltageV} V`,
  voltageV,
  phases,
  breakerA,
  conductorSize,
  columnC: 60,
  ...USUAL_RUN,
  held: 'owned',
  price: null,
  lengthMm: 9144,
})
const CIRCUITS = [
  circuit(120, 1, 20, '12 AWG'),
  circuit(240, 1, 50, '6 AWG'),
  circuit(230, 1, 30, '10 AWG'),
  circuit(400, 3, 30, '10 AWG'),
]
const named = <T>(path: LibraryEntry['path'], ...names: readonly string[]): T[] =>
  LIBRARY.filter((one) => one.path === path && names.includes(one.record.name)).map(
    ({ record }) => record as T,
  )
const WIRES = named<Wire>(
  'wires',
  '0.035 ER70S-6, 200 mm spool',
  '0.035 E71T-11, 200 mm spool',
  '3/32 ER308L rod',
  '3/32 ER4043 rod',
  '1/8 E7018 electrode',
)
const GASES = named<Gas>('gases', '75/25 Ar/CO₂', 'Argon')
const TUNGSTENS = LIBRARY.filter(
  ({ path, record }) => path === 'tungstens' && /^3\/32 WLa/.test(record.name),
).map(({ record }) => record as Tungsten)

/** What a shop has that took one machine of the library with what comes in its box. */
function shelfOf({ record, comesWith = [] }: LibraryEntry<'power-sources'>): Shelf {
  const source: PowerSource = { ...record, held: 'owned' }
  const guns = comesWith.map((id): Gun => {
    const found = LIBRARY.find((one) => one.record.id === id)
    if (found?.path !== 'guns') throw new Error(`${record.name} comes with ${id}, which is no gun`)
    return { ...gunFor(found.record as Gun, source), held: 'owned' }
  })
  return {
    generators: [],
    panels: [],
    loads: [],
    circuits: CIRCUITS,
    powerSources: [source],
    feeders: [],
    guns,
    parts: [],
    wires: WIRES,
    gases: GASES,
    tungstens: TUNGSTENS,
    cylinders: [],
    spools: [],
    suppliers: [],
    offers: [],
    presentSetUps: [],
    stock: [],
  }
}

describe('machines of the library', () => {
  it.each(LIBRARY_MACHINES.map((entry) => [entry.record.name, entry] as const))(
    '%s: a plate that can be, marked as typical, and set-ups without anything unknown',
    (_name, entry) => {
      expect(entry.record.typical).toBe(true)
      expect(plateFindings(entry.record)).toEqual([])
      const shelf = shelfOf(entry)
      const { proposals } = proposeSetUps(shop, shelf)
      expect(proposals.length).toBeGreaterThan(0)
      for (const { setUp, parts } of proposals) {
        const whole = { id: 'x', ...setUp } as SetUp
        const answer = partsOf(whole, { ...shelf, parts: [...parts] })
        if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
        const fit = fitJob({ shop, job: newJob('j', 'Job'), setUp: whole, ...answer.parts })
        expect(
          fit.criteria.filter(({ verdict }) => verdict === 'unknown').map(({ criterion }) => criterion),
          setUp.name,
        ).toEqual([])
      }
    },
  )
  it.each(
    LIBRARY_MACHINES.flatMap(({ record }) =>
      record.processes.flatMap(({ family, supplies }) =>
        supplies.flatMap(({ voltageV, i1MaxA, i1EffA, ratedPoints }) =>
          i1MaxA === null || i1EffA === null
            ? []
            : [[`${record.name}, ${family}, ${voltageV} V`, i1MaxA, i1EffA, ratedPoints] as const],
        ),
      ),
    ),
  )(
    '%s: I₁eff is I₁max by the root of the duty, and no less (IEC 60974-1, from memory)',
    (_name, most, effective, points) => {
      const shortest = Math.min(...points.map(({ dutyPct }) => dutyPct))
      expect(effective).toBeLessThan(most)
      // The idle current adds a little to it.
      expect(effective / (most * Math.sqrt(shortest / 100))).toBeGreaterThan(0.97)
      expect(effective / (most * Math.sqrt(shortest / 100))).toBeLessThan(1.15)
    },
  )
})

describe('set-ups that are proposed', () => {
  const dual = LIBRARY_MACHINES.find(({ record }) => record.name.startsWith('120/240 V, 210 A'))
  if (!dual) throw new Error('no such class')

  it('hang on the circuit on which the machine gives more (common practice)', () => {
    for (const { setUp } of proposeSetUps(shop, shelfOf(dual)).proposals) expect(setUp.circuitId).toBe('c240')
  })
  it('take the rolls that the wire wants: smooth V for solid, knurled for cored (welding handbooks)', () => {
    const { proposals } = proposeSetUps(shop, shelfOf(dual))
    const rollOf = (process: string) =>
      proposals
        .find(({ setUp }) => setUp.process === process)
        ?.parts.find(({ kind }) => kind === 'drive-roll')
    expect(rollOf('gmaw-short')).toMatchObject({ grooves: [{ form: 'v-smooth' }] })
    expect(rollOf('fcaw-s')).toMatchObject({ grooves: [{ form: 'v-knurled' }] })
  })
  it('take a part of the shelf before one of the library', () => {
    const shelf = shelfOf(dual)
    const tip = proposeSetUps(shop, shelf).proposals[0]?.parts.find(({ kind }) => kind === 'contact-tip')
    if (!tip) throw new Error('no tip')
    const own = { ...tip, id: 'my-tip', name: 'My tip' }
    const [first] = proposeSetUps(shop, { ...shelf, parts: [own] }).proposals
    expect(first?.setUp.tipId).toBe('my-tip')
    expect(first?.parts.map(({ kind }) => kind)).not.toContain('contact-tip')
  })
  it('make a part of the library the one that goes into this gun and under this wire', () => {
    const shelf = shelfOf(dual)
    const [gun] = shelf.guns
    const [source] = shelf.powerSources
    if (!gun || !source) throw new Error('a machine with its gun')
    const named: Shelf = {
      ...shelf,
      guns: [{ ...gun, partsClass: '((M6)) Hand-Gun))' }],
      powerSources: [{ ...source, feeder: source.feeder && { ...source.feeder, rollSystem: '30 × 10 mm' } }],
    }
    const parts = proposeSetUps(shop, named).proposals.flatMap((one) => one.parts)
    const kinds = new Set(parts.map(({ kind }) => kind))
    expect([...kinds]).toEqual(expect.arrayContaining(['drive-roll', 'contact-tip', 'nozzle', 'liner']))
    for (const part of parts) {
      const { id, name, held, kind } = part
      expect(held).toBe('owned')
      // As every key of the shelf: words in small letters with single hyphens between.
      expect(id).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/)
      expect(id.length).toBeLessThanOrEqual(64)
      if (part.kind === 'drive-roll') {
        expect(part.rollSystem).toBe('30 × 10 mm')
        expect(name).toMatch(/, 30 × 10 mm$/)
        expect(id).toMatch(/-30-10-mm$/)
      }
      if (part.kind === 'contact-tip' || part.kind === 'nozzle') {
        expect(part.partsClass).toBe('((M6)) Hand-Gun))')
        expect(name).toMatch(/, \(\(M6\)\) Hand-Gun\)\)$/)
        expect(id).toMatch(/-m6-hand-gun$/)
      }
      if (kind === 'liner') expect(name).not.toContain('Hand-Gun')
    }
  })
  it('give a part a key of no more than 64 letters, however long the names are', () => {
    const shelf = shelfOf(dual)
    const long = 'of the wide bench feeder by the far door of the shed that was the barn before'
    const parts = proposeSetUps(shop, {
      ...shelf,
      guns: shelf.guns.map((gun) => ({ ...gun, partsClass: long })),
      powerSources: shelf.powerSources.map((one) => ({
        ...one,
        feeder: one.feeder && { ...one.feeder, rollSystem: long },
      })),
    }).proposals.flatMap((one) => one.parts)
    const keys = parts
      .filter(({ name }) => name.endsWith(long))
      .map(({ kind, id }) => [kind, id.length] as const)
    expect(new Set(keys.map(([kind]) => kind))).toEqual(new Set(['drive-roll', 'contact-tip', 'nozzle']))
    for (const [, length] of keys) expect(length).toBe(64)
  })
  it('leave out what is only thought of', () => {
    const shelf = shelfOf(dual)
    const thought = shelf.powerSources.map((one) => ({ ...one, held: 'candidate' as const }))
    expect(proposeSetUps(shop, { ...shelf, powerSources: thought }).proposals).toEqual([])
  })
  it('say what is lacking where there is none', () => {
    const { proposals, lacks } = proposeSetUps(shop, { ...shelfOf(dual), gases: [] })
    expect(proposals.map(({ setUp }) => setUp.process)).toEqual(['fcaw-s'])
    expect(lacks.find(({ process }) => process === 'gmaw-short')).toMatchObject({ code: 'lacks' })
    expect(proposeSetUps(shop, { ...shelfOf(dual), circuits: [] }).proposals).toEqual([])
  })
  // Common practice: AC for aluminium, DCEN for the rest; whoever wants it otherwise puts it together himself.
  it('hold an aluminium rod on AC and a steel or stainless one on DC', () => {
    const { proposals } = proposeSetUps(shop, demoShop())
    const metals = (process: string) =>
      new Set(
        proposals.flatMap(({ setUp }) =>
          setUp.process === process
            ? (demoShop().wires.find(({ id }) => id === setUp.wireId)?.metal ?? [])
            : [],
        ),
      )
    expect(metals('gtaw-ac')).toEqual(new Set(['aluminium']))
    expect(metals('gtaw-dc')).toEqual(new Set(['stainless']))
  })
  // Common practice, no source: rolls, liner and tip are changed with the wire.
  it('are one for each wire that the gun feeds, with rolls for each', () => {
    const { proposals } = proposeSetUps(shop, demoShop())
    const fed = proposals
      .filter(({ setUp }) => setUp.powerSourceId === 'quillon-210' && setUp.process === 'gmaw-short')
      .map(({ setUp }) => [setUp.wireId, setUp.rollId])
    expect(fed).toEqual([
      ['er70s6-030', 'roll-quillon-v-smooth-0030'],
      ['er70s6-035', 'roll-quillon-v-smooth-0035'],
      ['er70s6-045', expect.stringContaining('v-smooth')],
    ])
  })
  it('take no more than three wires of a process, and of one wire on several spools the first', () => {
    const [wire] = WIRES.filter(({ form }) => form === 'covered')
    if (!wire) throw new Error('no electrode')
    const sticks = [3.2, 3.2, 2.4, 2.0, 1.6].map((diameterMm, at): Wire => ({
      ...wire,
      id: `stick-${at}`,
      name: `Stick ${at}`,
      diameterMm,
    }))
    const { proposals } = proposeSetUps(shop, { ...demoShop(), wires: sticks })
    const held = proposals.flatMap(({ setUp }) =>
      setUp.process === 'smaw' && setUp.powerSourceId === 'quillon-210' ? [setUp.wireId] : [],
    )
    expect(held).toHaveLength(3)
    expect(held.filter((id) => id === 'stick-0' || id === 'stick-1')).toHaveLength(1)
  })
  it('have no gun, feeder or part that is only thought of', () => {
    const demo = demoShop()
    const thought = new Set(
      [...demo.guns, ...demo.feeders, ...demo.parts].flatMap(({ id, held }) =>
        held === 'candidate' ? id : [],
      ),
    )
    const alike = { ...demo, guns: demo.guns.map((gun) => ({ ...gun, id: `${gun.id}-used` })) }
    // What is thought of stands first on the shelf, and would go as well.
    const twins = {
      ...alike,
      guns: [...demo.guns.map((gun) => ({ ...gun, held: 'candidate' as const })), ...alike.guns],
    }
    for (const shelf of [demo, twins]) {
      const { proposals } = proposeSetUps(shop, shelf)
      expect(proposals.length).toBeGreaterThan(10)
      for (const { setUp } of proposals) {
        if (shelf === twins) expect(setUp.gunId).toMatch(/-used$/)
        for (const id of [setUp.gunId, setUp.feederId, setUp.rollId, setUp.linerId, setUp.tipId])
          expect(thought.has(id ?? '')).toBe(false)
      }
    }
  })
  it('name what is lacking: circuit, rod and gun, each once', () => {
    const whatOf = (shelf: Shelf) =>
      proposeSetUps(shop, shelf).lacks.map(({ process, params }) => [
        process,
        (params['what'] as { list: readonly { code: string }[] }).list.map(({ code }) => code),
      ])
    const shelf = demoShop()
    const bare = { ...shelf, circuits: [], wires: [] }
    expect(whatOf(bare)).toContainEqual(['smaw', ['circuit', 'wire-covered']])
    const empty = { ...shelf, guns: shelf.guns.filter(({ kind }) => kind !== 'holder') }
    expect(whatOf(empty)).toContainEqual(['smaw', ['gun-covered']])
  })
  it('of a set that an engine drives hang on no circuit, though there is one', () => {
    const demo = demoShop()
    const powerSources = demo.powerSources.map((one) => ({ ...one, held: 'owned' as const }))
    const { proposals } = proposeSetUps(shop, { ...demo, powerSources })
    const heath = proposals.filter(({ setUp }) => setUp.powerSourceId === 'heath-300')
    expect(heath.length).toBeGreaterThan(0)
    for (const { setUp } of heath) expect(setUp.circuitId).toBeNull()
  })
})
