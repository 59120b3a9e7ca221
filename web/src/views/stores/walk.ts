import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: [
    '/stores',
    '/stores/runs-out',
    '/stores/order',
    '/stores/movements',
    '/stores/cylinders/tarn-mix',
    '/stores/offers/fine-weir',
  ],
  opens: [
    {
      what: 'what came in',
      path: '/stores',
      steps: [{ button: 'Receive 0.035 ER70S-6' }],
    },
    {
      what: 'a cylinder that is read',
      path: '/stores',
      steps: [{ button: 'Read Tarn mix, tall' }],
    },
    {
      what: 'what came of an order',
      path: '/stores/order',
      steps: [{ button: 'Receive 3/32 ER5356 of Order 1' }],
    },
  ],
  walks: [
    { path: '/stores/cylinders/tarn-mix' },
    { path: '/stores/spools/tarn-spool' },
    { path: '/stores/suppliers/weir-street' },
    { path: '/stores/offers/fine-weir' },
  ],
  nothingTyped: ['/stores', '/stores/runs-out', '/stores/order', '/stores/movements'],
}
