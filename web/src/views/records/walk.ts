import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/records', '/people'],
  opens: [],
  walks: [],
  nothingTyped: ['/records', '/people'],
}
