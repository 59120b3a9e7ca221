import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/jobs/press-frame/cost', '/jobs/pressing-tray/cost'],
  opens: [],
  walks: [],
  nothingTyped: ['/jobs/press-frame/cost', '/jobs/pressing-tray/cost'],
}
