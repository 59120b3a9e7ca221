import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/records'],
  opens: [{ what: 'who may come in', path: '/records', steps: [{ tab: 'People' }] }],
  walks: [],
  nothingTyped: ['/records'],
}
