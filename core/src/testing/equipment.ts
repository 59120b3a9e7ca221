/** For tests: plain things of the shelf, and a set-up of them, which the tests change one field at a time. */
import { USUAL_RUN } from '../kinds/usualRun.ts'
import { type Capability, capabilityOf, type Settings } from '../capability/capability.ts'
import { type Chosen, emptyChoice } from '../capability/slots.ts'
import { SLOTS } from '../kinds/slots.ts'
import type {
  Circuit,
  Gas,
  Gun,
  PartKind,
  PartOf,
  RollGroove,
  Generator,
  PowerSource,
  SupplyRating,
  Tungsten,
  Wire,
  WireFeeder,
} from '../kinds/equipment.ts'
import type { Shop } from '../kinds/shop.ts'

/** One column of a plate, 230 V, 200 A at 25 %. */
export const sampleSupply = (part: Partial<SupplyRating> = {}): SupplyRating => ({
  voltageV: 230,
  phases: 1,
  outputMinA: 20,
  outputMaxA: 200,
  ratedPoints: [{ currentA: 200, dutyPct: 25, loadV: null }],
  openCircuitV: null,
  i1MaxA: null,
  i1EffA: null,
  inputKva: null,
  feedMaxMmPerMin: null,
  voltsDial: [],
  feedDial: [],
  ...part,
})

export const sampleGenerator = (part: Partial<Generator> = {}): Generator => ({
  id: 'g',
  name: 'Generator',
  runningW: 7000,
  startingW: 9000,
  powerFactor: null,
  altitudeM: null,
  ambientC: null,
  fuelLPerH: null,
  steadyWave: null,
  held: 'owned',
  price: null,
  ...part,
})

export const samplePowerSource = (part: Partial<PowerSource> = {}): PowerSource => ({
  id: 's',
  name: 'Source',
  typical: false,
  held: 'owned',
  rentPerDay: null,
  massG: null,
  noiseDb: null,
  memoriesLocked: null,
  postFlowByHand: null,
  serviceNear: null,
  price: null,
  processes: [
    {
      family: 'gmaw',
      outputs: ['dc'],
      pulse: false,
      claimMinMm: null,
      claimMaxMm: null,
      supplies: [sampleSupply()],
    },
  ],
  supplyChange: null,
  engine: null,
  inrushA: null,
  efficiencyPct: null,
  powerFactor: null,
  idleW: null,
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
  torchConnector: null,
  polarityChange: null,
  gasValve: null,
  waterCooler: null,
  vrd: null,
  ...part,
})

export const sampleWire = (part: Partial<Wire> = {}): Wire => ({
  id: 'w',
  name: 'Wire',
  form: 'solid',
  classification: 'ER70S-6',
  metal: 'carbon-steel',
  diameterMm: 0.889,
  lengthMm: null,
  currentMinA: null,
  currentMaxA: null,
  polarity: null,
  positions: null,
  gasWanted: null,
  keptAt: null,
  spoolMm: 200,
  packageG: 5000,
  packagePrice: null,
  ...part,
})

export const sampleFeeder = (part: Partial<WireFeeder> = {}): WireFeeder => ({
  feedMinMmPerMin: 1200,
  feedMaxMmPerMin: 17_780,
  wireMinMm: 0.584,
  wireMaxMm: 1.143,
  rollSystem: 'own',
  spoolsMm: [100, 200],
  spoolMostG: 7000,
  gunConnector: 'pin-large',
  tensionMarks: [],
  ...part,
})

export const sampleGun = (part: Partial<Gun> = {}): Gun => ({
  id: 'g',
  name: 'Gun',
  held: 'owned',
  price: null,
  keptAt: null,
  kind: 'gun',
  drive: 'none',
  cooling: 'air',
  lengthMm: 3048,
  massG: null,
  neck: 'curved',
  ratings: [
    { gas: 'co2', wave: 'dc', currentA: 250, dutyPct: 60 },
    { gas: 'argon', wave: 'dc', currentA: 150, dutyPct: 60 },
    { gas: 'argon', wave: 'ac', currentA: 110, dutyPct: 60 },
  ],
  connector: 'pin-large',
  partsClass: 'medium',
  feeder: null,
  valve: null,
  ...part,
})

/** 75/25 Ar/CO₂ unless told otherwise. */
export const sampleGas = (part: Partial<Gas> = {}): Gas => ({
  id: 'gas',
  name: 'Gas',
  designation: 'M21-ArC-25',
  argonPct: 75,
  co2Pct: 25,
  oxygenPct: 0,
  heliumPct: 0,
  fullL: 3540,
  keptAt: null,
  refillPrice: null,
  ...part,
})

