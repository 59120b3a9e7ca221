/** Who draws on what, put together by hand: currents and lines without jobs and machines. */
import { assumptionsOf } from '../assumptions/assume.ts'
import type { Drawer, Node, Together, Wired } from '../power/together.ts'
import { northAmerican } from '../supply/books/northAmerican/northAmerican.ts'
import { storesOf } from '../supply/breaker/breakerModel.ts'
import type { Beat } from '../supply/breaker/heat.ts'
import { UL_489 } from '../supply/breaker/models.ts'
import { demoShop } from './samples.ts'

const [circuit] = demoShop().circuits
if (!circuit) throw new Error('the demo has no circuit')

export const drawer = (beats: readonly Beat[], part: Partial<Drawer> = {}): Drawer => ({
  id: 'd',
  name: 'Drawer',
  circuit,
  beats,
  startA: 0,
  machine: null,
  isSteady: true,
  ...part,
})
export const node = (breakerA: number, wired: readonly Wired[], phases: 1 | 3 = 1): Node => ({
  kind: 'panel',
  id: 'n',
  name: 'Node',
  voltageV: 240,
  phases,
  heldA: breakerA,
  trips: { ratingA: breakerA, stores: storesOf(UL_489, breakerA) },
  carries: wired.map((one, index) => ({ drawer: index, wired: one })),
  run: null,
})
export const together = (
  drawers: readonly Drawer[],
  nodes: readonly Node[],
  handSpreadPct = 30,
): Together => ({
  drawers,
  nodes,
  leftOut: [],
  rules: northAmerican,
  assumptions: assumptionsOf({ assumptions: { handSpreadPct } }),
})
export const steady = (onA: number): Beat => ({ onS: 86_400, offS: 0, times: 1, onA, offA: 0 })
