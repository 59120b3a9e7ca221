import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { demoShop, joint } from '../testing/samples.ts'
import { gasSchema, plateProcessSchema, powerSourceSchema, supplyRatingSchema } from './equipment.ts'
import { nameSchema } from '../model/fields.ts'
import { jobSchema, jointSchema } from './job.ts'
import { readDocument } from '../model/problems.ts'
import { listSchemas } from './shelf.ts'
import { shopSchema } from './shop.ts'

const problems = (schema: z.ZodType, value: unknown) => {
  const read = readDocument(schema, value)
  return read.ok ? [] : read.problems
}
const shop = demoShop()

describe('bad input names the field and the remedy', () => {
  it.each([
    [{ thicknessAMm: 1e9 }, '/thicknessAMm', 'at most 300 mm'],
    [{ thicknessAMm: 'thick' }, '/thicknessAMm', 'is a string. Enter a number instead'],
    [{ legMm: null }, '/legMm', 'Enter the leg of the fillet'],
    [{ kind: 'v', includedAngleDeg: null }, '/includedAngleDeg', '60 degrees is usual'],
    [{ kind: 'v', includedAngleDeg: 0 }, '/includedAngleDeg', 'more than 0 degrees'],
    [{ kind: 'v', includedAngleDeg: 180 }, '/includedAngleDeg', 'less than 180 degrees'],
    [{ kind: 'bevel', includedAngleDeg: 95 }, '/includedAngleDeg', '45 is usual'],
    [{ kind: 'u', includedAngleDeg: 20 }, '/rootRadiusMm', '6 mm'],
    [{ kind: 'plug' }, '/diameterMm', 'the hole'],
    [{ kind: 'slot', diameterMm: 20 }, '/slotLengthMm', 'A round hole is a plug'],
    [{ pattern: 'intermittent', segmentMm: 50, pitchMm: 40 }, '/pitchMm', 'shorter than its weld'],
    [{ pattern: 'staggered' }, '/segmentMm', '2-6'],
    [{ count: 1.5 }, '/count', 'whole number'],
    [{ kind: 'nail' }, '/kind', 'must be one of'],
    [{ colour: 'red' }, '', '“colour”'],
  ])('joint with %j', (change, pointer, words) => {
    const found = problems(jointSchema, { ...joint(), ...change })
    expect(found.map((problem) => problem.pointer)).toContain(pointer)
    expect(found.map((problem) => problem.message).join(' ')).toContain(words)
  })

  it('a missing field is named as missing', () => {
    const { lengthMm: _, ...rest } = joint()
    expect(problems(jointSchema, rest)).toEqual([
      { pointer: '/lengthMm', field: 'lengthMm', message: 'is missing. Enter a number' },
    ])
  })

  it('a joint deep in a job is pointed at', () => {
    const job = { ...shop.jobs[0], joints: [joint(), joint({ lengthMm: 0 })] }
    expect(problems(jobSchema, job)[0]).toMatchObject({
      pointer: '/joints/1/lengthMm',
      field: 'joints › 2 › lengthMm',
    })
  })

  it('a plate whose duty does not fall, or whose output ends cross, is refused with the figures', () => {
    const supply = shop.powerSources[0]?.processes[0]?.supplies[0]
    const rising = {
      ...supply,
      ratedPoints: [
        { currentA: 100, dutyPct: 30, loadV: null },
        { currentA: 200, dutyPct: 60, loadV: null },
      ],
    }
    expect(problems(supplyRatingSchema, rising)[0]?.message).toContain('60 % at 200 A and 30 % at 100 A')
    expect(problems(supplyRatingSchema, { ...supply, outputMinA: 900 })[0]?.message).toContain(
      'is 900 A, above the greatest of 230 A',
    )
    expect(problems(powerSourceSchema, { ...shop.powerSources[0], processes: [] })[0]?.message).toContain(
      'at least one process',
    )
  })

  it('a dial has each mark once, in words that a cell can hold; a claim goes from thin to thick', () => {
    const supply = shop.powerSources[0]?.processes[0]?.supplies[0]
    const dial = (...voltsDial: readonly { mark: string; value: number }[]) =>
      problems(supplyRatingSchema, { ...supply, voltsDial })[0]
    expect(dial({ mark: 'A', value: 16 }, { mark: 'B', value: 18 })).toBeUndefined()
    expect(dial({ mark: 'A', value: 16 }, { mark: 'A', value: 18 })).toMatchObject({
      pointer: '/voltsDial',
      message: expect.stringContaining('names the mark A twice') as string,
    })
    for (const mark of ['', 'two words', 'a;b', 'a=b', 'thirteen-long!'])
      expect(dial({ mark, value: 16 })?.pointer).toBe('/voltsDial/0/mark')
    const process = shop.powerSources[0]?.processes[0]
    expect(problems(plateProcessSchema, { ...process, claimMinMm: 9, claimMaxMm: 3 })[0]).toMatchObject({
      pointer: '/claimMinMm',
      message: expect.stringContaining('is 9 mm, above the greatest of 3 mm') as string,
    })
    expect(problems(plateProcessSchema, { ...process, claimMinMm: null, claimMaxMm: 3 })).toEqual([])
  })

  it('a gas must add up', () => {
    expect(problems(gasSchema, { ...shop.gases[0], argonPct: 80 })[0]?.message).toContain('add up to 105 %')
  })

  it('names refuse control characters and halves of characters, which a database cannot hold', () => {
    expect(problems(nameSchema, 'a\u0000b')[0]?.message).toContain('U+0000')
    expect(problems(nameSchema, 'a\u0007b')[0]?.message).toContain('control character')
    expect(problems(nameSchema, 'a\ud800')[0]?.message).toContain('half a character')
    expect(problems(nameSchema, '   ')[0]?.message).toContain('Enter a name')
    expect(problems(nameSchema, "Rivet'); DROP TABLE job;--")).toEqual([])
  })

  it('an assumption out of its limits is named in words', () => {
    const found = problems(shopSchema, { ...shop.shop, assumptions: { convexityPct: 400 } })
    expect(found[0]).toMatchObject({ pointer: '/assumptions/convexityPct' })
    expect(found[0]?.message).toContain('Fillet convexity')
  })

  it.each(['Eastern', '+25:00', '', 'America/New York'])(
    'a zone that no table knows is refused: %j',
    (timeZone) => {
      const found = problems(shopSchema, { ...shop.shop, timeZone })
      expect(found).toMatchObject([{ pointer: '/timeZone' }])
      expect(found[0]?.message).toContain('such as America/New_York')
    },
  )

  it.each(['UTC', 'Asia/Kolkata', null])('a zone of the IANA database is taken: %j', (timeZone) => {
    expect(problems(shopSchema, { ...shop.shop, timeZone })).toEqual([])
  })

  it('pointers escape what JSON Pointer asks for (RFC 6901)', () => {
    expect(problems(shopSchema, { ...shop.shop, assumptions: { 'a/b~c': 1 } })[0]?.pointer).toMatch(
      /^\/assumptions/,
    )
  })
})

