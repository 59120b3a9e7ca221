import { ASSUMPTION_GROUPS } from '@brannik/core'
import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: ['/shop'],
  opens: [{ what: 'figures of the shop', path: '/shop', steps: [{ button: 'Margins and money' }] }],
  walks: [
    { path: '/shop', part: '.settings' },
    ...ASSUMPTION_GROUPS.map((group) => ({
      path: '/shop',
      part: '.group',
      what: `/shop, ${group.toLowerCase()}`,
      isAlike: true,
      open: [{ button: group }],
    })),
  ],
  nothingTyped: [],
}
