/**
 * Power sources by class: what a shop says before it has read the plate, such as “a 120 V, 140 A class wire machine”.
 * Their plates are what such machines usually have, and are marked as typical until somebody checks them.
 */
import { commonPractice } from '../basis/source.ts'
import type { PlateProcess, PowerSource, SupplyRating } from '../kinds/powerSource.ts'
import type { ProcessFamily } from '../model/process.ts'
import type { Connector, WireFeeder } from '../kinds/feeder.ts'
import { idOf, type LibraryEntry } from './entry.ts'

const SOURCE = commonPractice('plates usual in this class, common practice, no source: check yours')

const IN_MM = 25.4
const inPerMin = (speed: number): number => speed * IN_MM

type Points = readonly (readonly [currentA: number, dutyPct: number])[]

interface Column {
  readonly voltageV: number | null
  readonly phases?: 1 | 3
  readonly outA: readonly [least: number, most: number]
  readonly points: Points
  readonly openCircuitV: number
  /** I₁max and I₁eff; none where an engine drives it. */
  readonly inA?: readonly [most: number, effective: number]
}
const column = ({ voltageV, phases = 1, outA, points, openCircuitV, inA }: Column): SupplyRating => ({
  voltageV,
  phases,
  outputMinA: outA[0],
  outputMaxA: outA[1],
  ratedPoints: points.map(([currentA, dutyPct]) => ({ currentA, dutyPct, loadV: null })),
  openCircuitV,
  i1MaxA: inA?.[0] ?? null,
  i1EffA: inA?.[1] ?? null,
  inputKva: null,
  feedMaxMmPerMin: null,
  voltsDial: [],
  feedDial: [],
})
const plate = (
  family: ProcessFamily,
  columns: readonly Column[],
  outputs: PlateProcess['outputs'] = ['dc'],
): PlateProcess => ({
  family,
  outputs,
  pulse: false,
  claimMinMm: null,
  claimMaxMm: null,
  supplies: columns.map(column),
})
const wire = (...columns: Column[]): PlateProcess[] => [plate('gmaw', columns), plate('fcaw', columns)]

const feeder = (
  rollSystem: string,
  gunConnector: Connector,
  most: { readonly inPerMin: number; readonly wireMm: number; readonly spool: 200 | 300; readonly g: number },
): WireFeeder => ({
  feedMinMmPerMin: inPerMin(60),
  feedMaxMmPerMin: inPerMin(most.inPerMin),
  wireMinMm: 0.5842,
  wireMaxMm: most.wireMm,
  rollSystem,
  spoolsMm: most.spool === 300 ? [100, 200, 300] : [100, 200],
  spoolMostG: most.g,
  gunConnector,
  tensionMarks: [],
})
const LIGHT_FEED = { inPerMin: 480, wireMm: 0.889, spool: 200, g: 5500 } as const
const SHOP_FEED = { inPerMin: 700, wireMm: 1.143, spool: 300, g: 20_000 } as const

/** What a class has beside its plate. */
type Rest = Partial<
  Pick<
    PowerSource,
    'engine' | 'supplyChange' | 'acBalance' | 'acFrequency' | 'start' | 'feeder' | 'gasValve' | 'arcForce'
  >
> &
  Pick<PowerSource, 'torchConnector' | 'polarityChange'>

/** Name, what it is for, the guns of the library that such a machine comes with, and the plate. */
const machine = (
  name: string,
  summary: string,
  comesWith: readonly string[],
  processes: PowerSource['processes'],
  rest: Rest,
): LibraryEntry<'power-sources'> => ({
  path: 'power-sources',
  record: {
    id: idOf('lib machine', name),
    name,
    held: 'candidate',
    price: null,
    rentPerDay: null,
    typical: true,
    processes,
    supplyChange: 'fixed',
    efficiencyPct: null,
    powerFactor: null,
    idleW: null,
    engine: null,
    inrushA: null,
    acBalance: null,
    acFrequency: null,
    start: [],
    lowestStableA: null,
    voltageSteps: null,
    ranges: [],
    programs: [],
    startAmps: null,
    endAmps: null,
    burnBack: null,
    runIn: null,
    postFlowOwnS: null,
    inductance: null,
    arcForce: null,
    hotStart: null,
    feeder: null,
    gasValve: true,
    waterCooler: false,
    vrd: null,
    massG: null,
    noiseDb: null,
    memoriesLocked: null,
    postFlowByHand: null,
    serviceNear: null,
    ...rest,
  },
  summary,
  source: SOURCE,
  comesWith,
})

