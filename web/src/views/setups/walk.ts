import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/set-ups', '/set-ups/platform-tried', '/set-ups/bench-tig-dc'],
  opens: [
    { what: 'choices for a wire', path: '/set-ups/bay-2-wire', steps: [{ element: '[data-slot=wire]' }] },
  ],
  walks: [{ path: '/set-ups/osier-tig' }],
  nothingTyped: [],
}
