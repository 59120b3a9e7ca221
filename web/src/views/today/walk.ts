import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/today'],
  opens: [{ what: 'urgent work', path: '/today', steps: [{ button: 'Something broke' }] }],
  walks: [],
  nothingTyped: ['/today'],
}
