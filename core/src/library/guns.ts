/** Guns for wire and holders of electrodes by class; their connector and parts are those of the machine they are for. */
import type { Gun } from '../kinds/equipment.ts'
import { commonPractice } from '../basis/source.ts'
import { idOf, type LibraryEntry } from './entry.ts'

const SOURCE = commonPractice('classes of guns, common practice; rated by IEC 60974-7, from memory')
const FT_MM = 304.8
const PLAIN = {
  held: 'candidate',
  price: null,
  cooling: 'air',
  connector: null,
  feeder: null,
  valve: null,
} as const

interface GunClass {
  readonly name: string
  readonly lengthFt: number
  readonly massG: number
  readonly partsClass: string
  /** In CO₂; a mix radiates more and takes some 30 % off, gasless wire some 20 %. */
  readonly co2A: number
  readonly mixedA: number
  readonly gaslessA: number
}

const GUNS: readonly GunClass[] = [
  {
    name: '150 A class gun',
    lengthFt: 10,
    massG: 1500,
    partsClass: 'light',
    co2A: 150,
    mixedA: 105,
    gaslessA: 120,
  },
  {
    name: '250 A class gun',
    lengthFt: 15,
    massG: 2900,
    partsClass: 'medium',
    co2A: 250,
    mixedA: 180,
    gaslessA: 200,
  },
  {
    name: '400 A class gun',
    lengthFt: 12,
    massG: 3800,
    partsClass: 'heavy',
    co2A: 400,
    mixedA: 300,
    gaslessA: 320,
  },
]
const gun = ({
  name,
  lengthFt,
  massG,
  partsClass,
  co2A,
  mixedA,
  gaslessA,
}: GunClass): LibraryEntry<'guns'> => {
  const called = `${name}, ${lengthFt} ft`
  const rated = (gas: Gun['ratings'][number]['gas'], currentA: number) =>
    ({ gas, wave: 'dc', currentA, dutyPct: 60 }) as const
  return {
    path: 'guns',
    record: {
      id: idOf('lib gun', called),
      name: called,
      ...PLAIN,
      keptAt: null,
      kind: 'gun',
      drive: 'none',
      lengthMm: lengthFt * FT_MM,
      massG,
      neck: 'curved',
      ratings: [rated('co2', co2A), rated('mixed', mixedA), rated('none', gaslessA)],
      partsClass,
    },
    summary: `${partsClass}: ${co2A} A in CO₂, ${mixedA} A in a mix, at 60 %`,
    source: SOURCE,
  }
}

const SPOOL_GUN: LibraryEntry<'guns'> = {
  path: 'guns',
  record: {
    id: 'lib-gun-spool-gun-150-a-class',
    name: 'Spool gun, 150 A class, 20 ft',
    ...PLAIN,
    keptAt: null,
    kind: 'gun',
    drive: 'spool',
    lengthMm: 20 * FT_MM,
    massG: 4300,
    neck: 'straight',
    ratings: [
      { gas: 'argon', wave: 'dc', currentA: 150, dutyPct: 30 },
      { gas: 'mixed', wave: 'dc', currentA: 130, dutyPct: 30 },
    ],
    partsClass: 'medium',
    feeder: {
      feedMinMmPerMin: 2032,
      feedMaxMmPerMin: 17_780,
      wireMinMm: 0.762,
      wireMaxMm: 1.1913,
      rollSystem: null,
      spoolsMm: [100],
      spoolMostG: 1200,
      gunConnector: null,
      tensionMarks: [],
    },
  },
  summary: 'aluminium: soft wire pushed a hand’s width',
  source: SOURCE,
}

const holder = (currentA: number, massG: number): LibraryEntry<'guns'> => ({
  path: 'guns',
  record: {
    id: idOf('lib gun', `${currentA} A class electrode holder`),
    name: `${currentA} A class electrode holder, 12 ft`,
    ...PLAIN,
    keptAt: null,
    kind: 'holder',
    drive: 'none',
    lengthMm: 12 * FT_MM,
    massG,
    neck: null,
    ratings: (['dc', 'ac'] as const).map((wave) => ({ gas: 'none', wave, currentA, dutyPct: 60 })),
    partsClass: null,
  },
  summary: `stick up to ${currentA} A at 60 %`,
  source: SOURCE,
})

export const LIBRARY_GUNS: readonly LibraryEntry<'guns'>[] = [
  ...GUNS.map(gun),
  SPOOL_GUN,
  holder(200, 1500),
  holder(300, 2100),
]
