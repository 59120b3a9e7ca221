/** Gun and torch, and what is screwed into them. */
import type { CriterionWords } from '../language.ts'

const CLASSED = {
  screws: '{part} screws into {gun}',
  other: '{part} is for “{own}”; {gun} takes “{takes}”',
}

export const TORCH: Readonly<Record<string, CriterionWords>> = {
  'gun-kind': {
    title: 'Gun, torch or holder',
    sentences: { right: 'A {wanted} for {process}', other: '{gun} is a {kind}; {process} wants a {wanted}' },
  },
  'water-cooling': {
    title: 'Cooling',
    sentences: {
      cooled: 'Water-cooled, with a cooler: check level and flow before the arc',
      'no-cooler': '{gun} is water-cooled and {source} has no cooler: it burns without water',
    },
  },
  handling: {
    title: 'In the hand',
    sentences: {
      water: '{length}: water keeps the handle small and cool, the hose is stiffer',
      'water-weighed':
        '{length}, {mass} with its hose: water keeps the handle small and cool, the hose is stiffer',
      spool: '{length}: the spool hangs on the wrist, and corners are harder to reach',
      'spool-weighed':
        '{length}, {mass} with its hose: the spool hangs on the wrist, and corners are harder to reach',
      air: '{length}: no water to carry, the handle warms with use',
      'air-weighed': '{length}, {mass} with its hose: no water to carry, the handle warms with use',
    },
  },
  'collet-size': {
    title: 'Collet size',
    sentences: {
      same: 'Collet of {has} for the tungsten',
      other: 'Collet of {has} does not hold a tungsten of {tungsten}',
    },
  },
  'collet-body-size': {
    title: 'Collet body size',
    sentences: {
      same: 'Collet body of {has} for the tungsten',
      other: 'Collet body of {has} and tungsten of {tungsten} do not go together',
    },
  },
  'cup-on-body': {
    title: 'Cup and collet body',
    sentences: {
      lens: 'A lens cup on a gas lens',
      plain: 'A plain cup on a plain collet body',
      'lens-on-plain': 'A lens cup does not go on a plain collet body',
      'plain-on-lens': 'A plain cup does not go on a gas lens',
    },
  },
  'back-cap-length': {
    title: 'Back cap',
    sentences: {
      'short-cap': 'The back cap closes over {cap}; the tungsten is {tungsten}: cut it, or a longer cap',
      closes: 'The back cap closes over {cap}',
    },
  },
  'stick-out': {
    title: 'Stick-out',
    sentences: {
      'up-to': 'Stick-out up to {most} with this cup',
      within: 'Stick-out of {is}, at most {most}',
      beyond: 'Stick-out of {is} leaves the gas: at most {most} with cup {cup}',
      'beyond-lens': 'Stick-out of {is} leaves the gas: at most {most} with cup {cup} and a gas lens',
    },
  },
  'tungsten-type': {
    title: 'Tungsten type',
    sentences: {
      'pure-on-dc': 'Pure tungsten holds no point on DC: its arc wanders',
      'zirconiated-on-dc':
        'Zirconiated tungsten is made for AC; on DC a lanthanated or ceriated one starts better',
      'thoriated-on-ac': 'Thoriated tungsten splits and spits on AC, and its dust is mildly radioactive',
      'pure-on-ac': 'Pure tungsten is for old sine-wave AC; on a square wave it melts early',
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
