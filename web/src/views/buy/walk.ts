import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/buy', '/buy/could?job=hoist-beam', '/buy/requirements', '/buy/decisions'],
  opens: [],
  walks: [{ path: '/buy' }, { path: '/buy/requirements' }],
  nothingTyped: [],
}
