/** Which machine does which job: held to the search of ways, to the full assessment, and to facts of the trade. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { assess, worstOf } from '../criteria/index.ts'
import { limitOf } from '../criteria/limit.ts'
import { demandOf } from '../demand/demand.ts'
import type { SetUp } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { isCandidate } from '../model/ownership.ts'
import { does } from '../model/verdict.ts'
import { runs } from '../testing/runs.ts'
import { demoShop } from '../testing/samples.ts'
import { couldDo } from './couldDo.ts'
import { MachineBoard, type MachineCell } from './machineBoard.ts'
import { stationsIf, stationsOf } from './stations.ts'

const demo = demoShop()
/** Each test has its own: what one has asked is known to the next. */
const newBoard = () => new MachineBoard(demo.shop, demo, demo.setUps)
const jobOf = (id: string): Job => demo.jobs.find((one) => one.id === id) as Job
const cellOf = (jobId: string, stationId: string): MachineCell => {
  const cell = newBoard()
    .row(jobOf(jobId))
    .find((one) => one.stationId === stationId)
  if (!cell) throw new Error(`no cell for ${jobId} on ${stationId}`)
  return cell
}
/** The way as a set-up whose small parts from the library are there; wire and gas are bought for the job. */
function assessed({ way, jobId }: MachineCell, jobs: readonly Job[], shelf: Shelf) {
  const setUp = { ...way?.setUp, id: 'made' } as SetUp
  const chosen = chosenOf(setUp, { ...shelf, stock: [], parts: [...shelf.parts, ...(way?.parts ?? [])] })
  const job = jobs.find(({ id }) => id === jobId) as Job
  return assess(capabilityOf(demo.shop, setUp, chosen), demandOf(job, setUp.process, chosen.wire, demo.shop))
}

describe('stations', () => {
  it('has a machine once for each circuit that its set-ups use, what is owned first', () => {
    const stations = stationsOf(demo, demo.setUps)
    const named = new Set(
      demo.setUps.flatMap(({ powerSourceId, circuitId }) =>
        circuitId ? [`${powerSourceId} ${circuitId}`] : [],
      ),
    )
    for (const id of named) expect(stations.filter((one) => one.id === id)).toHaveLength(1)
    expect(new Set(stations.map(({ powerSource }) => powerSource.id)).size).toBe(demo.powerSources.length)
    const toBuy = stations.map(({ powerSource }) => isCandidate(powerSource))
    expect(toBuy).toEqual(toBuy.toSorted())
  })

  it('keeps the longest cord that somebody planned with: left out, a weak supply would look strong', () => {
    const corded = demo.setUps.find(({ cordLengthMm }) => cordLengthMm !== null) as SetUp
    const short = { ...corded, id: 'short', cordLengthMm: 1000 }
    const station = stationsOf(demo, [short, corded]).find(
      ({ id }) => id === `${corded.powerSourceId} ${corded.circuitId}`,
    )
    expect(station?.cables.cordLengthMm).toBe(corded.cordLengthMm)
    expect(station?.cables.cordSize).toBe(corded.cordSize)
  })
})

