/** For tests: shelves as fast-check makes them, of few distinct figures, so that things go together often and not always. */
import { USUAL_RUN } from '../kinds/usualRun.ts'
import { METALS } from '../model/material.ts'
import fc from 'fast-check'
import type {
  Circuit,
  Feeder,
  Gas,
  Generator,
  Gun,
  Part,
  PowerSource,
  Tungsten,
  Wire,
} from '../kinds/equipment.ts'
import { CONNECTORS, GROOVES, LINER_MATERIALS, TUNGSTEN_TYPES } from '../kinds/equipment.ts'
import type { Shelf } from '../kinds/shelf.ts'
import {
  sampleFeeder,
  sampleGas,
  sampleGenerator,
  sampleGun,
  samplePart,
  samplePowerSource,
  sampleRoll,
  sampleSupply,
  sampleTungsten,
  sampleWire,
} from './equipment.ts'

const wireMm = fc.constantFrom(0.6, 0.762, 0.889, 1.016, 1.143, 1.5875)
const tungstenMm = fc.constantFrom(1.016, 1.5875, 2.38125)
const connector = fc.option(fc.constantFrom(...CONNECTORS.slice(0, 2)))
const partsClass = fc.option(fc.constantFrom('light', 'medium'), { freq: 8 })
const flag = fc.option(fc.boolean(), { freq: 8 })

const feeder = fc
  .record({
    feedMaxMmPerMin: fc.option(fc.constantFrom(4000, 12_000, 18_000)),
    rollSystem: fc.constantFrom('own', 'other'),
    spoolsMm: fc.constantFrom([100, 200] as (100 | 200)[], [200] as 200[]),
    wireMaxMm: fc.constantFrom(1.143, 1.6),
    gunConnector: connector,
  })
  .map((part) => sampleFeeder(part))

const powerSource: fc.Arbitrary<PowerSource> = fc
  .record({
    families: fc.subarray(['gmaw', 'fcaw', 'gtaw'] as const, { minLength: 1 }),
    ac: fc.boolean(),
    voltageV: fc.constantFrom(120, 240),
    outputMaxA: fc.constantFrom(90, 200, 350),
    feeder: fc.option(feeder),
    start: fc.subarray(['high-frequency', 'lift', 'scratch'] as const),
    polarityChange: fc.constantFrom('leads' as const, 'fixed-dcen' as const, null),
    torchConnector: connector,
    gasValve: flag,
    waterCooler: flag,
  })
  .map(({ families, ac, voltageV, outputMaxA, start, ...rest }) =>
    samplePowerSource({
      ...rest,
      start: [...start],
      processes: families.map((family) => ({
        family,
        outputs: ac && family === 'gtaw' ? ['dc', 'ac'] : ['dc'],
        pulse: false,
        claimMinMm: null,
        claimMaxMm: null,
        supplies: [
          sampleSupply({
            voltageV,
            outputMaxA,
            ratedPoints: [{ currentA: outputMaxA, dutyPct: 30, loadV: null }],
          }),
        ],
      })),
    }),
  )

const gun: fc.Arbitrary<Gun> = fc
  .record({
    kind: fc.constantFrom('gun' as const, 'torch' as const),
    drive: fc.constantFrom('none' as const, 'spool' as const, 'push-pull' as const),
    cooling: fc.constantFrom('air' as const, 'water' as const),
    lengthMm: fc.constantFrom(3048, 4572),
    connector,
    partsClass,
    valve: flag,
    feeder,
  })
  .map(({ drive, feeder: own, ...rest }) =>
    sampleGun({ ...rest, drive, feeder: drive === 'spool' ? own : null }),
  )

const wire: fc.Arbitrary<Wire> = fc
  .record({
    form: fc.constantFrom(
      'solid' as const,
      'cored-self-shielded' as const,
      'cored-gas-shielded' as const,
      'rod' as const,
    ),
    metal: fc.constantFrom(...METALS),
    classification: fc.constantFrom('ER70S-6', 'E71T-1C', 'E70T-1M', 'ER4043', 'ER5356'),
    diameterMm: wireMm,
    polarity: fc.constantFrom(null, 'dcen' as const),
    spoolMm: fc.constantFrom(null, 100 as const, 200 as const),
  })
  .map((part) => sampleWire(part))

