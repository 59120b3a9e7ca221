import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = { looks: ['/week'], opens: [], walks: [], nothingTyped: ['/week'] }