export const sampleTungsten = (part: Partial<Tungsten> = {}): Tungsten => ({
  id: 't',
  name: '1/16 WLa20',
  type: 'WLa20',
  diameterMm: 1.5875,
  lengthMm: 175,
  price: null,
  ...part,
})

const PARTS: { readonly [K in PartKind]: PartOf<K> } = (() => {
  const held = { held: 'owned', price: null } as const
  return {
    'drive-roll': {
      kind: 'drive-roll',
      id: 'roll',
      name: 'Roll',
      ...held,
      grooves: [{ form: 'v-smooth', wireMinMm: 0.889, wireMaxMm: 0.889 }],
      rollSystem: 'own',
    },
    liner: {
      kind: 'liner',
      id: 'liner',
      name: 'Liner',
      ...held,
      material: 'steel',
      wireMinMm: 0.762,
      wireMaxMm: 1.143,
      lengthMm: 4700,
      usedFor: null,
    },
    'contact-tip': {
      kind: 'contact-tip',
      id: 'tip',
      name: 'Tip',
      ...held,
      wireMm: 0.889,
      partsClass: 'medium',
    },
    nozzle: {
      kind: 'nozzle',
      id: 'nozzle',
      name: 'Nozzle',
      ...held,
      insideMm: 16,
      tipRecessMm: null,
      gasless: false,
      partsClass: 'medium',
    },
    collet: {
      kind: 'collet',
      id: 'collet',
      name: 'Collet',
      ...held,
      tungstenMm: 1.5875,
      partsClass: 'medium',
    },
    'collet-body': {
      kind: 'collet-body',
      id: 'body',
      name: 'Body',
      ...held,
      tungstenMm: 1.5875,
      gasLens: false,
      partsClass: 'medium',
    },
    cup: { kind: 'cup', id: 'cup', name: 'Cup', ...held, number: 7, forGasLens: false, partsClass: 'medium' },
    'back-cap': { kind: 'back-cap', id: 'cap', name: 'Cap', ...held, longestMm: 178, partsClass: 'medium' },
    'flow-meter': {
      kind: 'flow-meter',
      id: 'meter',
      name: 'Meter',
      ...held,
      scales: ['argon'],
      fittings: ['inert'],
      mostLPerMin: null,
      heated: false,
    },
  }
})()
export const samplePart = <K extends PartKind>(kind: K, part: Partial<PartOf<K>> = {}): PartOf<K> => ({
  ...PARTS[kind],
  ...part,
})

type SamplePart = Partial<Chosen> &
  Partial<Settings> &
  Partial<Pick<Shop, 'unitSystem' | 'aluminiumTip' | 'filletRule' | 'assumptions'>>

/** A wire set-up of circuit, source, gun, wire and gas that go together; other places are empty. */
export function sampleCapability(part: SamplePart = {}): Capability {
  const { process = 'gmaw-short', polarity = 'dcep', start = null, electronicsNear = false } = part
  const { stickOutMm = null, flowLPerMin = null, linksSetV = null } = part
  const { unitSystem = 'imperial', aluminiumTip = 'one-over', filletRule = 'd1.1', assumptions = {} } = part
  const shop: Shop = {
    id: 's',
    name: 's',
    unitSystem,
    locale: 'en-US',
    ruleBook: 'north-american',
    timeZone: null,
    currency: 'USD',
    aluminiumTip,
    filletRule,
    assumptions,
  }
  const circuit: Circuit = {
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
  }
  const chosen: Chosen = {
    ...emptyChoice(),
    circuit,
    powerSource: samplePowerSource({ feeder: sampleFeeder() }),
    gun: sampleGun(),
    wire: sampleWire(),
    gas: sampleGas(),
  }
  const own = Object.fromEntries(SLOTS.flatMap((slot) => (slot in part ? [[slot, part[slot] ?? null]] : [])))
  const settings = {
    process,
    polarity,
    cordSize: null,
    cordLengthMm: null,
    leadSize: null,
    leadLengthMm: null,
    returnV: null,
    linksSetV,
    start,
    electronicsNear,
    stickOutMm,
    flowLPerMin,
  }
  return capabilityOf(shop, settings, { ...chosen, ...own })
}

/** A roll with one groove, for one size or a range of sizes. */
export const sampleRoll = (
  form: RollGroove['form'],
  wireMinMm = 0.889,
  wireMaxMm = wireMinMm,
  part: Partial<PartOf<'drive-roll'>> = {},
): PartOf<'drive-roll'> => samplePart('drive-roll', { grooves: [{ form, wireMinMm, wireMaxMm }], ...part })
