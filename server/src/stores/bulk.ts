/** Many records of one kind in a few statements: a catalogue of thousands is one transaction of moments. */
import type { Connection } from '../database.ts'
import { Problem } from '../problems.ts'
import type { Kind } from './kinds.ts'

/** Makes what is new; rows in the order of their ids, so that two such writes take their locks in one order. */
const MAKE = `with given as (
    select value ->> 'id' as id, value as body from jsonb_array_elements($2::jsonb) as value
  )
  insert into record (kind, id, body, schema_version) select $1, id, body, $4 from given where id = any($3) order by id
  on conflict (kind, id) do nothing returning id, version`
/** Those that are there are locked in the order of their ids before they are written. */
const HOLD = `select id, version from record where kind = $1 and id = any($2) order by id for update`
const REPLACE = `with given as (
    select value ->> 'id' as id, value as body from jsonb_array_elements($2::jsonb) as value
  )
  update record r set body = g.body, schema_version = $4, version = r.version + 1, updated_at = now()
  from given g where r.kind = $1 and r.id = g.id and g.id = any($3) returning r.id, r.version`

export interface Written {
  readonly id: string
  readonly version: number
}

/**
 * Makes and replaces, all or nothing. Kinds whose records name others are not written this way.
 * @param list JSON text of the records
 * @param ids of all of them
 * @param versions of those that are to be replaced, by id
 */
export async function writeMany(
  connection: Connection,
  kind: Kind,
  list: string,
  ids: readonly string[],
  versions: ReadonlyMap<string, number>,
): Promise<readonly Written[]> {
  const known = ids.filter((id) => versions.has(id)).sort()
  const fresh = ids.filter((id) => !versions.has(id)).sort()
  const held = new Map(
    (await connection.query<Written>(HOLD, [kind.kind, known])).rows.map(({ id, version }) => [id, version]),
  )
  for (const id of known) {
    const now = held.get(id)
    if (now === undefined)
      throw new Problem(
        404,
        'Not here',
        `There is no ${kind.kind} with the id “${id}”. It may have been deleted.`,
      )
    if (now !== versions.get(id)) {
      throw new Problem(
        412,
        'Changed meanwhile',
        `You have version ${versions.get(id)} of the ${kind.kind} “${id}”, the stored one is version ${now}. Load it again.`,
        { extra: { currentVersion: now } },
      )
    }
  }
  const replaced =
    known.length > 0
      ? (await connection.query<Written>(REPLACE, [kind.kind, list, known, kind.version])).rows
      : []
  const made =
    fresh.length > 0
      ? (await connection.query<Written>(MAKE, [kind.kind, list, fresh, kind.version])).rows
      : []
  if (made.length < fresh.length) {
    const isMade = new Set(made.map(({ id }) => id))
    const taken = fresh.find((id) => !isMade.has(id)) ?? ''
    throw new Problem(
      409,
      'Already here',
      `There is already a ${kind.kind} with the id “${taken}”. Choose another id, or name the version that it replaces.`,
    )
  }
  const versionOf = new Map([...replaced, ...made].map(({ id, version }) => [id, version]))
  return ids.map((id) => ({ id, version: versionOf.get(id) ?? 1 }))
}
