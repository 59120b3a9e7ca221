/** Brings two edits of one record together, field by field: what only one side changed is taken from that side. */

type Fields = Readonly<Record<string, unknown>>
type Path = readonly string[]

/** A field that both sides changed, each to something else. */
export interface Clash {
  /** Names of fields, and ids of members of lists. */
  readonly path: Path
  /** Undefined where that side took it away. */
  readonly mine: unknown
  readonly theirs: unknown
}

export interface Merged<T> {
  /** Where both sides changed a field, it has the value of `mine`. */
  readonly record: T
  readonly clashes: readonly Clash[]
}

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** A list whose members have ids of their own: each member is a field by its id. */
const isKeyed = (value: unknown): value is readonly (Fields & { readonly id: string })[] =>
  Array.isArray(value) &&
  value.every((one) => isFields(one) && typeof one['id'] === 'string') &&
  new Set(value.map((one: Fields) => one['id'])).size === value.length

const byId = (list: readonly Fields[]): Fields =>
  Object.fromEntries(list.map((one) => [String(one['id']), one]))

/** Deeply, as JSON knows it: order of fields does not count. */
export function isSameJson(one: unknown, other: unknown): boolean {
  if (one === other) return true
  if (Array.isArray(one) && Array.isArray(other))
    return one.length === other.length && one.every((value, index) => isSameJson(value, other[index]))
  if (!isFields(one) || !isFields(other)) return false
  const keys = Object.keys(one)
  return (
    keys.length === Object.keys(other).length &&
    keys.every((key) => Object.hasOwn(other, key) && isSameJson(one[key], other[key]))
  )
}

/** Not what every object knows: a weld may be called `constructor`. */
const own = (fields: Fields, key: string): unknown => (Object.hasOwn(fields, key) ? fields[key] : undefined)

function mergeFields(base: Fields, mine: Fields, theirs: Fields, path: Path, clashes: Clash[]): Fields {
  const merged: Record<string, unknown> = {}
  for (const key of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    const value = mergeValue(own(base, key), own(mine, key), own(theirs, key), [...path, key], clashes)
    if (value !== undefined) merged[key] = value
  }
  return merged
}

/** In my order; what is new on their side comes after the member that it follows there. */
function orderOf(
  mine: readonly Fields[],
  theirs: readonly Fields[],
  base: readonly Fields[],
): readonly string[] {
  const ids = (list: readonly Fields[]): string[] => list.map((one) => String(one['id']))
  const [my, their, were] = [ids(mine), ids(theirs), ids(base)]
  const common = new Set(were.filter((id) => my.includes(id) && their.includes(id)))
  const kept = (list: readonly string[]): string => list.filter((id) => common.has(id)).join('\n')
  // Whoever changed the order keeps theirs; where both did, mine stands.
  const [first, second] = kept(my) === kept(were) ? [their, my] : [my, their]
  const order = [...first]
  second.forEach((id, index) => {
    if (order.includes(id)) return
    const before = second
      .slice(0, index)
      .reverse()
      .find((one) => order.includes(one))
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, id)
  })
  return order
}

function mergeValue(base: unknown, mine: unknown, theirs: unknown, path: Path, clashes: Clash[]): unknown {
  if (isSameJson(mine, theirs) || isSameJson(base, theirs)) return mine
  if (isSameJson(base, mine)) return theirs
  if (isFields(mine) && isFields(theirs))
    return mergeFields(isFields(base) ? base : {}, mine, theirs, path, clashes)
  if (isKeyed(mine) && isKeyed(theirs) && isKeyed(base)) {
    const merged = mergeFields(byId(base), byId(mine), byId(theirs), path, clashes)
    return orderOf(mine, theirs, base).flatMap((id) => (Object.hasOwn(merged, id) ? [merged[id]] : []))
  }
  clashes.push({ path, mine, theirs })
  return mine
}

/**
 * @param base what both began from
 * @param mine one edit of it
 * @param theirs the other edit of it
 * @returns both edits in one record, and what both changed
 * @example mergeRecords({ a: 1, b: 1 }, { a: 2, b: 1 }, { a: 1, b: 3 }) // { record: { a: 2, b: 3 }, clashes: [] }
 */
export function mergeRecords<T extends object>(base: T, mine: T, theirs: T): Merged<T> {
  const clashes: Clash[] = []
  const record = mergeValue(base, mine, theirs, [], clashes) as T
  return { record, clashes }
}

/**
 * @param value undefined takes the field, or the member of a list, away
 * @returns the record with one field of it changed
 * @example withField({ id: 'j', joints: [{ id: 'w1', count: 4 }] }, ['joints', 'w1', 'count'], 5)
 */
export function withField<T extends object>(record: T, path: Path, value: unknown): T {
  const [key, ...rest] = path
  if (key === undefined) return value as T
  if (Array.isArray(record)) {
    const list = record as readonly (Fields & { readonly id: string })[]
    const at = list.findIndex(({ id }) => id === key)
    const member = rest.length === 0 ? value : withField((list[at] ?? {}) as object, rest, value)
    if (at < 0) return (member === undefined ? list : [...list, member]) as unknown as T
    return list.flatMap((one, index) =>
      index !== at ? [one] : member === undefined ? [] : [member],
    ) as unknown as T
  }
  const fields = record as Fields
  const next = rest.length === 0 ? value : withField((own(fields, key) ?? {}) as object, rest, value)
  const { [key]: _gone, ...others } = fields
  return (next === undefined ? others : { ...fields, [key]: next }) as T
}
