/** Which column of the data plate holds on a circuit, or why none does. */
import { isEngineDriven } from '../kinds/engineDriven.ts'
import { type Circuit, type PowerSource, type SupplyRating } from '../kinds/equipment.ts'
import type { ProcessId } from '../model/process.ts'
import { figure, list, type Param, message, type Message, word } from '../model/message.ts'
import { PROCESSES, type Wave } from '../reference/processes.ts'

export interface SupplyAnswer {
  readonly supply: SupplyRating | null
  /** Why there is none; null where there is one. */
  readonly why: Message | null
  /** The columns that the source has for this process, whatever the circuit. */
  readonly offered: readonly SupplyRating[]
}

/** Supply voltage that a plate's rating covers: ±10 % (IEC 60974-1, supply voltage tolerance). */
const TOLERANCE = 0.1
/** 440 V is ten per cent above 400 V, though not by the last digit of a computer. */
const ROUNDING = 1e-9
const offBy = (ratedV: number, suppliedV: number): number => Math.abs(suppliedV / ratedV - 1)

/** @returns whether a plate's rating for one voltage covers the one that is there */
export const isWithinSupply = (ratedV: number, suppliedV: number): boolean =>
  offBy(ratedV, suppliedV) <= TOLERANCE + ROUNDING

/** A voltage with its phases, as words name a supply. */
export const supplyParam = (voltageV: number | null, phases: 1 | 3): Param =>
  list([figure(voltageV ?? 0, 'V'), word('phases', `${phases}`)])

/** The nearest column of a plate that covers the circuit's voltage. */
export function columnFor(offered: readonly SupplyRating[], circuit: Circuit): SupplyRating | null {
  let nearest: SupplyRating | null = null
  let least = Infinity
  for (const column of offered) {
    if (column.phases !== circuit.phases || column.voltageV === null) continue
    const off = offBy(column.voltageV, circuit.voltageV)
    if (off > least || !isWithinSupply(column.voltageV, circuit.voltageV)) continue
    nearest = column
    least = off
  }
  return nearest
}

/** @param circuit null for a set that an engine drives */
export function supplyFor(
  source: PowerSource,
  processId: ProcessId,
  wave: Wave,
  circuit: Circuit | null,
): SupplyAnswer {
  const { family } = PROCESSES[processId]
  const process = word('process', processId)
  const rated = source.processes.find((p) => p.family === family && p.outputs.includes(wave))
  if (!rated) {
    return { supply: null, why: message('not-rated', { source: source.name, process }), offered: [] }
  }
  const offered = rated.supplies
  if (isEngineDriven(source)) return { supply: offered[0] ?? null, why: null, offered }
  if (!circuit) return { supply: null, why: message('no-circuit', { source: source.name }), offered }
  const supply = columnFor(offered, circuit)
  if (supply) return { supply, why: null, offered }
  const why = message('other-supply', {
    source: source.name,
    takes: list(offered.map(({ voltageV, phases }) => supplyParam(voltageV, phases))),
    process,
    circuit: circuit.name,
    gives: supplyParam(circuit.voltageV, circuit.phases),
  })
  return { supply: null, why, offered }
}
