import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/jobs', '/jobs/tank-manifold', '/jobs/loader-fork/order'],
  opens: [
    { what: 'the palette', path: '/jobs', steps: [{ key: 'Control+k' }] },
    {
      what: 'an import of welds with faults in it',
      path: '/jobs/press-frame',
      steps: [
        { button: 'Import and export' },
        { text: 'Import a weld list' },
        { textbox: 'Or paste rows here', fill: 'count,length\n4,six\n5,8' },
      ],
    },
    {
      what: 'earlier versions of a job',
      path: '/jobs/press-frame',
      steps: [{ button: 'More for this job' }, { text: 'Earlier versions' }],
    },
    { what: 'the keys', path: '/jobs', steps: [{ key: '?' }] },
    { what: 'the glossary', path: '/jobs', steps: [{ button: 'Help: Jobs' }, { button: 'Glossary' }] },
    { what: 'the help of a view', path: '/jobs', steps: [{ button: 'Help: Jobs' }] },
    {
      what: 'what was done, and a notice',
      path: '/jobs',
      steps: [{ button: 'Copy Press frame', exact: true }],
    },
  ],
  walks: [{ path: '/jobs/tank-manifold' }, { path: '/jobs/loader-fork/order' }],
  nothingTyped: ['/jobs'],
}
