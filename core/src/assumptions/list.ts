/** Every figure that the computation assumes: its default, unit, limits and source. The shop may change each. */
import { commonPractice, handbook, shopField, type Source, standard } from '../basis/source.ts'

export const ASSUMPTION_GROUPS = [
  'Margins and money',
  'Current a joint wants',
  'Power source and gun',
  'Starting settings',
  'Weld metal and time',
  'Gas',
  'Tungsten',
] as const
export type AssumptionGroup = (typeof ASSUMPTION_GROUPS)[number]

export interface AssumptionDefinition {
  readonly group: AssumptionGroup
  readonly name: string
  readonly default: number
  readonly unit: string
  readonly least: number
  readonly most: number
  readonly source: Source
}

const inGroup =
  (group: AssumptionGroup) =>
  (
    name: string,
    value: number,
    unit: string,
    limits: [number, number],
    source: Source,
  ): AssumptionDefinition => ({
    group,
    name,
    default: value,
    unit,
    least: limits[0],
    most: limits[1],
    source,
  })

const money = inGroup('Margins and money')
const want = inGroup('Current a joint wants')
const source = inGroup('Power source and gun')
const start = inGroup('Starting settings')
const metal = inGroup('Weld metal and time')
const gas = inGroup('Gas')
const tungsten = inGroup('Tungsten')

const PRACTICE = commonPractice()
const OWN = shopField('the shop’s own figure; change it to yours')
const EFFICIENCY = handbook('deposition efficiency, welding handbooks')

