import { type CapacityFigure, explainCapacity, type Position, type Step } from '@brannik/core'
import { capabilityIn, type Snapshot } from '../snapshot.ts'

export function answer(
  snapshot: Snapshot,
  setUpId: string,
  voltageV: number | null,
  position: Position,
  figure: CapacityFigure,
): readonly Step[] {
  const capability = capabilityIn(snapshot, setUpId)
  return capability ? explainCapacity(capability, voltageV, position, figure) : []
}
