/** English at the machine: changeover and card. */
import type { BenchLanguage } from '../language.ts'
import { CARD, CARD_FIGURE_TITLES, CARD_PLACES_TITLES, CARD_STEP_WORDS, SIGN_CHANGES, SIGNS } from './card.ts'
import { ARC_STATES_SAID, CAUSE_TITLES, DIAL_IN, HEAT_COLORS, SETTING_NAMES } from './dialin.ts'
import { VISUAL } from './evidence.ts'
import { CHANGE, HAND_OVER, HAZARD_WORDS, TOOL_WORDS, TRAP_WORDS } from './change.ts'

export const ENGLISH_BENCH: BenchLanguage = {
  vocabulary: {
    settingName: SETTING_NAMES,
    spoolPlace: { hub: 'on the hub', gun: 'in the gun' },
    /** Which lead goes where, by what holds the arc. */
    leadsOf: {
      'dcep-wire': 'gun on plus (+), work clamp on minus (−)',
      'dcen-wire': 'gun on minus (−), work clamp on plus (+)',
      'ac-wire': 'AC',
      'dcep-tungsten': 'torch on plus (+), work clamp on minus (−)',
      'dcen-tungsten': 'torch on minus (−), work clamp on plus (+)',
      'ac-tungsten': 'AC',
      'dcep-covered': 'holder on plus (+), work clamp on minus (−)',
      'dcen-covered': 'holder on minus (−), work clamp on plus (+)',
      'ac-covered': 'AC',
    },
    pass: { root: 'root passes', fill: 'fill passes' },
    onePass: { root: 'root pass', fill: 'fill pass' },
    holderOf: { wire: 'gun', tungsten: 'torch', covered: 'holder' },
    polarityHow: {
      leads: 'by the leads',
      plug: 'by the polarity plug',
      automatic: 'set on the panel',
      'fixed-dcep': 'wired for DCEP',
      'fixed-dcen': 'wired for DCEN',
    },
    polarityWay: {
      leads: 'Swap the two leads',
      plug: 'Move the polarity plug',
      automatic: 'Set on the panel',
      'fixed-dcep': 'Wired for DCEP',
      'fixed-dcen': 'Wired for DCEN',
    },
  },
  change: CHANGE,
  traps: TRAP_WORDS,
  hazards: HAZARD_WORDS,
  tools: TOOL_WORDS,
  handOver: HAND_OVER,
  card: CARD,
  cardFigures: CARD_FIGURE_TITLES,
  cardPlaces: CARD_PLACES_TITLES,
  cardSteps: CARD_STEP_WORDS,
  signs: SIGNS,
  signChanges: SIGN_CHANGES,
  causes: CAUSE_TITLES,
  dialIn: DIAL_IN,
  visual: VISUAL,
  arcStates: ARC_STATES_SAID,
  heatColors: HEAT_COLORS,
}
