/** Documents as bytes come in: read, carried up to this version, refused with the field and the remedy. JSON by RFC 8259. */
import { readFileSync } from 'node:fs'
import { CATALOGUE_KEYS, catalogueOf, factsAt } from '@brannik/core'
import { describe, expect, it } from 'vitest'
import { type Answers, answerTo, type Ask, type Outcome } from './documents/documents.ts'

const demoFile = (name: string): Record<string, never> =>
  JSON.parse(readFileSync(new URL(`../../demo/${name}.json`, import.meta.url), 'utf8')) as Record<
    string,
    never
  >
const shop = demoFile('tollgate-orchard-works') as unknown as Record<string, { id: string }[]> & {
  shop: object
  version: number
}
const bytes = (value: unknown): Uint8Array => new TextEncoder().encode(JSON.stringify(value))
const ask = <W extends Ask['what']>(of: Extract<Ask, { what: W }>, value: unknown): Outcome<Answers[W]> =>
  answerTo(of, value instanceof Uint8Array ? value : bytes(value)) as Outcome<Answers[W]>
const problemsOf = (outcome: Outcome<unknown>): readonly string[] =>
  'problems' in outcome ? outcome.problems.map(({ pointer, message }) => `${pointer}: ${message}`) : []
const valueOf = <T>(outcome: Outcome<T>): T => {
  if (!outcome.ok) throw new Error(JSON.stringify(outcome))
  return outcome.value
}
const record = (path: string, value: unknown) => ask({ what: 'record', kindPath: path }, value)
const [wire] = shop['wires'] ?? []
const frame = shop['jobs']?.find(({ id }) => id === 'press-frame')
if (!wire || !frame) throw new Error('the demo has no wire and no press frame')

describe('bytes', () => {
  it('are JSON in UTF-8, or are told what they are not', () => {
    const torn = answerTo({ what: 'record', kindPath: 'wires' }, new TextEncoder().encode('{"id":'))
    expect(torn).toEqual({ ok: false, notJson: expect.stringContaining('not valid JSON') as string })
    const latin = answerTo({ what: 'record', kindPath: 'wires' }, Uint8Array.of(0x22, 0xe9, 0x22))
    expect(latin).toEqual({ ok: false, notJson: expect.stringContaining('not UTF-8') as string })
  })
})

describe('a record', () => {
  it('is its text, its id, and what it names', () => {
    const read = valueOf(record('jobs', frame))
    expect(read.id).toBe('press-frame')
    expect(JSON.parse(read.text)).toEqual(frame)
    expect(read.references).toContainEqual(expect.objectContaining({ toKind: 'set-up' }))
    expect(valueOf(record('wires', wire)).references.map(({ toKind }) => toKind)).not.toContain('set-up')
  })
  it('is carried up from the version that it says it is of, and stored without it', () => {
    const read = valueOf(record('wires', { ...wire, schemaVersion: factsAt('wires')?.version }))
    expect(JSON.parse(read.text)).toEqual(wire)
    expect(problemsOf(record('wires', { ...wire, schemaVersion: 9999 }))[0]).toMatch(/^\/schemaVersion: /)
    expect(problemsOf(record('wires', { ...wire, schemaVersion: 'x' }))[0]).toMatch(/^\/schemaVersion: /)
  })
  it('that is not right names each field', () => {
    expect(problemsOf(record('wires', { ...wire, diameterMm: -1 }))).toEqual([
      expect.stringMatching(/^\/diameterMm: must be /),
    ])
    for (const none of [null, 7, 'wire', []])
      expect(problemsOf(record('wires', none)).length).toBeGreaterThan(0)
    expect(() => record('nails', {})).toThrow('no kind at nails')
  })
})

describe('a catalogue', () => {
  const catalogue = (part: object = {}) => {
    const none = Object.fromEntries(CATALOGUE_KEYS.map((key) => [key, []]))
    return { ...catalogueOf(shop as never), ...none, stock: [], ...part }
  }
  const taken = (part: object, versions: object = {}) =>
    ask({ what: 'catalogue' }, { catalogue: catalogue(part), versions })
  it('says in which version it is, and is refused where that is newer than this', () => {
    expect(
      problemsOf(
        ask({ what: 'catalogue' }, { catalogue: { ...catalogue(), version: 9999 }, versions: {} }),
      )[0],
    ).toMatch(/^\/catalogue\/version: /)
    expect(
      ask({ what: 'catalogue' }, { catalogue: { ...catalogue(), version: 9999 }, versions: {} }).ok,
    ).toBe(false)
    expect(problemsOf(ask({ what: 'catalogue' }, { versions: {} })).length).toBeGreaterThan(0)
    expect(problemsOf(ask({ what: 'catalogue' }, null)).length).toBeGreaterThan(0)
  })
  it('has no thing twice: the second would silently take the place of the first', () => {
    const found = problemsOf(taken({ wires: [wire, { ...wire, name: 'Another' }, wire] }))
    expect(found.map((one) => one.split(':')[0])).toEqual(['/catalogue/wires/1/id', '/catalogue/wires/2/id'])
    expect(found[0]).toContain(`is “${wire.id}”, which an earlier one has`)
    const twice = taken({ wires: [wire, { ...wire, name: 'Another' }] })
    expect(twice).toMatchObject({ ok: false, problems: [{ field: 'catalogue › wires › 2 › id' }] })
  })
  it('is its lists that have something, with the versions that were seen of it', () => {
    const { lists } = valueOf(taken({ wires: [wire] }, { [`wires/${wire.id}`]: 3, 'guns/other': 5 }))
    expect(lists.map(({ path, ids }) => [path, ids])).toEqual([['wires', [wire.id]]])
    expect([...(lists[0]?.versions ?? [])]).toEqual([[wire.id, 3]])
    expect(valueOf(taken({ wires: [wire] })).lists[0]?.versions.size).toBe(0)
    expect(problemsOf(taken({ wires: [wire] }, { 'wires/x': 0 }))).toHaveLength(1)
  })
})

