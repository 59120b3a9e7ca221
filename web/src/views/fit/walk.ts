import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/jobs/press-frame/fit', '/jobs/pressing-tray/fit', '/jobs/loader-fork/fit'],
  opens: [
    {
      what: 'a working',
      path: '/jobs/press-frame/fit',
      steps: [{ element: '[data-testid=finding-source-range]' }],
    },
    { what: 'settings side by side', path: '/jobs/press-frame/fit', steps: [{ button: 'Compare' }] },
  ],
  walks: [
    { path: '/jobs/press-frame/fit', open: [{ button: 'Compare' }], last: 'Travel' },
    { path: '/jobs/pressing-tray/fit' },
  ],
  nothingTyped: [],
}