const gas: fc.Arbitrary<Gas> = fc
  .constantFrom([100, 0, 0], [75, 25, 0], [90, 10, 0], [0, 100, 0], [7.5, 2.5, 90])
  .map(([argonPct = 0, co2Pct = 0, heliumPct = 0]) => sampleGas({ argonPct, co2Pct, heliumPct }))

const tungsten: fc.Arbitrary<Tungsten> = fc
  .record({
    type: fc.constantFrom(...TUNGSTEN_TYPES),
    diameterMm: tungstenMm,
    lengthMm: fc.constantFrom(75, 175),
  })
  .map((part) => sampleTungsten(part))

const circuit: fc.Arbitrary<Circuit> = fc
  .record({
    voltageV: fc.constantFrom(120, 240),
    phases: fc.constantFrom(1 as const, 1 as const, 3 as const),
    generatorId: fc.constantFrom(null, null, 'g'),
  })
  .map((part) => ({
    id: 'c',
    name: 'Circuit',
    breakerA: 50,
    conductorSize: '6 AWG',
    columnC: 75,
    ...USUAL_RUN,
    held: 'owned',
    price: null,
    lengthMm: 9000,
    ...part,
  }))

/** It is there or not; circuits that name it hang on it then. */
const generators: fc.Arbitrary<Generator[]> = fc
  .record({
    runningW: fc.constantFrom(2000, 7000, 12_000),
    startingW: fc.option(fc.constantFrom(12_000, 15_000)),
    powerFactor: fc.option(fc.constantFrom(0.8, 1)),
  })
  .map((one) => sampleGenerator(one))
  .chain((one) => fc.constantFrom([one], []))

const part: fc.Arbitrary<Part> = fc.oneof(
  fc
    .record({
      grooves: fc.array(
        fc.tuple(fc.constantFrom(...GROOVES), wireMm, wireMm).map(([form, one, other]) => ({
          form,
          wireMinMm: Math.min(one, other),
          wireMaxMm: Math.max(one, other),
        })),
        { minLength: 1, maxLength: 3 },
      ),
      rollSystem: fc.constantFrom('own', 'other', null),
    })
    .map((one) => samplePart('drive-roll', one)),
  fc
    .record({
      material: fc.constantFrom(...LINER_MATERIALS),
      usedFor: fc.option(fc.constantFrom(...METALS)),
      lengthMm: fc.constantFrom(3100, 4700),
    })
    .map((one) => samplePart('liner', one)),
  fc.record({ wireMm, partsClass }).map((one) => samplePart('contact-tip', one)),
  fc.record({ gasless: fc.boolean(), partsClass }).map((one) => samplePart('nozzle', one)),
  fc.record({ tungstenMm, partsClass }).map((one) => samplePart('collet', one)),
  fc.record({ tungstenMm, gasLens: fc.boolean(), partsClass }).map((one) => samplePart('collet-body', one)),
  fc
    .record({ number: fc.constantFrom(5, 7, 8), forGasLens: fc.boolean(), partsClass })
    .map((one) => samplePart('cup', one)),
  fc.record({ longestMm: fc.constantFrom(60, 178), partsClass }).map((one) => samplePart('back-cap', one)),
  fc
    .record({
      scales: fc.constantFrom(['argon'] as ('argon' | 'co2')[], ['argon', 'co2'] as ('argon' | 'co2')[]),
      fittings: fc.constantFrom(['inert'] as ('inert' | 'co2')[], ['inert', 'co2'] as ('inert' | 'co2')[]),
      heated: fc.boolean(),
    })
    .map((one) => samplePart('flow-meter', one)),
)

/** One of each small part, so that a set-up can be made whole; the random ones come on top. */
const CLASSES = ['light', 'medium'] as const
const DRAWER: readonly Part[] = [
  ...[0.6, 0.762, 0.889, 1.016, 1.143, 1.5875].flatMap((size) => [
    ...GROOVES.map((form) => sampleRoll(form, size)),
    ...CLASSES.map((name) => samplePart('contact-tip', { wireMm: size, partsClass: name })),
  ]),
  ...LINER_MATERIALS.map((material) => samplePart('liner', { material, wireMinMm: 0.6, wireMaxMm: 1.6 })),
  ...CLASSES.flatMap((name) => [
    samplePart('nozzle', { partsClass: name }),
    samplePart('cup', { partsClass: name }),
    samplePart('back-cap', { partsClass: name }),
    ...[1.016, 1.5875, 2.38125].flatMap((size) => [
      samplePart('collet', { tungstenMm: size, partsClass: name }),
      samplePart('collet-body', { tungstenMm: size, partsClass: name }),
    ]),
  ]),
  samplePart('flow-meter', { scales: ['argon', 'co2'], fittings: ['inert', 'co2'] }),
]

