import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/capacity/bench-tig-ac'],
  opens: [],
  walks: [],
  nothingTyped: ['/capacity/bench-tig-ac'],
}
