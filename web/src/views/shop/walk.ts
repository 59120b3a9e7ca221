import { ASSUMPTION_GROUPS } from '@brannik/core'
import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/shop', '/assumptions'],
  opens: [{ what: 'figures of the shop', path: '/assumptions', steps: [{ button: 'Margins and money' }] }],
  walks: [
    { path: '/shop', part: '.settings' },
    ...ASSUMPTION_GROUPS.map((group) => ({
      path: '/assumptions',
      part: '.group',
      what: `/assumptions, ${group.toLowerCase()}`,
      isAlike: true,
      open: [{ button: group }],
    })),
  ],
  nothingTyped: [],
}
