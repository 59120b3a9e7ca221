import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/jobs/press-frame/card', '/jobs/pressing-tray/card', '/jobs/loader-fork/card'],
  opens: [
    {
      what: 'the cause of a bad bead',
      path: '/jobs/press-frame/card?set-up=bay-2-wire',
      steps: [{ element: 'a:text-is("porosity")' }],
    },
    {
      what: 'the large figures of a card',
      path: '/jobs/press-frame/card',
      steps: [{ button: 'Large figures' }],
    },
  ],
  walks: [],
  nothingTyped: ['/jobs/press-frame/card'],
}