/** Keyed by the name that the code asks for. */
export const ASSUMPTIONS = {
  safetyMarginPct: money('Margin below which a check is tight', 10, '%', [0, 50], OWN),
  labourPerHour: money('Labour', 48, 'per h', [0, 1000], OWN),
  horizonYears: money('Years over which a purchase must pay', 3, 'years', [0.25, 30], OWN),
  smallPartPrice: money('A small part that has no price yet', 15, 'each', [0, 1000], OWN),
  shiftHours: money('Working hours of a day', 8, 'h', [1, 24], OWN),

  windowLowPct: want(
    'A weld is still sound this much below what it wants',
    20,
    '%',
    [0, 50],
    commonPractice('common practice: slower and smaller beads; below it cold lap'),
  ),
  windowHighPct: want('A thin part burns through this far above what it wants', 35, '%', [5, 200], PRACTICE),
  ampsPerMmCarbonSteel: want('Current per thickness, carbon steel', 38, 'A/mm', [10, 80], PRACTICE),
  ampsPerMmStainless: want('Current per thickness, stainless', 36, 'A/mm', [10, 80], PRACTICE),
  ampsPerMmAluminium: want('Current per thickness, aluminium', 44, 'A/mm', [10, 80], PRACTICE),
  meltThroughWireMm: want('A wire arc melts through up to', 3.175, 'mm', [0.5, 25], PRACTICE),
  meltThroughGtawMm: want('A TIG arc melts through up to', 4.7625, 'mm', [0.5, 25], PRACTICE),
  shortCircuitFactor: want('Short-circuit', 1, '×', [0.3, 2], PRACTICE),
  sprayFactor: want('Spray of steel and stainless', 1.15, '×', [0.3, 2], PRACTICE),
  pulseFactor: want('Pulsed spray of steel and stainless, mean current', 1, '×', [0.3, 2], PRACTICE),
  fcawSFactor: want('Self-shielded cored wire', 0.6, '×', [0.3, 2], PRACTICE),
  fcawGFactor: want('Gas-shielded cored wire', 0.84, '×', [0.3, 2], PRACTICE),
  gtawFactor: want('TIG of steel and stainless', 0.95, '×', [0.3, 2], PRACTICE),
  stickFactor: want('Stick of steel and stainless, E7018 of 1/8 in', 0.665, '×', [0.3, 2], PRACTICE),
  aluminiumProcessFactor: want('Aluminium, by wire or TIG', 1, '×', [0.3, 2], PRACTICE),
  usualWireMm: want('Wire that the figures are given for', 0.9, 'mm diameter', [0.5, 3], PRACTICE),
  usualStickMm: want('Electrode that the figures are given for', 3.175, 'mm diameter', [1, 8], PRACTICE),
  stickThickestMm: want(
    'From here on the electrode decides its current, not the plate',
    6.35,
    'mm',
    [1, 50],
    PRACTICE,
  ),
  filletFactor: want('Tee, lap and inside corner', 1.1, '×', [0.5, 2], PRACTICE),
  outsideCornerFactor: want('Outside corner', 0.9, '×', [0.5, 2], PRACTICE),
  buttFactor: want('Butt', 1, '×', [0.5, 2], PRACTICE),
  heatSinkFactor: want('Other part much thicker', 1.1, '×', [1, 2], PRACTICE),
  heatSinkRatio: want('Much thicker is from this many times on', 2, '×', [1.1, 10], PRACTICE),
  outOfPositionFactor: want('Vertical-up and overhead', 0.85, '×', [0.4, 1.2], PRACTICE),
  verticalDownFactor: want('Vertical-down: faster and colder', 0.95, '×', [0.4, 1.2], PRACTICE),
  coredOutOfPositionPct: want(
    'A cored wire’s most current, vertical and overhead, of its range',
    75,
    '%',
    [30, 100],
    commonPractice('common practice: the slag holds no larger pool up'),
  ),
  leastLayerMm: want('A layer of a groove is reckoned as at least', 3.175, 'mm', [0.5, 25], PRACTICE),
  layerShortCircuitMm: want('Thickest layer of a groove, short-circuit', 4.7625, 'mm', [0.5, 50], PRACTICE),
  layerSprayMm: want('Thickest layer of a groove, spray', 6.35, 'mm', [0.5, 50], PRACTICE),
  layerFcawMm: want('Thickest layer of a groove, flux-cored', 6.35, 'mm', [0.5, 50], PRACTICE),
  layerGtawMm: want('Thickest layer of a groove, TIG', 3.175, 'mm', [0.5, 50], PRACTICE),
  layerStickMm: want('Thickest layer of a groove, stick', 4.7625, 'mm', [0.5, 50], PRACTICE),
  squareMostWireMm: want('Thickest square joint from one side, wire', 4.7625, 'mm', [0.5, 25], PRACTICE),
  squareMostGtawMm: want('Thickest square joint from one side, TIG', 3.175, 'mm', [0.5, 25], PRACTICE),
  shortCircuitLimitMm: want(
    'Short-circuit steel without a qualified procedure',
    6.35,
    'mm',
    [0.5, 50],
    commonPractice('common practice: lack of fusion in thick steel, no source'),
  ),

  efficiencyPct: source(
    'Efficiency where the plate gives none',
    80,
    '%',
    [20, 98],
    standard('EU 2019/1784, least efficiency, single-phase', true),
  ),
  powerFactor: source('Power factor where the plate gives none', 0.7, '', [0.3, 1], PRACTICE),
  idleW: source('Idle power where the plate gives none', 50, 'W', [0, 2000], PRACTICE),
  gunMixedGasFactor: source(
    'Gun in an argon mix against its CO₂ rating',
    0.6,
    '×',
    [0.3, 1],
    commonPractice('common practice, of the order of 40–60 %'),
  ),
  gunLeastDutyPct: source(
    'A gun’s rating is not stretched below this duty',
    35,
    '%',
    [10, 100],
    standard('IEC 60974-7, duty classes 35, 60, 100 %', true),
  ),
  gunShortDutyPct: source('A gun is used for short welds, down to this duty', 20, '%', [5, 100], PRACTICE),
  leastPaceDutyPct: source(
    'Below this duty rest is no way to work',
    10,
    '%',
    [1, 50],
    commonPractice('common practice: a minute of arc in ten is the least that anybody waits for'),
  ),
  capacityDutyPct: source('Capacity of a set-up is reckoned at this duty', 20, '%', [5, 100], PRACTICE),
  capacityArcS: source('Capacity of a set-up is reckoned for arcs of', 60, 's', [1, 600], PRACTICE),
  aluminiumPreheatMostC: source(
    'Aluminium is preheated to at most',
    120,
    '°C',
    [20, 120],
    commonPractice('common practice: never above 120 °C (250 °F), 6xxx loses its strength'),
  ),
  aluminiumMeltsC: source(
    'Aluminium melts at',
    600,
    '°C',
    [500, 660],
    handbook('6xxx alloys, solidus to liquidus'),
  ),
  breakerPctPerC: source(
    'A breaker holds less for each °C above what its rating is for',
    0.5,
    '%',
    [0, 2],
    commonPractice('common practice: makers’ tables of thermal breakers'),
  ),
  voltsLostMostPct: source(
    'Volts lost on the way to the machine are at most',
    5,
    '%',
    [1, 15],
    standard('NEC 210.19, informational note: 5 % to the farthest outlet', true),
  ),
  steelMeltsC: source('Steel melts at', 1500, '°C', [1350, 1540], handbook('carbon steel, liquidus')),
  steelPreheatMostC: source(
    'Steel is warmed for a small machine to at most',
    150,
    '°C',
    [30, 230],
    commonPractice('common practice: hotter only by a procedure'),
  ),
  workshopC: source('A part that is not preheated has', 20, '°C', [-20, 50], PRACTICE),
  aluminiumGunMostMm: source('Longest ordinary gun for aluminium', 3048, 'mm length', [500, 8000], PRACTICE),
  stickOutLensFactor: source('Stick-out with a gas lens, cup diameters', 2, '×', [1, 4], PRACTICE),

  voltsShortBaseV: start('Short-circuit in 75/25, volts at no current', 15.2, 'V', [5, 30], PRACTICE),
  voltsShortPerA: start('Short-circuit, volts an ampere', 0.027, 'V/A', [0, 0.2], PRACTICE),
  voltsCo2V: start('In CO₂ more than in 75/25', 1, 'V', [0, 5], PRACTICE),
  voltsSprayBaseV: start('Spray of steel, volts at no current', 20.5, 'V', [5, 40], PRACTICE),
  voltsSprayPerA: start('Spray of steel, volts an ampere', 0.028, 'V/A', [0, 0.2], PRACTICE),
  voltsPulseBaseV: start('Pulse, mean volts at no current', 18, 'V', [5, 40], PRACTICE),
  voltsPulsePerA: start('Pulse, mean volts an ampere', 0.03, 'V/A', [0, 0.2], PRACTICE),
  voltsAluminiumBaseV: start('Aluminium by wire, volts at no current', 14.5, 'V', [5, 40], PRACTICE),
  voltsAluminiumPerA: start('Aluminium by wire, volts an ampere', 0.04, 'V/A', [0, 0.2], PRACTICE),
  voltsFcawSBaseV: start('Self-shielded, volts at no current', 13, 'V', [5, 40], PRACTICE),
  voltsFcawSPerA: start('Self-shielded, volts an ampere', 0.03, 'V/A', [0, 0.2], PRACTICE),
  voltsFcawGBaseV: start('Gas-shielded cored in CO₂, volts at no current', 21, 'V', [5, 40], PRACTICE),
  voltsFcawGPerA: start('Gas-shielded cored, volts an ampere', 0.03, 'V/A', [0, 0.2], PRACTICE),
  voltsFcawMixedV: start('Gas-shielded cored in a mix less than in CO₂', 1, 'V', [0, 5], PRACTICE),
  voltsGtawBaseV: start('TIG, arc volts at no current', 10, 'V', [5, 40], PRACTICE),
  voltsGtawPerA: start('TIG, arc volts an ampere', 0.02, 'V/A', [0, 0.2], PRACTICE),
  voltsStickBaseV: start('Stick, arc volts at no current', 18, 'V', [5, 40], PRACTICE),
  voltsStickPerA: start('Stick, arc volts an ampere', 0.04, 'V/A', [0, 0.2], PRACTICE),
  voltsBandV: start('Volts may lie this much beside', 1, 'V', [0, 5], PRACTICE),
  feedBandPct: start('Wire speed and amps may lie this much beside', 10, '%', [0, 30], PRACTICE),
  pulsePeakFactor: start('Pulse of a wire: peak over the current that sprays', 2, '×', [1.1, 4], PRACTICE),
  pulseBaseFactor: start(
    'Pulse of a wire: base over the current that sprays',
    0.25,
    '×',
    [0.05, 0.9],
    PRACTICE,
  ),
  tigPulseSharePct: start('Pulse by TIG: share of the time at the peak', 40, '%', [5, 95], PRACTICE),
  tigPulseBasePct: start('Pulse by TIG: base of the peak', 25, '%', [1, 95], PRACTICE),
  tigPulseHz: start('Pulse by TIG: pulses a second, as the hand adds rod', 1.5, 'Hz', [0.1, 500], PRACTICE),
  pulseLoudHz: start('Pulsing is loud from about', 1000, 'Hz', [50, 20_000], PRACTICE),
  acPositivePct: start('AC balance: share of electrode-positive', 30, '%', [5, 70], PRACTICE),
  acUsualHz: start('AC frequency', 100, 'Hz', [20, 400], PRACTICE),
  acThinHz: start('AC frequency on thin parts and edges', 150, 'Hz', [20, 400], PRACTICE),
  acThinMm: start('Thin, for the frequency, is up to', 1.6, 'mm', [0.2, 10], PRACTICE),
  upSlopeS: start('Up-slope, TIG', 0.5, 's', [0, 20], PRACTICE),
  downSlopeS: start('Down-slope, TIG: fills the crater', 3, 's', [0, 30], PRACTICE),
  heatEfficiencyWire: start(
    'Share of the arc’s heat in the weld, wire',
    0.8,
    '',
    [0.3, 1],
    standard('EN 1011-1, thermal efficiency', true),
  ),
  heatEfficiencyGtaw: start(
    'Share of the arc’s heat in the weld, TIG',
    0.6,
    '',
    [0.3, 1],
    standard('EN 1011-1, thermal efficiency', true),
  ),

  convexityPct: metal('Fillet convexity', 10, '%', [0, 60], handbook('weld metal tables, usual allowance')),
  squareBeadWidthPerThickness: metal('Square butt, bead width over thickness', 2, '×', [0.5, 6], PRACTICE),
  squareLeastMetal: metal(
    'Square butt, least metal over thickness squared',
    0.4,
    '×',
    [0, 2],
    commonPractice('common practice: a shut joint still takes a bead, melted in and a little proud'),
  ),
  beadWireMm2: metal('Most metal in a pass by hand, flat and horizontal', 36, 'mm²', [4, 200], PRACTICE),
  beadCoredGasMm2: metal(
    'The same with gas-shielded cored wire',
    45,
    'mm²',
    [4, 200],
    commonPractice('common practice: slag holds a larger pool'),
  ),
  beadStickMm2: metal('The same with a stick', 28, 'mm²', [4, 200], PRACTICE),
  beadUprightMm2: metal(
    'Most metal in a pass by hand, vertical-up',
    45,
    'mm²',
    [4, 200],
    commonPractice('common practice: woven; AWS D1.1 lets a pass be larger still'),
  ),
  beadDownMm2: metal('Most metal in a pass by hand, vertical-down', 16, 'mm²', [4, 200], PRACTICE),
  beadOverheadMm2: metal('Most metal in a pass by hand, overhead', 30, 'mm²', [4, 200], PRACTICE),
  beadGtawMm2: metal('Most metal in a pass, TIG', 15, 'mm²', [2, 100], PRACTICE),
  leastPassLegMm: metal('A fillet is not split under this leg', 3.175, 'mm', [1, 10], PRACTICE),
  travelLeastMmPerMin: metal('Slowest travel by hand', 101.6, 'mm/min', [10, 1000], PRACTICE),
  travelMostMmPerMin: metal('Fastest travel by hand', 508, 'mm/min', [50, 5000], PRACTICE),
  travelThinMostMmPerMin: metal('Fastest travel by hand on thin parts', 1016, 'mm/min', [50, 5000], PRACTICE),
  splitLayerMm: metal(
    'A layer wider than this is split into beads',
    15.875,
    'mm',
    [4, 40],
    handbook('AWS D1.1, split layers over 5/8 in, prequalified'),
  ),
  tackEveryMm: metal('A tack every', 150, 'mm', [20, 2000], PRACTICE),
  tackArcS: metal('Arc of one tack', 2, 's', [0.2, 60], PRACTICE),
  tackAroundS: metal('From one tack to the next', 15, 's', [0, 600], PRACTICE),
  repositionBenchS: metal('From weld to weld, on the bench', 20, 's', [0, 3600], PRACTICE),
  repositionHoistS: metal('From weld to weld, turned with a hoist', 240, 's', [0, 36000], PRACTICE),
  depositionGmawPct: metal('Deposition efficiency, solid wire', 95, '%', [50, 100], EFFICIENCY),
  depositionFcawSPct: metal('Deposition efficiency, self-shielded', 82, '%', [50, 100], EFFICIENCY),
  depositionFcawGPct: metal('Deposition efficiency, gas-shielded cored', 86, '%', [50, 100], EFFICIENCY),
  depositionGtawPct: metal('Rod used, less stubs', 90, '%', [30, 100], EFFICIENCY),
  stickStubMm: metal(
    'Stub of a stick that is thrown away',
    50,
    'mm',
    [10, 150],
    handbook('AWS electrode consumption, 2 in stub'),
  ),
  stickChangeS: metal(
    'From one stick to the next of the same pass, slag chipped',
    25,
    's',
    [0, 600],
    PRACTICE,
  ),
  wireWastePct: metal('Wire lost to trimming and spool ends', 3, '%', [0, 50], PRACTICE),
  coredMetalFraction: metal(
    'Metal share of a cored wire’s section',
    0.8,
    '',
    [0.4, 1],
    handbook('welding handbooks'),
  ),
  coredMassFraction: metal(
    'Cored wire’s mass against solid',
    0.92,
    '',
    [0.5, 1],
    handbook('wire length per mass tables'),
  ),
  extensionShortMm: metal('Electrode extension, short-circuit', 8, 'mm', [3, 40], PRACTICE),
  extensionSprayMm: metal('Electrode extension, spray', 16, 'mm', [3, 40], PRACTICE),
  extensionFcawSMm: metal('Electrode extension, self-shielded', 16, 'mm', [3, 60], PRACTICE),
  extensionFcawGMm: metal('Electrode extension, gas-shielded cored', 20, 'mm', [3, 60], PRACTICE),
  travelGtawMmPerMin: metal('Travel speed, TIG, on 1/8 in', 90, 'mm/min', [20, 600], PRACTICE),
  repositionTurnedS: metal('From weld to weld, turned by hand', 45, 's', [0, 3600], PRACTICE),
  changeoverMin: metal('Change to another set-up, once a job', 10, 'min', [0, 480], PRACTICE),

  flowPerWireMm: gas('Flow per millimetre of wire', 12, 'L/min per mm', [5, 25], PRACTICE),
  flowWireLeastLPerMin: gas('Least flow through a wire gun', 12, 'L/min', [5, 25], PRACTICE),
  flowPerCupNumber: gas('Flow per cup number', 1, 'L/min', [0.4, 3], PRACTICE),
  heliumFlowFactor: gas('Flow of helium against argon', 2, '×', [1, 4], PRACTICE),
  purgeFlowLPerMin: gas('Back purge of a tube', 7, 'L/min', [1, 40], PRACTICE),
  purgeBeforeS: gas('Back purge before the first pass, each tube', 120, 's', [0, 3600], PRACTICE),
  preFlowS: gas('Pre-flow each start', 0.5, 's', [0, 10], PRACTICE),
  postFlowWireS: gas('Post-flow each start, wire', 1, 's', [0, 60], PRACTICE),
  postFlowGtawSPer10A: gas('Post-flow each start, TIG', 1, 's per 10 A', [0, 10], PRACTICE),
  postFlowGtawLeastS: gas('Least post-flow, TIG', 8, 's', [0, 60], PRACTICE),
  handValveOpenS: gas('A hand valve stays open beyond the arc, each start', 20, 's', [0, 600], PRACTICE),
  co2FreezeLPerMin: gas('CO₂ freezes a regulator without heater from', 16.5, 'L/min', [5, 50], PRACTICE),
  gasLeakPct: gas('Leaks and purging', 5, '%', [0, 100], PRACTICE),
  windLimitKmPerH: gas(
    'Most wind at a gas-shielded weld',
    8,
    'km/h',
    [1, 30],
    standard('AWS D1.1, wind at gas-shielded welding, 5 mph', true),
  ),

  regrindsPerArcHour: tungsten('Regrinds an arc-hour', 1, '1/h', [0, 30], PRACTICE),
  dipsPerArcHour: tungsten('Dips an arc-hour', 2, '1/h', [0, 60], PRACTICE),
  regrindLossMm: tungsten('Lost at a regrind', 4.5, 'mm', [0.5, 20], PRACTICE),
  dipLossMm: tungsten('Lost at a dip', 7, 'mm', [0.5, 30], PRACTICE),
  stubMm: tungsten('Stub that the back cap cannot hold', 50, 'mm', [10, 100], PRACTICE),
} as const satisfies Record<string, AssumptionDefinition>

export type AssumptionKey = keyof typeof ASSUMPTIONS
export const ASSUMPTION_KEYS = Object.keys(ASSUMPTIONS) as [AssumptionKey, ...AssumptionKey[]]