/** One of each that goes together with the drawer, so that most set-ups can be made whole; the random ones come on top. */
const BASICS: Pick<Shelf, 'circuits' | 'powerSources' | 'guns' | 'wires' | 'gases' | 'tungstens'> = {
  circuits: [
    {
      id: 'c',
      name: 'Circuit',
      voltageV: 240,
      phases: 1,
      breakerA: 50,
      conductorSize: '6 AWG',
      columnC: 75,
      ...USUAL_RUN,
      held: 'owned',
      price: null,
      lengthMm: 9000,
    },
  ],
  powerSources: [
    samplePowerSource({
      processes: (['gmaw', 'fcaw', 'gtaw'] as const).map((family) => ({
        family,
        outputs: family === 'gtaw' ? ['dc', 'ac'] : ['dc'],
        pulse: false,
        claimMinMm: null,
        claimMaxMm: null,
        supplies: [sampleSupply({ voltageV: 240 })],
      })),
      feeder: sampleFeeder(),
      start: ['lift'],
      torchConnector: 'central',
      gasValve: true,
      polarityChange: 'leads',
    }),
  ],
  guns: [sampleGun(), sampleGun({ kind: 'torch', connector: 'central' })],
  wires: [
    sampleWire(),
    sampleWire({ form: 'rod', spoolMm: null }),
    sampleWire({ form: 'cored-self-shielded', classification: 'E71T-11', polarity: 'dcen' }),
    sampleWire({ form: 'cored-gas-shielded', classification: 'E71T-1C/M' }),
  ],
  gases: [sampleGas({ argonPct: 90, co2Pct: 10 }), sampleGas(), sampleGas({ argonPct: 100, co2Pct: 0 })],
  tungstens: [sampleTungsten()],
}

const withBasics = <T extends { readonly id: string; readonly name: string }>(
  basics: readonly T[],
  one: fc.Arbitrary<T>,
  most: number,
): fc.Arbitrary<T[]> =>
  fc.array(one, { maxLength: most }).map((list) =>
    [...list, ...basics].map((item, index) => ({
      ...item,
      id: `${item.id}-${index}`,
      name: `${item.name} ${index}`,
    })),
  )

const ownFeeder = feeder.map((own): Feeder => ({
  id: 'f',
  name: 'Feeder',
  held: 'owned',
  price: null,
  ...own,
}))

const things: fc.Arbitrary<Omit<Shelf, 'stock'>> = fc.record({
  generators,
  panels: fc.constant([]),
  loads: fc.constant([]),
  cylinders: fc.constant([]),
  spools: fc.constant([]),
  suppliers: fc.constant([]),
  offers: fc.constant([]),
  presentSetUps: fc.constant([]),
  circuits: withBasics(BASICS.circuits, circuit, 3),
  powerSources: withBasics(BASICS.powerSources, powerSource, 6),
  feeders: withBasics([], ownFeeder, 3),
  guns: withBasics(BASICS.guns, gun, 8),
  parts: withBasics(DRAWER, part, 40),
  wires: withBasics(BASICS.wires, wire, 10),
  gases: withBasics(BASICS.gases, gas, 5),
  tungstens: withBasics(BASICS.tungstens, tungsten, 5),
})

/** Some of it counted, some not. */
export const shelves: fc.Arbitrary<Shelf> = fc
  .tuple(things, fc.infiniteStream(fc.option(fc.integer({ min: 0, max: 5000 }))))
  .map(([shelf, amounts]) => {
    const ids = [
      ...shelf.parts.map(({ id }) => `part.${id}`),
      ...shelf.wires.map(({ id }) => `wire.${id}`),
      ...shelf.gases.map(({ id }) => `gas.${id}`),
      ...shelf.tungstens.map(({ id }) => `tungsten.${id}`),
    ]
    const stock = ids.map((id) => ({ id, amount: amounts.next().value }))
    return { ...shelf, stock }
  })
