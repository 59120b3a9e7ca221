/**
 * Records in the database: listed, read, made, replaced by version, deleted. Documents travel as text, as the
 * database keeps them and as they came in: nobody needs them as objects here.
 */
import { createHash } from 'node:crypto'
import type { Connection } from '../database.ts'
import type { RecordDocument } from '../documents/documents.ts'
import { LIMITS } from '../limits.ts'
import { invalid, Problem } from '../problems.ts'
import { type Kind, kindAt } from './kinds.ts'

/** A record as the database keeps it: `record` is JSON text. */
export interface Stored {
  readonly id: string
  readonly version: number
  readonly record: string
}

/** Where a page begins: after this name and id. */
export interface PageStart {
  readonly name: string
  readonly id: string
}

/** What a list is cut down to; nothing of it is cut away where both are empty. */
export interface Filter {
  /** Pieces that must all occur in the name, small letters. */
  readonly words: readonly string[]
  /** Fields of the record that must have these values. */
  readonly fields: Readonly<Record<string, unknown>>
}
export const EVERYTHING: Filter = { words: [], fields: {} }

export interface Page {
  readonly items: readonly Stored[]
  /** null: this is the last one. */
  readonly next: PageStart | null
}

const REVISION = `select coalesce(sum(revision), 0)::text as revision from kind_revision where kind = $1`
/** Cut by number and by weight; one record always goes in, however heavy. */
const PAGE = `select id, name, version, record from (
    select id, body ->> 'name' as name, version, body::text as record,
      sum(bytes) over (order by body ->> 'name', id) - bytes as before
    from (
      select * from record
      where kind = $1 and ($2::text is null or (body ->> 'name', id) > ($2, $3)) and body @> $6
        and not exists (select 1 from unnest($7::text[]) as word where strpos(lower(body ->> 'name'), word) = 0)
      order by body ->> 'name', id limit $4
    ) as ahead
  ) as weighed where before < $5 order by name, id`
const GET = `select id, version, body::text as record from record where kind = $1 and id = $2`
const EXISTS = `select id from record where kind = $1 and id = any($2)`
const INSERT = `insert into record (kind, id, body, schema_version) values ($1, $2, $3, $4)
  on conflict (kind, id) do nothing returning version`
const REPLACE = `update record set body = $4, schema_version = $5, version = version + 1, updated_at = now()
  where kind = $1 and id = $2 and version = $3 returning version`
const DELETE = `delete from record where kind = $1 and id = $2 and version = $3 returning version`
const FORGET_REFERENCES = `delete from record_reference where from_kind = $1 and from_id = $2`
const ADD_REFERENCES = `insert into record_reference (from_kind, from_id, field, to_kind, to_id)
  select $1, $2, * from unnest($3::text[], $4::text[], $5::text[]) order by 2, 3`
const USERS = `select r.body ->> 'name' as name from record_reference f
  join record r on r.kind = f.from_kind and r.id = f.from_id
  where f.to_kind = $1 and f.to_id = $2 order by 1 limit 5`
const ANY_RECORD = `select 1 from record limit 1`

/** A number that rises with every change of the kind, as text. */
export async function revisionOf(connection: Connection, kind: Kind): Promise<string> {
  return (await connection.query<{ revision: string }>(REVISION, [kind.kind])).rows[0]?.revision ?? '0'
}

/** @param limit records at most; fewer come where they are heavy */
export async function page(
  connection: Connection,
  kind: Kind,
  after: PageStart | null,
  limit: number = LIMITS.pageMostItems,
  { words, fields }: Filter = EVERYTHING,
): Promise<Page> {
  const { rows } = await connection.query<Stored & { name: string }>(PAGE, [
    kind.kind,
    after?.name ?? null,
    after?.id ?? null,
    limit + 1,
    LIMITS.pageBytes,
    fields,
    words,
  ])
  const items = rows.slice(0, limit)
  const last = items.at(-1)
  if (!last) return { items, next: null }
  // A page that the weight cut short may be the last one all the same: the next one is then empty.
  const isLast =
    rows.length <= limit && items.reduce((sum, { record }) => sum + record.length, 0) < LIMITS.pageBytes / 4
  return { items, next: isLast ? null : { name: last.name, id: last.id } }
}

/** Every record of a kind, page after page. */
export async function* pages(
  connection: Connection,
  kind: Kind,
  store: Store,
): AsyncGenerator<readonly Stored[]> {
  let after: PageStart | null = null
  do {
    const { items, next }: Page = await store.page(connection, kind, after)
    yield items
    after = next
  } while (after)
}

