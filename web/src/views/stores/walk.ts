import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/stores', '/stores/runs-out', '/stores/order'],
  opens: [
    {
      what: 'what came in',
      path: '/stores',
      steps: [{ button: 'Receive 0.035 ER70S-6' }],
    },
  ],
  walks: [],
  nothingTyped: ['/stores', '/stores/runs-out', '/stores/order'],
}
