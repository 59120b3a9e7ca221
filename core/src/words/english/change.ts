/** What to do at a changeover, step by step, with its traps, hazards and tools. */
import type { Templates } from '../language.ts'

/** By code of the step; an empty parameter drops nothing: what can be missing has its own sentence. */
export const CHANGE: Templates = {
  'power-off': 'Switch off and unplug {source}',
  'gas-off': 'Close the {gas} cylinder and bleed the hose',
  'tip-off': 'Take off the nozzle and the tip',
  'wire-off': 'Wind {wire} back onto its spool, tie its end and bag it',
  'rods-away': 'Put {wire} back in its tube and close it',
  'gun-off': 'Disconnect {gun} and hang it up',
  'feeder-off': 'Disconnect {feeder}',
  'clean-grooves': 'Blow out the feeder and brush the grooves',
  roll: 'Fit the drive rolls: {roll}',
  'roll-turn': 'Turn {roll} to its {groove} groove, {size}',
  liner: 'Lay the gun straight and fit the liner: {liner}',
  'feeder-on': 'Connect {feeder}',
  'gun-on': 'Connect {gun}',
  leads: 'Fit the welding leads: {size}',
  'spool-on': 'Put {wire} {where}. Set the brake so that it does not run on',
  'torch-parts': 'Fit the torch parts: {parts}',
  tungsten: 'Grind and fit the tungsten: {tungsten}',
  'stick-out': 'Set the stickout to {stickOut}',
  links: 'Set the machine to {volts}',
  polarity: '{way}: {polarity}',
  'clamp-off': 'Take the work clamp off',
  supply: 'Plug {source} into {circuit}, {volts}. Switch on',
  'power-on': 'Plug {source} in and switch on',
  process: 'Choose {process} on the panel',
  feed: 'Feed {wire} through with the tip off',
  'tip-on': 'Fit {tip} and {nozzle}',
  tension: 'Set the roll tension, from slipping upward, until the wire curls on wood',
  'rods-out': 'Take out {wire}',
  'gas-swap': 'Connect {gas}: blow out the valve, fit {meter}, open slowly',
  meter: 'Fit {meter}',
  flow: 'Purge the hose. Set {flow} while it flows',
  'arc-start': 'Set the arc start: {start}',
  settings: 'Dial in the settings of the card',
  scrap: 'Clamp on clean metal. Weld a test on scrap',
  'cut-and-waste': 'Or cut it at the drive rolls and pull it out of the gun: faster, uses {wire} more',
}

export const TRAP_WORDS: Templates = {
  'steel-liner': 'A steel liner scrapes aluminium. Fit the polymer liner',
  'knurled-to-smooth': 'Knurled rolls chew solid wire. Check the groove',
  'polarity-forgotten': 'Most often forgotten',
  'mixed-gas-on-tig': 'CO₂ ruins the tungsten. Check the label for pure argon',
  'cylinder-fitting': 'CO₂ and argon valves differ. Use the right fitting',
  'links-first': 'The wrong voltage destroys the machine. Check twice before you plug in',
  'o-rings': 'Check the O-rings. A cut one lets air into the gas',
  'spool-adapter': 'Other spool size: check the adapter and the pin',
  'steel-dust': 'Steel dust in the wire path contaminates aluminium',
  'meter-scale': 'Read the scale of this gas',
  'hot-parts': 'Tip, nozzle and cup stay hot for minutes',
}

export const HAZARD_WORDS: Templates = {
  unplug: 'Unplug the machine before you open it',
  'stand-aside': 'Chain the cylinder. Stand aside when you open the valve',
  'wire-live': 'The wire is live while you feed it. Keep the gun off people and metal',
  'torch-live': 'The torch is live at open-circuit voltage',
  'wire-end': 'Hold the end of the wire: it springs',
  electrician: 'Unplugged only. Follow the plate inside the cover, or call an electrician',
  grinding: 'Glasses and dust extraction at the grinder. Thoriated dust is radioactive',
}

export const TOOL_WORDS: Templates = {
  cutters: 'side cutters',
  spanner: 'cylinder spanner',
  pliers: 'nozzle pliers',
  'hex-key': 'hex key',
  grinder: 'tungsten grinder',
  air: 'compressed air and brush',
  screwdriver: 'screwdriver',
  scrap: 'scrap of the same metal',
}

/** What a shared machine is left with, and taken over with. */
export const HAND_OVER: Templates = {
  'gas-closed': 'Cylinder closed, hose bled',
  'wire-tied': 'Wire in the rolls, tension let off over night',
  'gun-hung': 'Gun on its hook, tip and nozzle clean',
  'clamp-hung': 'Work clamp on its hook, not on the cylinder',
  'rods-dry': 'Rods back in the oven or in a closed tube',
  'state-said': 'What is on it matches this page',
  'power-off': 'Switched off at the machine',
}