const noSuch = (kind: Kind, id: string): Problem =>
  new Problem(
    404,
    'Not here',
    `There is no ${kind.noun} with the id “${id}”. It may have been deleted; list ${kind.path}.`,
  )

export async function get(connection: Connection, kind: Kind, id: string): Promise<Stored> {
  const { rows } = await connection.query<Stored>(GET, [kind.kind, id])
  if (!rows[0]) throw noSuch(kind, id)
  return rows[0]
}

async function writeReferences(
  connection: Connection,
  kind: Kind,
  { id, references }: RecordDocument,
): Promise<void> {
  await connection.query(FORGET_REFERENCES, [kind.kind, id])
  if (references.length === 0) return
  const wanted = new Map<string, Set<string>>()
  for (const { toKind, toId } of references)
    wanted.set(toKind, (wanted.get(toKind) ?? new Set<string>()).add(toId))
  for (const [toKind, ids] of wanted) {
    const { rows } = await connection.query<{ id: string }>(EXISTS, [toKind, [...ids]])
    const found = new Set(rows.map((row) => row.id))
    const lost = references.find((one) => one.toKind === toKind && !found.has(one.toId))
    if (lost) {
      throw invalid([
        {
          pointer: `/${lost.field}`,
          field: lost.field,
          message: `names “${lost.toId}”, and there is no such ${toKind}; add it or choose another`,
        },
      ])
    }
  }
  await connection.query(ADD_REFERENCES, [
    kind.kind,
    id,
    references.map(({ field }) => field),
    references.map(({ toKind }) => toKind),
    references.map(({ toId }) => toId),
  ])
}

/** @returns the version of the new record: 1, or one more than it had before it was deleted */
export async function create(connection: Connection, kind: Kind, document: RecordDocument): Promise<number> {
  const { rows } = await connection.query<{ version: number }>(INSERT, [
    kind.kind,
    document.id,
    document.text,
    kind.version,
  ])
  if (!rows[0]) {
    throw new Problem(
      409,
      'Already here',
      `There is already a ${kind.noun} with the id “${document.id}”. Choose another id, or replace it with PUT.`,
    )
  }
  await writeReferences(connection, kind, document)
  return rows[0].version
}

async function staleOrGone(
  connection: Connection,
  kind: Kind,
  id: string,
  version: number,
): Promise<Problem> {
  const now = await get(connection, kind, id)
  return new Problem(
    412,
    'Changed meanwhile',
    `You have version ${version} of this ${kind.noun}, the stored one is version ${now.version}. Load it again and repeat your change.`,
    { extra: { currentVersion: now.version } },
  )
}

/** @returns the new version */
export async function replace(
  connection: Connection,
  kind: Kind,
  version: number,
  document: RecordDocument,
): Promise<number> {
  const { rows } = await connection.query<{ version: number }>(REPLACE, [
    kind.kind,
    document.id,
    version,
    document.text,
    kind.version,
  ])
  if (!rows[0]) throw await staleOrGone(connection, kind, document.id, version)
  await writeReferences(connection, kind, document)
  return rows[0].version
}

export async function remove(connection: Connection, kind: Kind, id: string, version: number): Promise<void> {
  const users = await connection.query<{ name: string }>(USERS, [kind.kind, id])
  if (users.rows.length > 0) {
    const names = users.rows.map(({ name }) => `“${name}”`).join(', ')
    throw new Problem(409, 'In use', `${names} still use this ${kind.noun}. Change that first, then delete.`)
  }
  const { rows } = await connection.query(DELETE, [kind.kind, id, version])
  if (!rows[0]) throw await staleOrGone(connection, kind, id, version)
}

export async function isEmpty(connection: Connection): Promise<boolean> {
  return (await connection.query(ANY_RECORD)).rowCount === 0
}

/** What a kind of record is kept in. */
export interface Store {
  readonly revisionOf: typeof revisionOf
  readonly page: typeof page
  readonly get: typeof get
  readonly create: typeof create
  readonly replace: typeof replace
  readonly remove: typeof remove
}
export const RECORDS: Store = { revisionOf, page, get, create, replace, remove }

/** Short and the same for the same text. */
export const digest = (...texts: readonly (string | Buffer)[]): Buffer => {
  const hash = createHash('sha256')
  for (const text of texts) hash.update(text).update('\u0000')
  return hash.digest()
}

/** @throws Problem where there is no such kind */
export function kindOrProblem(path: string): Kind {
  const kind = kindAt(path)
  if (!kind) throw new Problem(404, 'Not here', `There is no kind of record called “${path.slice(0, 40)}”.`)
  return kind
}
