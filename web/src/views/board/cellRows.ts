/** The cells of one job, of either board. Those by set-up are made from figures when they are looked at, and not kept. */
import {
  type Assessment,
  type BoardCell,
  cellAt,
  cellsOf,
  type JudgedJob,
  limitAt,
  type MachineCell,
  type PackedRow,
  type Places,
  type Verdict,
  verdictAt,
} from '@brannik/core'

export type AnyCell = BoardCell | MachineCell

export interface CellRow<C extends AnyCell = AnyCell> extends JudgedJob {
  get(columnId: string): C | null
  all(): readonly C[]
}

export class SetUpRow implements CellRow<BoardCell> {
  constructor(
    readonly packed: PackedRow,
    readonly places: Places,
  ) {}
  get jobId(): string {
    return this.packed.jobId
  }
  verdictOf(columnId: string): Verdict | null {
    return verdictAt(this.packed, this.#placeOf(columnId))
  }
  limitOf(columnId: string): Assessment | null {
    return limitAt(this.packed, this.#placeOf(columnId))
  }
  get(columnId: string): BoardCell | null {
    return cellAt(this.packed, columnId, this.#placeOf(columnId))
  }
  all(): readonly BoardCell[] {
    return cellsOf(this.packed, this.places)
  }
  #placeOf(columnId: string): number {
    return this.places.get(columnId) ?? -1
  }
}

export class MachineRow implements CellRow<MachineCell> {
  readonly #byStation: ReadonlyMap<string, MachineCell>
  constructor(
    readonly jobId: string,
    cells: readonly MachineCell[],
  ) {
    this.#byStation = new Map(cells.map((cell) => [cell.stationId, cell]))
  }
  verdictOf(columnId: string): Verdict | null {
    return this.#byStation.get(columnId)?.verdict ?? null
  }
  limitOf(columnId: string): Assessment | null {
    return this.#byStation.get(columnId)?.limit ?? null
  }
  get(columnId: string): MachineCell | null {
    return this.#byStation.get(columnId) ?? null
  }
  all(): readonly MachineCell[] {
    return [...this.#byStation.values()]
  }
}
