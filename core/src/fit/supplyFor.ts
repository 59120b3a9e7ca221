/** Which column of the data plate holds on a circuit, or why none does. */
import type { Circuit, PowerSource, SupplyRating } from '../model/equipment.ts'
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

export function supplyFor(source: PowerSource, processId: ProcessId, circuit: Circuit): SupplyAnswer {
  const { family, name } = PROCESSES[processId]
  const wave = processId === 'gtaw-ac' ? 'ac' : 'dc'
  const rated = source.processes.find((p) => p.family === family && p.outputs.includes(wave))
  if (!rated) {
    return { supply: null, says: `${source.name} is not rated for ${name}`, offered: [] }
  }
  const supply = rated.supplies.find(
    (s) => s.phases === circuit.phases && Math.abs(circuit.voltageV / s.voltageV - 1) <= TOLERANCE,
  )
  if (supply) return { supply, says: '', offered: rated.supplies }
  const takes = rated.supplies.map((s) => `${s.voltageV} V ${wires(s.phases)}`).join(' or ')
  return {
    supply: null,
    says: `${source.name} takes ${takes} for ${name}; ${circuit.name} gives ${circuit.voltageV} V ${wires(circuit.phases)}`,
    offered: rated.supplies,
  }
}
