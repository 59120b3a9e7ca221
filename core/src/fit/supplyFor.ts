/** Which column of the data plate holds on a circuit, or why none does. */
import { type Circuit, isEngineDriven, type PowerSource, type SupplyRating } from '../model/equipment.ts'
import { PROCESSES, type ProcessId } from '../reference/processes.ts'

export interface SupplyAnswer {
  readonly supply: SupplyRating | null
  /** Why there is none. */
  readonly says: string
  /** The columns that the source has for this process, whatever the circuit. */
  readonly offered: readonly SupplyRating[]
}

/** Supply voltage that a plate's rating covers: ±10 % (IEC 60974-1, supply voltage tolerance). */
const TOLERANCE = 0.1

const wires = (phases: 1 | 3): string => (phases === 3 ? 'three-phase' : 'single-phase')

/** @param circuit null for a set that an engine drives */
export function supplyFor(source: PowerSource, processId: ProcessId, circuit: Circuit | null): SupplyAnswer {
  const { family, name } = PROCESSES[processId]
  const wave = processId === 'gtaw-ac' ? 'ac' : 'dc'
  const rated = source.processes.find((p) => p.family === family && p.outputs.includes(wave))
  if (!rated) {
    return { supply: null, says: `${source.name} is not rated for ${name}`, offered: [] }
  }
  if (isEngineDriven(source)) return { supply: rated.supplies[0] ?? null, says: '', offered: rated.supplies }
  if (!circuit) return { supply: null, says: `${source.name} needs a circuit`, offered: rated.supplies }
  const supply = rated.supplies.find(
    (s) =>
      s.phases === circuit.phases &&
      s.voltageV !== null &&
      Math.abs(circuit.voltageV / s.voltageV - 1) <= TOLERANCE,
  )
  if (supply) return { supply, says: '', offered: rated.supplies }
  const takes = rated.supplies.map((s) => `${s.voltageV ?? '–'} V ${wires(s.phases)}`).join(' or ')
  return {
    supply: null,
    says: `${source.name} takes ${takes} for ${name}; ${circuit.name} gives ${circuit.voltageV} V ${wires(circuit.phases)}`,
    offered: rated.supplies,
  }
}

/** The supply in a few words: `240 V`, or that an engine drives it. */
export const supplyWords = (circuit: Circuit | null): string =>
  circuit ? `${circuit.voltageV} V` : 'its engine'
