import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/board', '/board/set-ups'],
  opens: [],
  walks: [],
  nothingTyped: ['/board', '/board/set-ups'],
}
