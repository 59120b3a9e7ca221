import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = { looks: ['/board'], opens: [], walks: [], nothingTyped: ['/board'] }
