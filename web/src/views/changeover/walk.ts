import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/change-over/bay-2-wire', '/change-over/yard-cored'],
  opens: [{ what: 'a changeover under way', path: '/change-over/bay-2-wire', steps: [{ button: 'Start' }] }],
  walks: [],
  nothingTyped: ['/change-over/bay-2-wire'],
}