describe('a whole shop', () => {
  const whole = (part: object = {}, replaces: string | null = null) =>
    ask({ what: 'whole' }, { whole: { ...shop, ...part }, replaces })
  it('is every record with what it names, those that are named first', () => {
    const read = valueOf(whole({}, 'tollgate'))
    expect([read.replaces, read.name]).toEqual(['tollgate', 'Tollgate Orchard Works'])
    const paths = read.kinds.map(({ path }) => path)
    expect(paths[0]).toBe('shop')
    expect(paths.indexOf('wires')).toBeLessThan(paths.indexOf('set-ups'))
    expect(paths.indexOf('set-ups')).toBeLessThan(paths.indexOf('jobs'))
    expect(read.kinds.find(({ path }) => path === 'wires')?.records).toHaveLength(shop['wires']?.length ?? 0)
    expect(read.stock).toHaveLength(shop['stock']?.length ?? 0)
    expect(valueOf(whole()).replaces).toBeNull()
  })
  it('names nothing that it does not have, counts nothing that is not there, and has nothing twice', () => {
    const without = whole({ setUps: shop['setUps']?.filter(({ id }) => id !== 'bay-2-wire') })
    expect(problemsOf(without)).toContainEqual(
      expect.stringMatching(
        /^\/whole\/jobs\/\d+\/setUpId: names “bay-2-wire”, and the file has no such set-up/,
      ),
    )
    const counted = whole({ stock: [...(shop['stock'] ?? []), { id: 'wire.gone', amount: 1 }] })
    expect(problemsOf(counted)).toEqual([
      expect.stringMatching(/^\/whole\/stock\/\d+\/id: is “wire\.gone”, and the file has no such thing/),
    ])
    const twice = whole({ gases: [...(shop['gases'] ?? []), shop['gases']?.[0]] })
    expect(problemsOf(twice)).toEqual([
      expect.stringMatching(/^\/whole\/gases\/\d+\/id: is “.*”, which an earlier one has/),
    ])
  })
  it('of a newer version is refused, and so is what is none', () => {
    expect(problemsOf(whole({ version: 9999 }))[0]).toMatch(/^\/whole\/version: /)
    for (const none of [null, {}, { whole: null, replaces: null }, 7])
      expect(problemsOf(ask({ what: 'whole' }, none)).length, JSON.stringify(none)).toBeGreaterThan(0)
  })
})

describe('the question of a fit', () => {
  const question = demoFile('fit-press-frame') as unknown as {
    job: { joints: { id: string }[] }
    setUp: object
    version: number
  }
  const fitted = (value: unknown, explained: readonly string[] = []) =>
    JSON.parse(new TextDecoder().decode(valueOf(ask({ what: 'fit', explained }, value)))) as {
      verdict: string
      chains: unknown[]
      criteria: { sentence: string }[]
      workings?: Record<string, unknown[]>
    }
  it('is answered in words, with the working of what was asked for and of nothing else', () => {
    const answer = fitted(question)
    expect(['fits', 'tight', 'fails', 'unknown']).toContain(answer.verdict)
    expect(answer.criteria.length).toBeGreaterThan(20)
    expect(answer).not.toHaveProperty('workings')
    const explained = fitted(question, ['gas-use'])
    expect(Object.keys(explained.workings ?? {})).toEqual(['gas-use'])
    expect(explained.workings?.['gas-use']?.length).toBeGreaterThan(0)
  })
  it('of very many welds has one chain for all, of few one each', () => {
    const [joint] = question.job.joints
    const many = (count: number) => ({
      ...question,
      job: { ...question.job, joints: Array.from({ length: count }, (_, n) => ({ ...joint, id: `w${n}` })) },
    })
    expect(fitted(many(50)).chains).toHaveLength(50)
    expect(fitted(many(51)).chains.length).toBeLessThanOrEqual(1)
  })
  it('of a newer version, without its parts, or of nothing is refused by its field', () => {
    const refused = (value: unknown) => problemsOf(ask({ what: 'fit', explained: [] }, value))
    expect(refused({ ...question, version: 9999 })[0]).toMatch(/^\/version: /)
    expect(refused({ ...question, setUp: { ...question.setUp, gasId: 'gone' } })[0]).toMatch(
      /^\/setUp\/gasId: /,
    )
    expect(refused({ ...question, job: null })[0]).toMatch(/^\/job: /)
    expect(refused(null).length).toBeGreaterThan(0)
  })
})
