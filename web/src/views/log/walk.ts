import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/jobs/press-frame/log', '/jobs/press-frame/monitor'],
  opens: [
    {
      what: 'evidence of a weld',
      path: '/jobs/press-frame/log',
      steps: [{ button: 'Add evidence' }],
    },
    { what: 'the import of a log', path: '/jobs/press-frame/log', steps: [{ button: 'Import CSV' }] },
  ],
  walks: [{ path: '/jobs/press-frame/log' }, { path: '/jobs/press-frame/monitor' }],
  nothingTyped: [],
}
