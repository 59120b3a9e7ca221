import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/power?job=press-frame', '/power/shop'],
  opens: [],
  walks: [],
  nothingTyped: ['/power?job=press-frame'],
}
