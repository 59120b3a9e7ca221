/** Decisions: what is kept of a choice, and how it stands when what it rested on has changed. */
import { describe, expect, it } from 'vitest'
import { fitJob, type FitInput } from '../fit/fit.ts'
import { decisionSchema } from '../kinds/decision.ts'
import { inputOf } from '../fit/document.ts'
import { readDocument } from '../model/problems.ts'
import { fitDocumentSchema } from '../kinds/shelf.ts'
import { demoInput, demoShop } from '../testing/samples.ts'
import { speechOf } from '../words/speech.ts'
import { heldAgainst, type ShopNow, decidedChoiceOf } from './decide.ts'

const demo = demoShop()
const input: FitInput = { ...demoInput('picking-platform', 'spool-gun'), stock: [] }
// Made in each test: a test that runs no line of it shows nothing of that line.
const fitNow = () => fitJob(input)
const choice = () => decidedChoiceOf(speechOf(demo.shop), input, fitNow())
const now: ShopNow = { shop: demo.shop, shelf: demo, setUps: demo.setUps, jobs: demo.jobs }

describe('a choice that is written down', () => {
  it('keeps verdict, chain, findings with their sources, and the cautions of that day', () => {
    const taken = choice()
    const fit = fitNow()
    expect(taken).toMatchObject({ jobName: 'Picking platform', verdict: fit.verdict })
    expect(taken.findings).toHaveLength(fit.criteria.length)
    expect(taken.chain.map(({ title }) => title)).toEqual(expect.arrayContaining(['Power source', 'Gun']))
    expect(taken.findings.every(({ source, says }) => source !== '' && says !== '')).toBe(true)
    expect(taken.cautions.length).toBe(fit.cautions.length)
    expect(taken.cautions.every(({ says }) => says.endsWith('.'))).toBe(true)
    expect(taken.costPerRun).toBe(fit.cost?.job)
    // The first chain alone: its sentence, then its links.
    const [chain] = fit.chains
    expect(taken.chain).toHaveLength(1 + (chain?.links.length ?? NaN))
    expect(taken.chain[0]).toMatchObject({ title: 'Chain', verdict: fit.verdict, source: '' })
    expect(taken.chain.every(({ says, title }) => says !== '' && title !== '')).toBe(true)
    expect(taken.chain.slice(1).map(({ verdict }) => verdict)).toEqual(
      chain?.links.map(({ verdict }) => verdict),
    )
  })

  it('costs as much as then where prices are as they were, and nothing known where nothing is priced', () => {
    const taken = choice()
    expect(heldAgainst(taken, now).costPerRun).toBe(taken.costPerRun)
    expect(decidedChoiceOf(speechOf(demo.shop), input, { ...fitNow(), cost: null }).costPerRun).toBeNull()
  })

  it('keeps a set that makes its own power, which hangs on no circuit', () => {
    const yard = demo.setUps.find(({ id }) => id === 'orchard-stick')
    const source = demo.powerSources.find(({ id }) => id === yard?.powerSourceId)
    const alone: FitInput = {
      ...demoInput('loader-fork', 'orchard-stick'),
      circuit: null,
      powerSource: { ...(source ?? input.powerSource), engine: { fuelLPerH: null } },
    }
    const kept = JSON.parse(decidedChoiceOf(speechOf(demo.shop), alone, fitJob(alone)).basis) as {
      circuits: unknown[]
      panels?: unknown[]
    }
    expect(kept.circuits).toEqual([])
    expect(kept.panels ?? []).toEqual([])
  })

  it('names what has changed as it was called then, and what came in as it is called now', () => {
    const renamed = { ...now, jobs: demo.jobs.map((job) => ({ ...job, name: `${job.name} again` })) }
    const [one] = heldAgainst(choice(), renamed).changed
    expect(one).toMatchObject({
      of: 'job',
      name: 'Picking platform',
      now: { name: 'Picking platform again' },
    })
    const basis = JSON.parse(choice().basis) as { setUp: object; gases: { name: string }[] }
    const without = JSON.stringify({ ...basis, setUp: { ...basis.setUp, flowMeterId: null } })
    const added = heldAgainst({ ...choice(), basis: without }, now).changed.find(
      ({ of }) => of === 'flowMeter',
    )
    expect(added).toMatchObject({ then: null })
    expect(added?.name).not.toBe('')
  })

  it('is a record that can be stored', () => {
    const taken = choice()
    const decision = {
      id: 'd',
      name: 'D',
      note: '',
      decidedAt: '2026-11-26T10:00:00Z',
      taken: [taken],
      purchases: [{ name: 'Dray spool gun', price: 295 }],
      kit: null,
    }
    expect(readDocument(decisionSchema, decision)).toMatchObject({ ok: true })
    expect(readDocument(decisionSchema, { ...decision, decidedAt: 'yesterday' })).toMatchObject({
      ok: false,
      problems: [expect.objectContaining({ pointer: '/decidedAt' })],
    })
  })

  it('holds where nothing has changed', () => {
    const taken = choice()
    const fit = fitNow()
    expect(heldAgainst(taken, now)).toMatchObject({ verdict: fit.verdict, changed: [], problem: '' })
  })

  it('says which part has changed, and no longer holds where that part gives out', () => {
    const taken = choice()
    const weaker = demo.powerSources.map((one) =>
      one.id === input.powerSource.id
        ? {
            ...one,
            processes: one.processes.map((process) => ({
              ...process,
              supplies: process.supplies.map((supply) => ({ ...supply, outputMinA: 25, outputMaxA: 40 })),
            })),
          }
        : one,
    )
    const held = heldAgainst(taken, { ...now, shelf: { ...demo, powerSources: weaker } })
    expect(held.verdict).toBe('fails')
    expect(held.changed.map(({ of }) => of)).toEqual(['powerSource'])
  })

  it('still holds where another price alone has changed, and says so', () => {
    const taken = choice()
    const fit = fitNow()
    const shelf = { ...demo, guns: demo.guns.map((gun) => ({ ...gun, price: 1 })) }
    expect(heldAgainst(taken, { ...now, shelf })).toMatchObject({
      verdict: fit.verdict,
      changed: [{ of: 'gun' }],
    })
  })

  it('is not held against the wire that was used up since', () => {
    const taken = choice()
    const fit = fitNow()
    const stock = demo.stock.map((one) => ({ ...one, amount: 0 }))
    expect(heldAgainst(taken, { ...now, shelf: { ...demo, stock } }).verdict).toBe(fit.verdict)
  })

  it.each([
    ['the job', { jobs: [] }, 'job'],
    ['the set-up', { setUps: [] }, 'setUp'],
    ['the gun', { shelf: { ...demo, guns: [] } }, 'gun'],
  ] as const)('tells that %s is gone', (_what, change, of) => {
    const taken = choice()
    const held = heldAgainst(taken, { ...now, ...change } as ShopNow)
    expect(held.verdict).toBeNull()
    expect(held.changed.find((one) => one.of === of)).toMatchObject({ now: null })
  })

  it('keeps the supply with it: the panels above, the generator and what else draws there', () => {
    const taken = choice()
    const others = { ...demo, loads: demo.loads.map((load) => ({ ...load, circuitId: 'withy-outlet' })) }
    const onGenerator: FitInput = { ...demoInput('loader-fork', 'orchard-stick'), building: others }
    const kept = decidedChoiceOf(speechOf(demo.shop), onGenerator, fitJob(onGenerator))
    const asked = readDocument(fitDocumentSchema, JSON.parse(kept.basis))
    if (!asked.ok) throw new Error(asked.problems[0]?.message)
    expect(asked.value.generators.map(({ id }) => id)).toEqual(['withy-9'])
    expect(asked.value.loads).toHaveLength(demo.loads.length)
    const again = inputOf(asked.value)
    expect(again.ok && fitJob(again.input).criteria).toEqual(fitJob(onGenerator).criteria)
    const inBay = JSON.parse(taken.basis) as { panels: { id: string }[] }
    expect(inBay.panels.map(({ id }) => id)).toEqual(['shop-panel', 'service'])
  })

  it('is read where an older version wrote it', () => {
    const taken = choice()
    const fit = fitNow()
    const basis = JSON.parse(taken.basis) as { version: number; job: Record<string, unknown> }
    const { timesPerYear: _later, ...job } = basis.job
    const old = { ...taken, basis: JSON.stringify({ ...basis, version: 6, job }) }
    const held = heldAgainst(old, now)
    expect(held.problem).toBe('')
    expect(held.verdict).toBe(fit.verdict)
  })

  it('names the field that is amiss', () => {
    const taken = choice()
    const basis = JSON.parse(taken.basis) as { job: object }
    const broken = { ...taken, basis: JSON.stringify({ ...basis, job: { ...basis.job, quantity: 'two' } }) }
    expect(heldAgainst(broken, now).problem).toContain('quantity')
  })

  it('of the demo can be read, and holds', () => {
    const chosen = demo.decisions.flatMap(({ taken: all }) => all)
    expect(chosen.length).toBeGreaterThan(0)
    for (const one of chosen)
      expect(heldAgainst(one, now)).toMatchObject({ problem: '', verdict: one.verdict })
  })

  it.each(['{', '{"version":99}', '{}'])('says that %s cannot be read, and does not break', (basis) => {
    const taken = choice()
    const held = heldAgainst({ ...taken, basis }, now)
    expect(held.verdict).toBeNull()
    expect(held.problem).not.toBe('')
  })
})
