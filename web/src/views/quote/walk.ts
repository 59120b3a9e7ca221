import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/jobs/press-frame/cost', '/jobs/pressing-tray/cost'],
  opens: [],
  walks: [{ path: '/jobs/pressing-tray/cost' }],
  nothingTyped: [],
}