describe('a list of hundreds of entries', () => {
  const [job] = shop.jobs
  const joints = Array.from({ length: 120 }, (_, n) => ({ ...job?.joints[0], id: `w${n}` }))
  const read = (change: object) => readDocument(jobSchema, { ...job, joints, ...change })
  const told = (change: object) => {
    const answer = read(change)
    return answer.ok ? [] : answer.problems.map(({ pointer, message }) => `${pointer} ${message}`)
  }

  it('is read as it was written', () => {
    expect(read({})).toEqual({ ok: true, value: { ...job, joints } })
  })

  it('is told the entry that is wrong, what is wrong around it, and what is wrong with the whole list', () => {
    const wrong = joints.map((joint, n) => (n === 97 ? { ...joint, count: 0 } : joint))
    expect(told({ joints: wrong })).toEqual([expect.stringMatching(/^\/joints\/97\/count /)])
    expect(told({ quantity: 0 })).toEqual([expect.stringMatching(/^\/quantity /)])
    const counts = joints.map(({ id }) => ({ id: `wire.${id}`, amount: 1 }))
    const twice = { stock: [...counts, { id: 'wire.w3', amount: 2 }] }
    expect(readDocument(z.strictObject(listSchemas(['count'])), twice)).toMatchObject({
      ok: false,
      problems: [{ pointer: '/stock/120/id', message: expect.stringContaining('wire.w3') }],
    })
  })
})