describe('stations of few set-ups', () => {
  const [one] = demo.setUps
  const engine = demo.powerSources.find((source) => source.engine !== null)
  const plugged = demo.powerSources.find((source) => source.engine === null && !isCandidate(source))
  if (!one || !engine || !plugged) throw new Error('the demo has no such machine')
  const cords = { cordSize: null, cordLengthMm: null, leadSize: null, leadLengthMm: null }
  const setUpOn = (powerSourceId: string, circuitId: string | null, cables: Partial<SetUp> = {}): SetUp => ({
    ...one,
    ...cords,
    id: `${powerSourceId} ${circuitId} ${JSON.stringify(cables)}`,
    powerSourceId,
    circuitId,
    ...cables,
  })
  const shelf: Shelf = { ...demo, powerSources: [engine, plugged] }
  const [first = '', second = ''] = demo.circuits.map(({ id }) => id)

  it('has a machine that no set-up puts on a circuit, and one with an engine, on none: each once', () => {
    const stations = stationsOf(shelf, [setUpOn(engine.id, first), setUpOn(plugged.id, null)])
    expect(stations.map(({ powerSource, circuit }) => [powerSource.id, circuit])).toEqual(
      expect.arrayContaining([
        [engine.id, null],
        [plugged.id, null],
      ]),
    )
    expect(stations).toHaveLength(2)
  })

  it('has cord and leads of the circuit that they were planned on, each the longest by itself', () => {
    const long = { cordSize: '12' as never, cordLengthMm: 15_000 }
    const leads = { leadSize: '1/0' as never, leadLengthMm: 30_000 }
    const stations = stationsOf(shelf, [
      setUpOn(plugged.id, first, { cordSize: '10' as never, cordLengthMm: 5000, ...leads }),
      setUpOn(plugged.id, first, { ...long, leadSize: '2' as never, leadLengthMm: 8000 }),
      setUpOn(plugged.id, second),
    ])
    const on = (circuitId: string) => stations.find(({ id }) => id === `${plugged.id} ${circuitId}`)?.cables
    expect(on(first)).toEqual({ ...long, ...leads })
    expect(on(second)).toEqual(cords)
  })

  it('all on one circuit are each there once, and a circuit that is not there moves none', () => {
    const setUps = [setUpOn(plugged.id, first), setUpOn(plugged.id, second), setUpOn(engine.id, null)]
    const all = stationsIf(shelf, setUps, { kind: 'all-on', circuitId: second })
    expect(all.map(({ id }) => id).sort()).toEqual([`${engine.id} `, `${plugged.id} ${second}`].sort())
    const none = stationsIf(shelf, setUps, { kind: 'all-on', circuitId: 'no-such' })
    expect(none).toEqual(stationsOf(shelf, setUps))
    expect(none).toHaveLength(3)
    expect(stationsIf(shelf, setUps, { kind: 'outdoors' })).toEqual(none)
  })
})

