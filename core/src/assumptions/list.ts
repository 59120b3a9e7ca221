/** Every figure that the computation assumes: its default, unit, limits and source. The shop may change each. */
import { commonPractice, handbook, shopField, type Source, standard } from '../basis/source.ts'

export const ASSUMPTION_GROUPS = [
  'Margins and money',
  'Current a joint wants',
  'Power source and gun',
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

  workingWindowPct: want(
    'A joint takes this much less or more than it wants',
    15,
    '%',
    [0, 50],
    commonPractice('common practice: colder piles up, hotter burns through'),
  ),
  ampsPerMmCarbonSteel: want('Current per thickness, carbon steel', 40, 'A/mm', [10, 80], PRACTICE),
  ampsPerMmStainless: want('Current per thickness, stainless', 36, 'A/mm', [10, 80], PRACTICE),
  ampsPerMmAluminium: want('Current per thickness, aluminium', 44, 'A/mm', [10, 80], PRACTICE),
  fcawFactor: want('Flux-cored against solid wire', 0.6, '×', [0.3, 1.2], PRACTICE),
  filletFactor: want('Tee, lap and inside corner', 1.1, '×', [0.5, 2], PRACTICE),
  outsideCornerFactor: want('Outside corner', 0.9, '×', [0.5, 2], PRACTICE),
  buttFactor: want('Butt', 1, '×', [0.5, 2], PRACTICE),
  heatSinkFactor: want('Other part over 1.5 times as thick', 1.1, '×', [1, 2], PRACTICE),
  outOfPositionFactor: want('Vertical and overhead', 0.85, '×', [0.4, 1.2], PRACTICE),
  singlePassShortCircuitMm: want('Thickest single pass, short-circuit', 4.7625, 'mm', [0.5, 50], PRACTICE),
  singlePassSprayMm: want('Thickest single pass, spray', 6.35, 'mm', [0.5, 50], PRACTICE),
  singlePassFcawMm: want('Thickest single pass, flux-cored', 6.35, 'mm', [0.5, 50], PRACTICE),
  singlePassGtawMm: want('Thickest single pass, TIG', 3.175, 'mm', [0.5, 50], PRACTICE),
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
  aluminiumGunMostMm: source('Longest ordinary gun for aluminium', 3048, 'mm length', [500, 8000], PRACTICE),
  stickOutLensFactor: source('Stick-out with a gas lens, cup diameters', 2, '×', [1, 4], PRACTICE),

  convexityPct: metal('Fillet convexity', 10, '%', [0, 60], handbook('weld metal tables, usual allowance')),
  squareBeadWidthPerThickness: metal('Square butt, bead width over thickness', 2, '×', [0.5, 6], PRACTICE),
  largestPassLegWireMm: metal(
    'Largest single-pass leg, wire, horizontal and overhead',
    8,
    'mm',
    [2, 20],
    handbook('AWS D1.1, single-pass fillets'),
  ),
  largestPassLegFlatMm: metal(
    'Largest single-pass leg, wire, flat',
    9.525,
    'mm',
    [2, 20],
    handbook('AWS D1.1, largest single-pass fillet, prequalified'),
  ),
  largestPassLegVerticalMm: metal(
    'Largest single-pass leg, wire, vertical',
    12.7,
    'mm',
    [2, 20],
    handbook('AWS D1.1, largest single-pass fillet, prequalified'),
  ),
  splitLayerMm: metal(
    'A layer wider than this is split into beads',
    15.875,
    'mm',
    [4, 40],
    handbook('AWS D1.1, split layers over 5/8 in, prequalified'),
  ),
  burnThroughPct: want('A part burns through this far above what it wants', 35, '%', [5, 200], PRACTICE),
  tackEveryMm: metal('A tack every', 150, 'mm', [20, 2000], PRACTICE),
  tackArcS: metal('Arc of one tack', 2, 's', [0.2, 60], PRACTICE),
  tackAroundS: metal('From one tack to the next', 15, 's', [0, 600], PRACTICE),
  repositionBenchS: metal('From weld to weld, on the bench', 20, 's', [0, 3600], PRACTICE),
  repositionHoistS: metal('From weld to weld, turned with a hoist', 240, 's', [0, 36000], PRACTICE),
  largestPassLegGtawMm: metal('Largest single-pass leg, TIG', 4.7625, 'mm', [2, 20], PRACTICE),
  depositionGmawPct: metal('Deposition efficiency, solid wire', 95, '%', [50, 100], EFFICIENCY),
  depositionFcawSPct: metal('Deposition efficiency, self-shielded', 82, '%', [50, 100], EFFICIENCY),
  depositionFcawGPct: metal('Deposition efficiency, gas-shielded cored', 86, '%', [50, 100], EFFICIENCY),
  depositionGtawPct: metal('Rod used, less stubs', 90, '%', [30, 100], EFFICIENCY),
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
  travelGtawMmPerMin: metal('Travel speed, TIG', 90, 'mm/min', [20, 600], PRACTICE),
  repositionTurnedS: metal('From weld to weld, turned by hand', 45, 's', [0, 3600], PRACTICE),
  operatingFactorWirePct: metal(
    'Arc-on share of working time, wire',
    35,
    '%',
    [2, 100],
    handbook('operating factors, welding handbooks'),
  ),
  operatingFactorGtawPct: metal(
    'Arc-on share of working time, TIG',
    20,
    '%',
    [2, 100],
    handbook('operating factors, welding handbooks'),
  ),

  flowPerWireMm: gas('Flow per millimetre of wire', 12, 'L/min per mm', [5, 25], PRACTICE),
  flowWireLeastLPerMin: gas('Least flow through a wire gun', 12, 'L/min', [5, 25], PRACTICE),
  flowPerCupNumber: gas('Flow per cup number', 1, 'L/min', [0.4, 3], PRACTICE),
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
