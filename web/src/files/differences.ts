/** What of a record is different between two versions, field by field, in words. */

export interface Difference {
  readonly field: string
  readonly before: string
  readonly after: string
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null

/** Endings of names that are units: `thicknessAMm` is a thickness in mm. */
const UNITS: readonly (readonly [ending: RegExp, unit: string])[] = [
  [/MmPerMin$/, 'mm/min'],
  [/KmPerH$/, 'km/h'],
  [/LPerMin$/, 'L/min'],
  [/Mm$/, 'mm'],
  [/Pct$/, '%'],
  [/Deg$/, '°'],
  [/(?<=[a-z])A$/, 'A'],
  [/(?<=[a-z])V$/, 'V'],
  [/(?<=[a-z])S$/, 's'],
  [/(?<=[a-z])G$/, 'g'],
  [/(?<=[a-z])C$/, '°C'],
]

/** `hoursSetAside` → `hours set aside`, `setUpId` → `set up` */
const wordsOf = (key: string): string =>
  key
    .replace(/Ids?$/, '')
    .replace(/([a-z\d])([A-Z])/g, '$1 $2')
    .toLowerCase()

function fieldOf(path: readonly string[]): { words: string; unit: string } {
  const last = path.at(-1) ?? ''
  const [ending, unit] = UNITS.find(([pattern]) => pattern.test(last)) ?? [/$^/, '']
  const names = path.map((part, index) => {
    if (/^\d+$/.test(part)) return `${Number(part) + 1}`
    return wordsOf(index === path.length - 1 ? part.replace(ending, '') : part.replace(/s$/, ''))
  })
  return { words: names.join(' '), unit }
}

const MOST_LETTERS = 60
function print(value: unknown, unit: string): string {
  if (value === undefined || value === null || value === '') return '–'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number') return `${Number(value.toPrecision(6))}${unit ? ` ${unit}` : ''}`
  const text = typeof value === 'string' ? value : JSON.stringify(value)
  return text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS)}…` : text
}

/** Members of a list are told apart by their id, where they have one. */
function keyed(value: Record<string, unknown>): Record<string, unknown> {
  if (!Array.isArray(value) || !value.every((one) => isObject(one) && typeof one['id'] === 'string'))
    return value
  return Object.fromEntries(value.map((one: Record<string, unknown>) => [String(one['id']), one]))
}

/**
 * @param most after which it stops looking
 * @returns in the order of the document; empty where both are the same
 */
export function differences(before: unknown, after: unknown, most = 200): readonly Difference[] {
  const found: Difference[] = []
  const walk = (was: unknown, is: unknown, path: readonly string[]): void => {
    if (found.length >= most || was === is) return
    if (isObject(was) && isObject(is)) {
      const [left, right] = [keyed(was), keyed(is)]
      for (const key of new Set([...Object.keys(left), ...Object.keys(right)]))
        walk(left[key], right[key], [...path, key])
      return
    }
    const { words, unit } = fieldOf(path)
    const gone = isObject(was) && is === undefined
    const come = was === undefined && isObject(is)
    found.push({
      field: words,
      before: come ? '–' : gone ? 'there' : print(was, unit),
      after: gone ? '–' : come ? 'there' : print(is, unit),
    })
  }
  walk(before, after, [])
  return found
}
