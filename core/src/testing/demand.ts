/** For tests: what a job asks, with the figures that a case needs. */
import { type Position } from '../model/jointKinds.ts'
import { type Demand, demandOf } from '../demand/demand.ts'
import { demoInput } from './samples.ts'
import { sampleWire } from './equipment.ts'

interface Asked {
  readonly leastA?: number
  readonly mostA?: number
  readonly dutyPct?: number
  readonly positions?: readonly Position[]
}

const { job, shop } = demoInput('press-frame')
const plain = demandOf(job, 'gmaw-short', sampleWire(), shop)

/** The same demand with some of its figures put otherwise; the rest are as they were. */
export const demandWith = (demand: Demand, figures: Partial<Demand>): Demand =>
  new Proxy(demand, {
    get: (of, figure) => Reflect.get(figure in figures ? figures : of, figure) as unknown,
  })

/** A job in carbon steel of two welds, the one that wants least and the one that wants most. */
export function sampleDemand({
  leastA = 100,
  mostA = 150,
  dutyPct = 30,
  positions = ['flat'],
}: Asked = {}): Demand {
  const { hungriest } = plain
  const weld = (id: string, wantedA: number, position: Position) => ({
    ...hungriest,
    joint: { ...hungriest.joint, id, position },
    wantedA,
    jointA: wantedA,
    lowA: 0.8 * wantedA,
    highA: 1.35 * wantedA,
  })
  const thinnest = weld('thin', leastA, positions[0] ?? 'flat')
  const most = weld('thick', mostA, positions.at(-1) ?? 'flat')
  const welds = [thinnest, most]
  return demandWith(plain, {
    welds,
    runs: welds,
    thinnest,
    hungriest: most,
    dutyPct,
    positions,
    pairs: [],
  })
}
