import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/fit/press-frame', '/fit/pressing-tray', '/fit/loader-fork'],
  opens: [
    {
      what: 'a working',
      path: '/fit/press-frame',
      steps: [{ element: '[data-testid=finding-source-range]' }],
    },
    { what: 'settings side by side', path: '/fit/press-frame', steps: [{ button: 'Compare' }] },
  ],
  walks: [
    { path: '/fit/press-frame', open: [{ button: 'Compare' }], last: 'Travel' },
    { path: '/fit/pressing-tray' },
  ],
  nothingTyped: [],
}
