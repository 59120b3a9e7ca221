import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/learned'],
  opens: [],
  walks: [],
  nothingTyped: ['/learned'],
}