const GUN_LIGHT = 'lib-gun-150-a-class-gun-10-ft'
const GUN_SHOP = 'lib-gun-250-a-class-gun-15-ft'
const GUN_HEAVY = 'lib-gun-400-a-class-gun-12-ft'
const TORCH = 'lib-torch-air-150-a-class'
const HOLDER = 'lib-gun-200-a-class-electrode-holder'

const WIRE_140: Column = {
  voltageV: 120,
  outA: [30, 140],
  points: [
    [90, 20],
    [52, 60],
  ],
  openCircuitV: 33,
  inA: [20, 9],
}
const DUAL_210: readonly Column[] = [
  {
    voltageV: 240,
    outA: [30, 210],
    points: [
      [200, 25],
      [130, 60],
      [100, 100],
    ],
    openCircuitV: 58,
    inA: [27, 13.5],
  },
  {
    voltageV: 120,
    outA: [30, 140],
    points: [
      [110, 30],
      [80, 60],
      [60, 100],
    ],
    openCircuitV: 58,
    inA: [24, 13.1],
  },
]

export const LIBRARY_MACHINES: readonly LibraryEntry<'power-sources'>[] = [
  machine(
    '120 V, 140 A class wire machine',
    'thin steel on a household circuit',
    [GUN_LIGHT],
    wire(WIRE_140),
    {
      torchConnector: null,
      polarityChange: 'leads',
      feeder: feeder('140 A class rolls', 'fixed', LIGHT_FEED),
    },
  ),
  machine(
    '230 V, 150 A class wire machine',
    'thin steel on a 16 A outlet',
    [GUN_LIGHT],
    wire({
      voltageV: 230,
      outA: [30, 150],
      points: [
        [140, 25],
        [90, 60],
      ],
      openCircuitV: 45,
      inA: [17, 8.5],
    }),
    {
      torchConnector: null,
      polarityChange: 'leads',
      feeder: feeder('150 A class rolls', 'fixed', LIGHT_FEED),
    },
  ),
  machine(
    '120/240 V, 210 A class wire machine',
    'shop steel; aluminium by a spool gun',
    [GUN_SHOP],
    wire(...DUAL_210),
    {
      supplyChange: 'plug',
      torchConnector: null,
      polarityChange: 'leads',
      feeder: feeder('210 A class rolls', 'pin-large', SHOP_FEED),
    },
  ),
  machine(
    '240 V, 250 A class wire machine',
    'steel by the day',
    [GUN_SHOP],
    wire({
      voltageV: 240,
      outA: [30, 300],
      points: [
        [250, 40],
        [200, 60],
        [155, 100],
      ],
      openCircuitV: 45,
      inA: [45, 28.5],
    }),
    {
      torchConnector: null,
      polarityChange: 'leads',
      feeder: feeder('250 A class rolls', 'pin-large', SHOP_FEED),
    },
  ),
  machine(
    '400 V three-phase, 350 A class wire machine',
    'spray and thick steel',
    [GUN_HEAVY],
    wire({
      voltageV: 400,
      phases: 3,
      outA: [40, 350],
      points: [
        [350, 40],
        [285, 60],
        [220, 100],
      ],
      openCircuitV: 60,
      inA: [21.5, 13.6],
    }),
    {
      torchConnector: null,
      polarityChange: 'leads',
      feeder: feeder('350 A class rolls', 'central', { ...SHOP_FEED, wireMm: 1.5875 }),
    },
  ),
  machine(
    '120/240 V, 200 A class multiprocess machine',
    'wire, DC TIG and stick in one',
    [GUN_SHOP, TORCH, HOLDER],
    [
      ...wire(...DUAL_210),
      plate('gtaw', [
        {
          voltageV: 240,
          outA: [10, 200],
          points: [
            [190, 25],
            [130, 60],
            [100, 100],
          ],
          openCircuitV: 60,
          inA: [23, 11.5],
        },
      ]),
      plate('smaw', [
        {
          voltageV: 240,
          outA: [30, 180],
          points: [
            [160, 30],
            [110, 60],
          ],
          openCircuitV: 60,
          inA: [25, 13.7],
        },
      ]),
    ],
    {
      supplyChange: 'plug',
      start: ['lift'],
      torchConnector: 'twist-50',
      polarityChange: 'leads',
      feeder: feeder('200 A class rolls', 'pin-large', SHOP_FEED),
    },
  ),
  machine(
    '120/240 V, 200 A class AC/DC TIG machine',
    'aluminium and stainless',
    [TORCH],
    [
      plate(
        'gtaw',
        [
          {
            voltageV: 240,
            outA: [5, 200],
            points: [
              [200, 25],
              [130, 60],
              [100, 100],
            ],
            openCircuitV: 70,
            inA: [26, 13],
          },
          {
            voltageV: 120,
            outA: [5, 120],
            points: [
              [120, 30],
              [85, 60],
            ],
            openCircuitV: 70,
            inA: [23, 12.6],
          },
        ],
        ['dc', 'ac'],
      ),
    ],
    {
      supplyChange: 'automatic',
      acBalance: { minPct: 15, maxPct: 50 },
      acFrequency: { minHz: 40, maxHz: 200 },
      start: ['high-frequency', 'lift'],
      torchConnector: 'twist-50',
      polarityChange: 'automatic',
    },
  ),
  machine(
    '120/240 V, 160 A class stick and DC TIG machine',
    'repairs; stainless tube',
    [HOLDER, TORCH],
    [
      plate('gtaw', [
        {
          voltageV: 240,
          outA: [10, 160],
          points: [
            [160, 25],
            [105, 60],
          ],
          openCircuitV: 70,
          inA: [17, 8.5],
        },
        {
          voltageV: 120,
          outA: [10, 110],
          points: [
            [110, 25],
            [75, 60],
          ],
          openCircuitV: 70,
          inA: [21, 10.5],
        },
      ]),
      plate('smaw', [
        {
          voltageV: 240,
          outA: [20, 150],
          points: [
            [150, 25],
            [95, 60],
          ],
          openCircuitV: 70,
          inA: [25, 12.5],
        },
      ]),
    ],
    {
      supplyChange: 'automatic',
      start: ['lift'],
      arcForce: true,
      gasValve: false,
      torchConnector: 'twist-50',
      polarityChange: 'leads',
    },
  ),
  machine(
    '240 V, 225 A class AC stick machine',
    'farm repairs by stick',
    [HOLDER],
    [
      plate(
        'smaw',
        [
          {
            voltageV: 240,
            outA: [40, 225],
            points: [
              [225, 20],
              [130, 60],
            ],
            openCircuitV: 80,
            inA: [47, 21],
          },
        ],
        ['ac'],
      ),
    ],
    { gasValve: false, torchConnector: 'stud', polarityChange: null },
  ),
  machine(
    '225 A class engine-driven stick machine',
    'away from any outlet',
    [HOLDER],
    [
      plate('smaw', [
        {
          voltageV: null,
          outA: [40, 225],
          points: [
            [210, 60],
            [160, 100],
          ],
          openCircuitV: 80,
        },
      ]),
    ],
    { gasValve: false, torchConnector: 'stud', polarityChange: 'leads', engine: { fuelLPerH: null } },
  ),
]
