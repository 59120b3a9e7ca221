/** A new record with nothing in it but what can be known: what must be filled in is null, and no figure is made up. */
import type { PartKind } from '@brannik/core'
import type { Draft, EquipmentPath } from './useRecordDraft.ts'

const HOLDING = { held: 'owned', price: null }

/** Without a voltage: null would say that an engine drives it. */
export const BLANK_SUPPLY = {
  phases: 1,
  outputMinA: null,
  outputMaxA: null,
  ratedPoints: [{ currentA: null, dutyPct: null, loadV: null }],
  openCircuitV: null,
  i1MaxA: null,
  i1EffA: null,
  inputKva: null,
  feedMaxMmPerMin: null,
}
export const BLANK_PROCESS = { family: 'gmaw', outputs: ['dc'], pulse: false, supplies: [BLANK_SUPPLY] }

const BLANKS: Readonly<Record<Exclude<EquipmentPath, 'parts'>, Draft>> = {
  circuits: { voltageV: null, phases: 1, breakerA: null, conductorSize: '', lengthMm: null },
  'power-sources': {
    ...HOLDING,
    processes: [BLANK_PROCESS],
    supplyChange: null,
    efficiencyPct: null,
    powerFactor: null,
    idleW: null,
    acBalance: null,
    acFrequency: null,
    start: [],
    lowestStableA: null,
    voltageSteps: null,
    feeder: null,
    torchConnector: null,
    polarityChange: null,
    gasValve: null,
    waterCooler: null,
    vrd: null,
  },
  feeders: {
    ...HOLDING,
    feedMinMmPerMin: null,
    feedMaxMmPerMin: null,
    wireMinMm: null,
    wireMaxMm: null,
    rollSystem: null,
    spoolsMm: [],
    spoolMostG: null,
    gunConnector: null,
  },
  guns: {
    ...HOLDING,
    kind: 'gun',
    drive: 'none',
    cooling: 'air',
    lengthMm: null,
    massG: null,
    neck: null,
    ratings: [{ gas: 'co2', wave: 'dc', currentA: null, dutyPct: null }],
    connector: null,
    partsClass: null,
    feeder: null,
    valve: null,
  },
  wires: {
    form: 'solid',
    classification: '',
    metal: 'carbon-steel',
    diameterMm: null,
    currentMinA: null,
    currentMaxA: null,
    polarity: null,
    positions: null,
    gasWanted: null,
    spoolMm: null,
    stockG: null,
    packageG: null,
    packagePrice: null,
  },
  gases: {
    designation: '',
    argonPct: null,
    co2Pct: 0,
    oxygenPct: 0,
    heliumPct: 0,
    fullL: null,
    leftL: null,
    refillPrice: null,
  },
  tungstens: { type: 'WLa20', diameterMm: null, lengthMm: null, stock: null, price: null },
}

const PART_BLANKS: Readonly<Record<PartKind, Draft>> = {
  'drive-roll': { groove: 'v-smooth', wireMm: null, rollSystem: null },
  liner: { material: 'steel', wireMinMm: null, wireMaxMm: null, lengthMm: null, usedFor: null },
  'contact-tip': { wireMm: null, partsClass: null },
  nozzle: { insideMm: null, gasless: false, partsClass: null },
  collet: { tungstenMm: null, partsClass: null },
  'collet-body': { tungstenMm: null, gasLens: false, partsClass: null },
  cup: { number: null, forGasLens: false, partsClass: null },
  'back-cap': { longestMm: null, partsClass: null },
  'flow-meter': { scales: ['argon'], fittings: ['inert'], heated: false },
}

/** @param partKind which part, where the path is that of the parts */
export const blankOf = (path: EquipmentPath, id: string, partKind: PartKind): Draft =>
  path === 'parts'
    ? { kind: partKind, id, name: '', ...HOLDING, stock: null, ...PART_BLANKS[partKind] }
    : { id, name: '', ...BLANKS[path] }
