/** A shop in which nothing stands yet, as its file would be. */
import {
  type Circuit,
  fileVersionOf,
  LOCALES,
  type Shop,
  SHOP_DOCUMENT_FORMAT,
  type ShopDocument,
  USUAL_RUN,
} from '@brannik/core'

/** As this browser writes its numbers, where the shop can; else the first that begins alike. */
export const localeHere = (): Shop['locale'] => {
  const wanted = navigator.language
  const alike = LOCALES.find((one) => one.slice(0, 2) === wanted.slice(0, 2))
  return LOCALES.find((one) => one === wanted) ?? alike ?? 'en-US'
}

export function emptyShop(name: string, unitSystem: Shop['unitSystem']): ShopDocument {
  return {
    format: SHOP_DOCUMENT_FORMAT,
    version: fileVersionOf(SHOP_DOCUMENT_FORMAT),
    shop: {
      id: 'shop',
      name,
      unitSystem,
      // Who measures in millimetres is wired by IEC in most places; the shop says otherwise where it is not so.
      ruleBook: unitSystem === 'metric' ? 'international' : 'north-american',
      locale: localeHere(),
      currency: 'USD',
      aluminiumTip: 'one-over',
      assumptions: {},
    },
    generators: [],
    panels: [],
    circuits: [],
    loads: [],
    powerSources: [],
    feeders: [],
    guns: [],
    parts: [],
    wires: [],
    gases: [],
    tungstens: [],
    stock: [],
    setUps: [],
    jobs: [],
    requirementSheets: [],
    decisions: [],
  }
}

type UsualCircuit = Omit<Circuit, 'id' | 'lengthMm'>
const usual = (
  name: string,
  supply: Pick<Circuit, 'voltageV' | 'phases' | 'breakerA' | 'conductorSize' | 'columnC'>,
): UsualCircuit => ({ name, ...supply, ...USUAL_RUN, held: 'owned', price: null })

/**
 * Outlets as many shops have them, with the cable that is usual on each: NEC 240.4(D) and Table 310.16, 60 and 75 °C;
 * IEC 60364-5-52, PVC in conduit.
 */
export const USUAL_CIRCUITS: Readonly<Record<Shop['ruleBook'], readonly UsualCircuit[]>> = {
  'north-american': [
    usual('120 V, 15 A outlet', {
      voltageV: 120,
      phases: 1,
      breakerA: 15,
      conductorSize: '14 AWG',
      columnC: 60,
    }),
    usual('120 V, 20 A outlet', {
      voltageV: 120,
      phases: 1,
      breakerA: 20,
      conductorSize: '12 AWG',
      columnC: 60,
    }),
    usual('240 V, 30 A outlet', {
      voltageV: 240,
      phases: 1,
      breakerA: 30,
      conductorSize: '10 AWG',
      columnC: 60,
    }),
    usual('240 V, 50 A outlet', {
      voltageV: 240,
      phases: 1,
      breakerA: 50,
      conductorSize: '6 AWG',
      columnC: 60,
    }),
    usual('480 V three-phase, 30 A', {
      voltageV: 480,
      phases: 3,
      breakerA: 30,
      conductorSize: '10 AWG',
      columnC: 75,
    }),
  ],
  international: [
    usual('230 V, 16 A outlet', {
      voltageV: 230,
      phases: 1,
      breakerA: 16,
      conductorSize: '2.5 mm²',
      columnC: 70,
    }),
    usual('230 V, 32 A outlet', {
      voltageV: 230,
      phases: 1,
      breakerA: 32,
      conductorSize: '6 mm²',
      columnC: 70,
    }),
    usual('400 V three-phase, 16 A', {
      voltageV: 400,
      phases: 3,
      breakerA: 16,
      conductorSize: '2.5 mm²',
      columnC: 70,
    }),
    usual('400 V three-phase, 32 A', {
      voltageV: 400,
      phases: 3,
      breakerA: 32,
      conductorSize: '6 mm²',
      columnC: 70,
    }),
  ],
}
/** Looked at only where a cord or a long run asks for it. */
export const USUAL_LENGTH_MM = 9144