describe('a cell', () => {
  it('is the best of all ways on that circuit, as the search of ways finds them', () => {
    const board = newBoard()
    let seen = 0
    fc.assert(
      fc.property(
        fc.constantFrom(...demo.jobs),
        fc.constantFrom(
          ...board.stations.filter(({ cables }) => cables.cordSize === null && cables.leadSize === null),
        ),
        fc.subarray([...demo.guns], { minLength: 4 }),
        (job, station, guns) => {
          const shelf: Shelf = {
            ...demo,
            guns,
            circuits: station.circuit ? [station.circuit] : demo.circuits,
            powerSources: [station.powerSource],
          }
          const all = couldDo(demo.shop, shelf, job, { most: 1000 }).best
          const price = isCandidate(station.powerSource) ? (station.powerSource.price ?? 0) : 0
          const setUps = demo.setUps.filter(({ powerSourceId }) => powerSourceId === station.powerSource.id)
          const cell = new MachineBoard(demo.shop, { ...demo, guns }, setUps)
            .row(job)
            .find(({ stationId }) => stationId === station.id)
          expect(cell?.way === null).toBe(all.length === 0)
          if (!cell?.way) return
          seen += 1
          const [best] = all.toSorted(
            (a, b) => a.toGet - b.toGet || Number(a.verdict === 'tight') - Number(b.verdict === 'tight'),
          )
          // A source to buy is in the price of the search, and in the head of the column.
          expect(cell.way.toGet + price).toBeCloseTo(best?.toGet ?? -1, 6)
          expect(cell.verdict).toBe(best?.verdict)
        },
      ),
      { numRuns: runs(60) },
    )
    expect(seen).toBeGreaterThan(0)
  })

  it('has the verdict and the limit of the whole assessment, and no owned way that fits is passed over for a tight one', () => {
    const board = newBoard()
    let seen = 0
    for (const job of demo.jobs)
      for (const cell of board.row(job)) {
        if (!cell.way) continue
        const criteria = assessed(cell, demo.jobs, demo)
        expect(cell.verdict).toBe(worstOf(criteria))
        expect(cell.limit?.criterion ?? null).toBe(
          cell.verdict === 'fits' ? null : limitOf(criteria, cell.verdict)?.criterion,
        )
        seen += 1
        const ways = board.ways(job, cell.stationId, 100)
        expect(ways[0]?.toGet).toBe(cell.way.toGet)
        const dear = ways.map(({ toGet }) => toGet)
        expect(dear).toEqual(dear.toSorted((a, b) => a - b))
        expect(board.ways(job, cell.stationId, 2)).toEqual(ways.slice(0, 2))
        const owned = ways.filter(({ toBuy }) => toBuy.length === 0)
        if (owned.some(({ verdict }) => verdict === 'fits')) expect(cell.verdict).toBe('fits')
      }
    expect(seen).toBeGreaterThan(40)
  })

  it('names what fails, never what passes', () => {
    const board = newBoard()
    for (const job of demo.jobs)
      for (const { verdict, limit, way } of board.row(job))
        if (way === null) {
          expect(verdict).toBe('fails')
          if (limit) expect(does(limit.verdict)).toBe(false)
        } else expect(does(verdict)).toBe(true)
  })

  it('tells a welder why: too few amps, direct current on aluminum, a plug that sags', () => {
    // AWS Welding Handbook, gas tungsten arc welding (from memory): aluminum needs AC, or DCEN with helium for machines.
    expect(cellOf('picking-platform', 'osier-160 bay-1').limit?.criterion).toBe('wave-for-metal')
    // 1/4 in aluminum by AC TIG needs some 250 to 300 A: common practice, no source.
    const beam = cellOf('hoist-beam', 'sedge-200 bay-1').limit
    expect(beam?.criterion).toBe('source-range')
    expect(beam?.demand).toBeGreaterThan(200)
    // A 140 A machine on 120 V does not make 1/4 in fillets: common practice, no source.
    expect(cellOf('press-frame', 'marl-140 north-wall').limit?.criterion).toBe('source-range')
    // The same machine needs a spool gun before it feeds soft wire: common practice, no source.
    expect(cellOf('picking-platform', 'quillon-210 bay-2').way?.toBuy.map(({ slot }) => slot)).toEqual([
      'gun',
    ])
  })

  it('is shared by jobs with equal needs, each under its own name', () => {
    const board = newBoard()
    const twin = { ...jobOf('press-frame'), id: 'twin', name: 'Another', dueOn: '2026-12-01' }
    const own = board.row(jobOf('press-frame'))
    expect(board.row(twin)).toEqual(own.map((cell) => ({ ...cell, jobId: 'twin' })))
  })
})

describe('what if', () => {
  it('puts every machine but an engine-driven one on one circuit', () => {
    const on = new MachineBoard(demo.shop, demo, demo.setUps, { kind: 'all-on', circuitId: 'bay-2' })
    const plugged = on.stations.filter(({ powerSource }) => powerSource.engine === null)
    expect(new Set(plugged.map(({ circuit }) => circuit?.id))).toEqual(new Set(['bay-2']))
    expect(new Set(on.stations.map(({ id }) => id)).size).toBe(on.stations.length)
  })

  it('gives a circuit a larger breaker, and the cable with it', () => {
    const at = { kind: 'breaker', circuitId: 'north-wall', breakerA: 50 } as const
    const station = new MachineBoard(demo.shop, demo, demo.setUps, at).stations.find(
      ({ circuit }) => circuit?.id === 'north-wall',
    )
    const before = newBoard().stations.find(({ circuit }) => circuit?.id === 'north-wall')
    expect(station?.circuit?.breakerA).toBe(50)
    expect(station?.circuit?.conductorSize).not.toBe(before?.circuit?.conductorSize)
  })

  it('blows the gas of MIG away outdoors', () => {
    const outdoors = new MachineBoard(demo.shop, demo, demo.setUps, { kind: 'outdoors' })
    for (const { way } of outdoors.row(jobOf('press-frame')))
      if (way) expect(way.setUp.process).not.toMatch(/^(gmaw|gtaw)/)
  })
})
