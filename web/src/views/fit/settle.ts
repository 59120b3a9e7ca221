/** All that a verdict lacks, each once, with the field that settles it and what is usual there. */
import {
  type Assessment,
  factsAt,
  missingFieldOf,
  type MissingField,
  PART_KINDS,
  type PartKind,
  pathOfSlot,
  PROCESSES,
  readDocument,
  schemaOf,
  type SetUp,
  type Slot,
  slotKey,
  stockId,
  typicalOf,
  valueAt,
} from '@brannik/core'
import type { useWorkspace } from '../../shop/workspace.ts'
import { type FieldSpec, formOf, plateFigure } from '../equipment/forms.ts'
import { type EquipmentPath, setIn } from '../equipment/useRecordDraft.ts'

type Workspace = ReturnType<typeof useWorkspace>

/** A record of the set-up and the field of it that is empty. */
export interface FieldToSettle {
  readonly path: EquipmentPath
  readonly id: string
  readonly name: string
  readonly spec: FieldSpec
  /** Each place in the record where the figure is written: a plate has a column for every voltage. */
  readonly places: readonly (readonly (string | number)[])[]
}
export interface ToSettle {
  readonly key: string
  readonly assessment: Assessment
  /** Null where something has to be chosen, or stands elsewhere: a link leads there. */
  readonly field: FieldToSettle | null
}

const PLATE_FIGURES = ['openCircuitV', 'i1MaxA', 'i1EffA'] as const

function slotOf({ at }: MissingField, setUp: SetUp): Slot | null {
  if (at === 'set-up' || at === 'job') return null
  if (at !== 'feed') return at
  return setUp.feederId === null ? 'powerSource' : 'feeder'
}

function fieldOf(missing: MissingField, setUp: SetUp, workspace: Workspace): FieldToSettle | null {
  const slot = slotOf(missing, setUp)
  const id = slot && setUp[slotKey(slot)]
  if (!slot || !id || missing.field === null) return null
  const path = pathOfSlot(slot)
  const record = workspace.get(path, id)
  if (!record) return null
  const { family } = PROCESSES[setUp.process]
  const { name } = record
  if (path === 'power-sources') {
    const key = PLATE_FIGURES.find((one) => plateFigure(one).label === missing.field)
    if (key) {
      const { processes } = record as {
        processes: readonly { family: string; supplies: readonly unknown[] }[]
      }
      const places = processes.flatMap((process, at) =>
        process.family === family
          ? process.supplies.map((_, column) => ['processes', at, 'supplies', column, key])
          : [],
      )
      return { path, id, name, spec: plateFigure(key), places }
    }
  }
  const partKind: PartKind | null =
    path === 'parts'
      ? (PART_KINDS.find((kind) => kind === (record as { kind?: unknown }).kind) ?? null)
      : null
  const spec = formOf(path, partKind, true)
    .flatMap(({ fields }) => fields)
    .find(({ label }) => label === missing.field)
  if (!spec) return null
  // A group that is absent, such as a feeder that the machine does not have, is no field to fill in.
  const isThere = spec.path.length === 1 || valueAt(record, spec.path.slice(0, -1)) !== null
  return isThere ? { path, id, name, spec, places: [spec.path] } : null
}

/** @returns what is to be settled, in the order in which it was found; a field once, whatever hangs on it */
export function toSettle(
  unknown: readonly Assessment[],
  setUp: SetUp,
  workspace: Workspace,
): readonly ToSettle[] {
  const items = new Map<string, ToSettle>()
  for (const assessment of unknown) {
    const missing = missingFieldOf(assessment)
    if (!missing) continue
    const field = fieldOf(missing, setUp, workspace)
    const key = field
      ? `${field.path}/${field.id}/${field.spec.path.join('.')}`
      : `${missing.at}/${missing.field ?? assessment.criterion}`
    if (!items.has(key)) items.set(key, { key, assessment, field })
  }
  return [...items.values()]
}

const isStock = ({ spec }: FieldToSettle): boolean => spec.path[0] === 'amount'
export const valueOf = (field: FieldToSettle, workspace: Workspace): unknown =>
  isStock(field)
    ? workspace.amountOf(field.path, field.id)
    : valueAt(workspace.get(field.path, field.id), field.places[0] ?? [])

/** @returns why it cannot be; null where it is settled */
export function settle(field: FieldToSettle, value: unknown, workspace: Workspace): string | null {
  const what = `${field.spec.label.toLowerCase()} of ${field.name}`
  const facts = factsAt(field.path)
  const record = workspace.get(field.path, field.id)
  if (!facts || !record) return 'It may have been deleted.'
  if (isStock(field)) {
    const id = stockId(facts.kind, field.id)
    workspace.edit('stock', id, { id, amount: value as number | null }, what)
    return null
  }
  const changed = field.places.reduce<unknown>((next, place) => setIn(next, place, value), record)
  const read = readDocument<unknown>(schemaOf(facts.kind), changed)
  if (!read.ok) return read.problems[0]?.message ?? 'cannot be so'
  workspace.edit(field.path, field.id, read.value as never, what)
  return null
}

/** What is usual there; null where it has to be looked up. */
export function typicalFor(field: FieldToSettle, setUp: SetUp, workspace: Workspace): unknown {
  const record = workspace.get(field.path, field.id)
  const [steps = []] = field.places
  if (!record || !workspace.shop || isStock(field)) return null
  return typicalOf(
    {
      path: field.path as never,
      record: record as never,
      steps,
      family: PROCESSES[setUp.process].family,
      powerSource: workspace.get('power-sources', setUp.powerSourceId),
      gun: setUp.gunId === null ? null : workspace.get('guns', setUp.gunId),
    },
    workspace.shop,
  )
}
