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
})
