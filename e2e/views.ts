/** Every view, and what opens over or beside one: what holds for all is looked at in all of them. */
import { ASSUMPTION_GROUPS } from '@brannik/core'
import type { Page } from '@playwright/test'

export const VIEWS = [
  '/fit/press-frame',
  '/fit/pressing-tray',
  '/jobs',
  '/jobs/tank-manifold',
  '/equipment/power-sources/quillon-210',
  '/equipment/guns/dray-spool',
  '/equipment/feeders/tarn-w4',
  '/equipment/parts',
  '/equipment/wires',
  '/equipment/gases',
  '/equipment/tungstens',
  '/equipment/circuits',
  '/set-ups',
  '/set-ups/platform-tried',
  '/set-ups/bench-tig-dc',
  '/capacity/bench-tig-ac',
  '/fit/loader-fork',
  '/board',
  '/power?job=press-frame',
  '/power/shop',
  '/equipment/panels/shop-panel',
  '/buy',
  '/buy/could?job=hoist-beam',
  '/buy/requirements',
  '/buy/decisions',
  '/shop',
  '/records',
  '/start',
]

/** What opens over or beside a view. */
export const OPENED: readonly (readonly [what: string, path: string, open: (page: Page) => Promise<void>])[] =
  [
    ['the palette', '/jobs', (page) => page.keyboard.press('Control+k')],
    ['a working', '/fit/press-frame', (page) => page.getByTestId('finding-source-range').click()],
    [
      'settings side by side',
      '/fit/press-frame',
      (page) => page.getByRole('button', { name: 'Compare' }).click(),
    ],
    ['choices for a wire', '/set-ups/bay-2-wire', (page) => page.locator('[data-slot=wire]').click()],
    [
      'the library',
      '/equipment/wires',
      (page) => page.getByRole('button', { name: 'From the library' }).click(),
    ],
    [
      'an import of equipment with faults in it',
      '/equipment/wires',
      async (page) => {
        await page.getByRole('button', { name: 'Import and export' }).click()
        await page.getByText('Import a catalogue (JSON)').click()
        await page.getByRole('textbox', { name: 'Or paste it here' }).fill('kind,id,colour\nwire,x,red')
      },
    ],
    [
      'an import of welds with faults in it',
      '/jobs/press-frame',
      async (page) => {
        await page.getByRole('button', { name: 'Import and export' }).click()
        await page.getByText('Import a weld list').click()
        await page.getByRole('textbox', { name: 'Or paste rows here' }).fill('count,length\n4,six\n5,8')
      },
    ],
    [
      'earlier versions of a job',
      '/jobs/press-frame',
      async (page) => {
        await page.getByRole('button', { name: 'More' }).click()
        await page.getByText('Earlier versions').click()
      },
    ],
    ['the shortcuts', '/jobs', (page) => page.keyboard.press('?')],
    [
      'the order of a job',
      '/jobs/loader-fork',
      (page) => page.getByRole('tab', { name: 'Order and times' }).click(),
    ],
    [
      'figures of the shop',
      '/shop',
      (page) => page.getByRole('button', { name: 'Margins and money' }).click(),
    ],
    ['who may come in', '/records', (page) => page.getByRole('tab', { name: 'People' }).click()],
    [
      'what was done, and a notice',
      '/jobs',
      (page) => page.getByRole('button', { name: 'Copy Press frame', exact: true }).click(),
    ],
    [
      'a plate that is not finished',
      '/equipment/power-sources',
      (page) => page.getByRole('button', { name: 'New power source' }).click(),
    ],
  ]

/** A view whose fields are typed into, one after the other. */
interface Walk {
  readonly path: string
  readonly open?: (page: Page) => Promise<unknown>
  /** The part of the view that is walked. */
  readonly part?: string
  readonly what?: string
  /** A field of what is opened: its part of the page comes by itself, after the rest. */
  readonly last?: string
  /** Its fields are one list of figures, drawn alike: those of one unit stand for each other, but in the long run. */
  readonly isAlike?: boolean
}
export const WALKS: readonly Walk[] = [
  { path: '/shop', part: '.settings' },
  ...ASSUMPTION_GROUPS.map((group) => ({
    path: '/shop',
    part: '.group',
    what: `/shop, ${group.toLowerCase()}`,
    isAlike: true,
    open: (page: Page) => page.getByRole('button', { name: group }).click(),
  })),
  { path: '/jobs/tank-manifold' },
  { path: '/jobs/loader-fork', open: (page) => page.getByRole('tab', { name: 'Order and times' }).click() },
  {
    path: '/fit/press-frame',
    open: (page) => page.getByRole('button', { name: 'Compare' }).click(),
    last: 'Travel',
  },
  { path: '/fit/pressing-tray' },
  { path: '/set-ups/osier-tig' },
  { path: '/equipment/power-sources/marl-140' },
  { path: '/equipment/feeders/tarn-w4' },
  { path: '/equipment/guns/gun-250' },
  { path: '/equipment/parts/roll-quillon-u-0035' },
  { path: '/equipment/wires/er70s6-035' },
  { path: '/equipment/gases/argon' },
  { path: '/equipment/tungstens/wla20-332' },
  { path: '/equipment/circuits/bay-2' },
  { path: '/buy' },
  { path: '/buy/requirements' },
  { path: '/start' },
]

/** Views that have no field to be typed into, but a search. */
export const NOTHING_TYPED = [
  '/jobs',
  '/capacity/bench-tig-ac',
  '/board',
  '/power?job=press-frame',
  '/records',
]
