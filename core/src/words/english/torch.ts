/** Gun and torch, and the parts in them. */
import type { CriterionWords } from '../language.ts'

const CLASSED = {
  screws: '{part} fits {gun}',
  other: '{part} is for “{own}”. {gun} takes “{takes}”',
}

export const TORCH: Readonly<Record<string, CriterionWords>> = {
  'gun-kind': {
    title: 'Gun, torch or holder',
    sentences: { right: 'A {wanted} for {process}', other: '{gun} is a {kind}. {process} needs a {wanted}' },
  },
  'water-cooling': {
    title: 'Cooling',
    sentences: {
      cooled: 'Water-cooled, with a cooler. Check level and flow before you strike an arc',
      'no-cooler': '{gun} is water-cooled. {source} has no cooler. Without water the torch burns out',
    },
  },
  handling: {
    title: 'Handling',
    sentences: {
      water: '{length}. Water keeps the handle small and cool. The hose is stiffer',
      'water-weighed':
        '{length}, {mass} with its hose. Water keeps the handle small and cool. The hose is stiffer',
      spool: '{length}. The spool is on the gun: heavy, and tight corners are hard',
      'spool-weighed': '{length}, {mass} with its hose. The spool is on the gun, and tight corners are hard',
      air: '{length}. Air-cooled: the handle warms with use',
      'air-weighed': '{length}, {mass} with its hose. Air-cooled: the handle warms with use',
    },
  },
  'collet-size': {
    title: 'Collet size',
    sentences: {
      same: 'Collet {has} for the tungsten',
      other: 'A {has} collet does not hold {tungsten} tungsten',
    },
  },
  'collet-body-size': {
    title: 'Collet body size',
    sentences: {
      same: 'Collet body {has} for the tungsten',
      other: 'A {has} collet body does not fit {tungsten} tungsten',
    },
  },
  'cup-on-body': {
    title: 'Cup and collet body',
    sentences: {
      lens: 'A lens cup on a gas lens',
      plain: 'A plain cup on a plain collet body',
      'lens-on-plain': 'A lens cup does not fit a plain collet body',
      'plain-on-lens': 'A plain cup does not fit a gas lens',
    },
  },
  'back-cap-length': {
    title: 'Back cap',
    sentences: {
      'short-cap':
        'The back cap takes {cap} of tungsten. This one is {tungsten}. Cut it, or use a longer cap',
      closes: 'The back cap takes {cap} of tungsten',
    },
  },
  'stick-out': {
    title: 'Stickout',
    sentences: {
      'up-to': 'Stickout up to {most} with this cup',
      within: 'Stickout {is}, at most {most}',
      beyond: 'Stickout {is} is outside the gas. At most {most} with cup {cup}',
      'beyond-lens': 'Stickout {is} is outside the gas. At most {most} with cup {cup} and a gas lens',
    },
  },
  'tungsten-type': {
    title: 'Tungsten type',
    sentences: {
      'pure-on-dc': 'Pure tungsten holds no point on DC. Its arc wanders',
      'zirconiated-on-dc':
        'Zirconiated tungsten is for AC. On DC a lanthanated or ceriated one starts better',
      'thoriated-on-ac': 'Thoriated tungsten splits and spits on AC. Its dust is mildly radioactive',
      'pure-on-ac': 'Pure tungsten is for old sine-wave AC. On a square wave it melts early',
      'suits-ac': '{type} suits AC',
      'suits-dc': '{type} suits DC',
    },
  },
  'tip-class': { title: 'Tip for the gun', sentences: CLASSED },
  'nozzle-class': { title: 'Nozzle for the gun', sentences: CLASSED },
  'collet-class': { title: 'Collet for the torch', sentences: CLASSED },
  'collet-body-class': { title: 'Collet body for the torch', sentences: CLASSED },
  'cup-class': { title: 'Cup for the torch', sentences: CLASSED },
  'back-cap-class': { title: 'Back cap for the torch', sentences: CLASSED },
}
