import type { ViewWalk } from '../view.ts'

export const WALK: ViewWalk = {
  looks: [
    '/equipment/power-sources/quillon-210',
    '/equipment/guns/dray-spool',
    '/equipment/feeders/tarn-w4',
    '/equipment/parts',
    '/equipment/wires',
    '/equipment/gases',
    '/equipment/tungstens',
    '/equipment/circuits',
    '/equipment/panels/shop-panel',
  ],
  opens: [
    { what: 'the library', path: '/equipment/wires', steps: [{ button: 'From the library' }] },
    {
      what: 'an import of equipment with faults in it',
      path: '/equipment/wires',
      steps: [
        { button: 'Import and export' },
        { text: 'Import a catalog (JSON)' },
        { textbox: 'Or paste it here', fill: 'kind,id,colour\nwire,x,red' },
      ],
    },
    {
      what: 'a plate that is not finished',
      path: '/equipment/power-sources',
      steps: [{ button: 'Empty plate' }],
    },
  ],
  walks: [
    { path: '/equipment/power-sources/marl-140' },
    { path: '/equipment/feeders/tarn-w4' },
    { path: '/equipment/guns/gun-250' },
    { path: '/equipment/parts/roll-quillon-u-0035' },
    { path: '/equipment/wires/er70s6-035' },
    { path: '/equipment/gases/argon' },
    { path: '/equipment/tungstens/wla20-332' },
    { path: '/equipment/circuits/bay-2' },
  ],
  nothingTyped: [],
}
