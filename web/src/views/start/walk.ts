import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = { looks: ['/start'], opens: [], walks: [{ path: '/start' }], nothingTyped: [] }
