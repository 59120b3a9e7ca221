/** The welding processes: standard name, workshop word, ISO 4063 number, polarity, conventional load voltage. */
import { standard, type Source } from '../basis/source.ts'
import type { Polarity, ProcessFamily, ProcessId } from '../model/process.ts'

export interface Process {
  readonly id: ProcessId
  readonly family: ProcessFamily
  readonly name: string
  readonly workshopWord: string
  /** In a table: one word where one does. */
  readonly briefWord: string
  readonly iso4063: string
  /** What the arc burns from. */
  readonly electrode: 'wire' | 'tungsten' | 'covered'
  readonly feedsWire: boolean
  readonly shielded: boolean
  /** The usual polarity; a wire's own data overrides it. */
  readonly polarity: Polarity
}

const PROCESS_LIST: readonly Process[] = [
  {
    id: 'gmaw-short',
    family: 'gmaw',
    name: 'GMAW, short-circuit',
    workshopWord: 'MIG, short-circuit',
    briefWord: 'MIG',
    iso4063: '135-D',
    electrode: 'wire',
    feedsWire: true,
    shielded: true,
    polarity: 'dcep',
  },
  {
    id: 'gmaw-spray',
    family: 'gmaw',
    name: 'GMAW, spray',
    workshopWord: 'MIG, spray',
    briefWord: 'MIG spray',
    iso4063: '135-S',
    electrode: 'wire',
    feedsWire: true,
    shielded: true,
    polarity: 'dcep',
  },
  {
    id: 'gmaw-pulse',
    family: 'gmaw',
    name: 'GMAW, pulsed spray',
    workshopWord: 'MIG, pulsed',
    briefWord: 'MIG pulsed',
    iso4063: '135-P',
    electrode: 'wire',
    feedsWire: true,
    shielded: true,
    polarity: 'dcep',
  },
  {
    id: 'fcaw-s',
    family: 'fcaw',
    name: 'FCAW-S',
    workshopWord: 'flux-cored, self-shielded',
    briefWord: 'self-shielded',
    iso4063: '114',
    electrode: 'wire',
    feedsWire: true,
    shielded: false,
    polarity: 'dcen',
  },
  {
    id: 'fcaw-g',
    family: 'fcaw',
    name: 'FCAW-G',
    workshopWord: 'flux-cored, gas-shielded',
    briefWord: 'gas-shielded cored',
    iso4063: '136',
    electrode: 'wire',
    feedsWire: true,
    shielded: true,
    polarity: 'dcep',
  },
  {
    id: 'gtaw-dc',
    family: 'gtaw',
    name: 'GTAW, DC',
    workshopWord: 'TIG, DC',
    briefWord: 'TIG DC',
    iso4063: '141',
    electrode: 'tungsten',
    feedsWire: false,
    shielded: true,
    polarity: 'dcen',
  },
  {
    id: 'gtaw-ac',
    family: 'gtaw',
    name: 'GTAW, AC',
    workshopWord: 'TIG, AC',
    briefWord: 'TIG AC',
    iso4063: '141',
    electrode: 'tungsten',
    feedsWire: false,
    shielded: true,
    polarity: 'ac',
  },
  {
    id: 'smaw',
    family: 'smaw',
    name: 'SMAW',
    workshopWord: 'stick',
    briefWord: 'stick',
    iso4063: '111',
    electrode: 'covered',
    feedsWire: false,
    shielded: false,
    polarity: 'dcep',
  },
]

export const PROCESSES: Readonly<Record<ProcessId, Process>> = Object.fromEntries(
  PROCESS_LIST.map((process) => [process.id, process]),
) as Record<ProcessId, Process>

export type Wave = 'dc' | 'ac'
/**
 * @returns what comes out of the source with a process and a polarity: a stick alone may be run on either
 * @example waveOf(PROCESSES.smaw, 'ac') // 'ac'
 */
export const waveOf = ({ id, electrode }: Process, polarity: Polarity): Wave =>
  id === 'gtaw-ac' || (electrode === 'covered' && polarity === 'ac') ? 'ac' : 'dc'

/** What holds the electrode. */
export const HOLDER = { wire: 'gun', tungsten: 'torch', covered: 'holder' } as const satisfies Readonly<
  Record<Process['electrode'], string>
>

export interface LoadLine {
  readonly baseV: number
  readonly voltsPerAmp: number
  /** Above this current the standard holds the load voltage constant. */
  readonly flatAboveA: number
}

/** Conventional load voltage U₂ = base + slope · I₂, by process family. */
export const LOAD_LINES: Readonly<Record<ProcessFamily, LoadLine>> = {
  gmaw: { baseV: 14, voltsPerAmp: 0.05, flatAboveA: 600 },
  fcaw: { baseV: 14, voltsPerAmp: 0.05, flatAboveA: 600 },
  gtaw: { baseV: 10, voltsPerAmp: 0.04, flatAboveA: 600 },
  smaw: { baseV: 20, voltsPerAmp: 0.04, flatAboveA: 600 },
}

export const LOAD_LINE_SOURCE: Source = standard('IEC 60974-1, 11.2 conventional load voltage', true)
