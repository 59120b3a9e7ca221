/** What a whole fit says beside its criteria: what is missing, the chain, cautions, ways, sources. */
import type { Language } from '../language.ts'

export const ANSWERS: Omit<Language, 'criteria' | 'vocabulary'> = {
  groups: {
    polarity: { title: 'Polarity', well: 'Leads as they should be' },
    together: { title: 'Parts go together', well: 'The parts go with each other' },
    joint: { title: 'Weld and hand', well: 'The joint suits the process, the position and the hand' },
    shielding: { title: 'Gas and filler', well: 'Gas, filler and place suit the metal' },
  },
  missing: {
    'power-source': 'the power source',
    gun: 'the gun or torch',
    wire: 'the wire',
    rod: 'the rod',
    covered: 'the electrode',
    'open-circuit': 'the open-circuit voltage of {source}: read it off the plate',
    gas: 'the gas',
    tungsten: 'the tungsten',
    'not-chosen': '{slots} of the set-up: choose them',
    supply: 'a supply voltage that the source takes',
    'not-rated': 'a rating: {source} is not rated for {process}',
    'no-circuit': 'the circuit of {source}',
    'other-supply': 'a supply that fits: {source} takes {takes|or} for {process}; {circuit} gives {gives}',
    'plate-fault':
      'what {source} draws: the plate does not agree with itself: {current} at {volts} is {given} out, and {input} at {supply} is {taken} in, an efficiency of {efficiency}; read both again',
    'wire-for-arc': 'a wire: arc time follows from it',
    ampacity:
      'the ampacity of {size}: write it with its unit, such as 10 AWG, 2.5 mm² or 5G6; {book} has none so thin',
    outlet:
      'the rating of {outlet}: {book} has no such outlet. Pick one of its list, or leave it empty where the machine is wired in',
    cord: 'what a cord of {size} carries: write it with its unit, such as 12/3 SJTW or 3G2.5; {book} has none so thin',
    leads: 'what leads of {size} carry: write for example 2 AWG or 35 mm²',
    'gas-for-rating': 'the gas: a gun’s rating depends on it',
    'other-kind': 'a {wanted}: {gun} is a {kind}',
    'gun-rating': 'a rating of {gun} for {gas}, {wave}',
    'wire-is-rod': 'a wire on a spool: {wire} comes on none',
    'wire-range': 'the usable current of {wire}: no table has its size, so enter it from the wire’s data',
    'tungsten-range': 'the usable current of {tungsten}: AWS A5.12 has no such size',
    feeder: 'a wire feeder: {source} has none built in',
    'feed-max': 'the greatest wire feed speed of {feeder}: read it off the machine',
    start: 'how {source} starts its arc',
    'gas-valve': 'whether {source} or {gun} has a gas valve',
    'water-cooler': 'whether {source} has a water cooler',
    'wire-sizes': 'the wire sizes that {feeder} takes',
    spool: 'the spool of {wire}',
    spools: 'the spools that {feeder} takes',
    'machine-connector': 'the {holder} connector of {machine}',
    'gun-connector': 'the connector of {gun}',
    'roll-drive': 'which rolls {feeder} takes',
    'drive-of-roll': 'which drive {roll} is for',
    'class-of-gun': 'which parts screw into {gun}',
    'class-of-part': 'which guns or torches {part} is for',
    'gas-of-wire': 'which gas {wire} is made for: read it off the spool',
    wind: 'the wind at the weld: the job is outdoors',
    'tungsten-too-short': 'what is used of {tungsten}: it is no longer than the stub that is thrown away',
  },
  lacks: {
    lacks: 'there is no {what} that goes with it',
    'does-not-go': 'what there is does not go together',
  },
  suggestions: {
    take: '{what}',
    'take-along': '{what}, with its {along}',
    'other-set-up': 'Set-up: {what}',
    swap: '{what}',
    'swap-along': '{what}, with its {along}',
    'swap-to-buy': '{what}, to buy',
    'swap-to-buy-along': '{what}, to buy, with its {along}',
  },
  chain: {
    'not-known': 'The weld wants {wanted}. {kind}: {missing}',
    wants: 'The weld wants {wanted}',
    'too-high': 'The {kind} cannot go low enough. The weld wants {wanted}; {detail} starts at {low}',
    'gives-out':
      'The {kind} gives out first. The weld wants {wanted}, {least} at the least; {detail} reaches {most}',
    'gives-out-at-duty':
      'The {kind} gives out first. The weld wants {wanted}, {least} at the least; {detail} reaches {most}, rested',
    'rather-high':
      'The {kind} is at its low end. The weld wants {wanted}; {detail} starts at {low}, hotter than wanted and still sound',
    'below-usual':
      'The {kind} is below its usual range. The weld wants {wanted}; {detail} is usual from {low} on: another size runs steadier',
    paces:
      'The {kind} sets the pace. The weld wants {wanted}; {detail} sustains {high} at the job’s {duty} duty, and up to {most} with rest',
    cooler:
      'The {kind} is the weakest link. The weld wants {wanted}; {detail} gives {high}, and from {least} on it is sound, slower',
    'near-low-end': 'The weld wants {wanted}. The {kind} is nearest its low end, {low}',
    'would-give-out': 'The weld wants {wanted}. The {kind} would give out first, at {high}',
    'would-give-out-at-duty':
      'The weld wants {wanted}. The {kind} would give out first, at {high} at the job’s {duty} duty',
    'link-unknown': 'Not known: {missing}',
    'link-carries': '{detail} carries up to {high} for this job; the weld wants {wanted}',
    'link-carries-range': '{detail} carries {low} to {high} for this job; the weld wants {wanted}',
    joint:
      'The weld wants {wanted}; {low} to {high} still makes it, above it the part burns through. A starting point: weld a coupon and look',
    'joint-thick':
      'The weld wants {wanted}; from {low} on it is sound, and it is too thick to burn through. A starting point: weld a coupon and look',
  },
  cautions: {
    eyes: {
      topic: 'Eyes',
      text: 'Lens shade at least {least}, {suggested} suggested ({source}); glasses under the helmet',
    },
    'eyes-unknown': {
      topic: 'Eyes',
      text: '{source} lists no lens shade for {current}. Follow the helmet’s own data; glasses under the helmet',
    },
    'residual-current': {
      topic: 'Shock',
      text: 'An outlet up to 32 A needs a residual current device of 30 mA (IEC 60364-4-41); three-phase inverters may need type B: ask the electrician',
    },
    discrimination: {
      topic: 'Breakers',
      text: 'The breaker of the panel is less than 1.6 times that of the circuit: on a short circuit both may trip',
    },
    power: {
      topic: 'Power',
      text: 'Unplug before opening a machine. Wiring is for a licensed electrician; data plate and code decide',
    },
    'generator-outdoors': {
      topic: 'Exhaust',
      text: 'Run the engine outdoors, away from doors and windows: its exhaust has no smell that warns, and kills. Ground it as its book says; never feed a building without a transfer switch',
    },
    'rough-wave': {
      topic: 'Wave',
      text: 'Inverter machines are upset, or broken, by volts that swing and a wave that is not clean: ask the maker of {source} whether it may run on {generator}',
    },
    'typical-plate': {
      topic: 'Plate',
      text: 'The figures of {source} are typical of its class: read its plate before you plug it in or buy for it',
    },
    fumes: { topic: 'Fumes', text: '{fume}' },
    gas: {
      topic: 'Gas',
      text: 'Chain the cylinder, open it slowly and to one side. Shielding gas displaces air in closed spaces',
    },
    smoke: { topic: 'Fumes', text: 'Self-shielded wire smokes heavily: extract, or work upwind' },
    'stick-smoke': {
      topic: 'Fumes',
      text: 'Coverings smoke: extract, or work upwind; chip slag with the glasses on',
    },
    'live-holder': {
      topic: 'Shock',
      text: 'The holder is live as long as the machine is on: change electrodes with a dry glove, never under the arm',
    },
    'keep-dry': {
      topic: 'Hydrogen',
      text: 'Low-hydrogen electrodes stay dry: sealed, or in an oven at some 250 °F (120 °C); out of it for no longer than the code allows, usually 4 h',
    },
    'live-torch': {
      topic: 'Shock',
      text: 'A TIG torch is live at open-circuit voltage: gloves on before you touch rod or tungsten',
    },
    damp: {
      topic: 'Shock',
      text: 'Damp ground and no voltage reduction device: stand dry, keep others off the work',
    },
    'high-frequency': {
      topic: 'High frequency',
      text: 'High-frequency start upsets electronics and pacemakers near by',
    },
    thorium: {
      topic: 'Dust',
      text: 'Thoriated dust is mildly radioactive: grind wet or with extraction, or use a type without thorium',
    },
    approval: {
      topic: 'Approval',
      text: 'Such welds need a qualified procedure and welder: this is advice, not approval',
    },
    'approval-european': {
      topic: 'Approval',
      text: 'Such welds need a procedure qualified by EN ISO 15614 and a welder qualified by EN ISO 9606: this is advice, not approval',
    },
    'live-wire': {
      topic: 'Gun',
      text: 'The wire is live while the trigger is pulled: keep it off you and off the work',
    },
  },
  plate: {
    efficiency:
      'The plate does not agree with itself: {current} at {volts} is {given} out, and {input} at {supply} is {taken} in, an efficiency of {efficiency}; read both again. Until then what it draws counts as not known',
    'effective-above': 'I₁eff of {effective} is above I₁max of {greatest}; it cannot be: read both again',
    'effective-below':
      'I₁eff of {effective} is below {expected}, which I₁max at {duty} duty alone makes: read both again',
    'load-voltage':
      '{current} is rated at {volts}; by the standard it would be {conventional}. It may be rated otherwise: look whether the process is right',
    'open-circuit-below':
      'Open-circuit voltage of {open} is below the load voltage of {load}; it cannot be: read both again',
    'open-circuit-above':
      'Open-circuit voltage of {open} is above {most}, the most of the standard for manual welding: read it again, and treat it as dangerous',
  },
  ways: {
    convert: 'Convert {gun}',
    buy: '{gun}',
    'changed-back': 'Rolls, liner and tip are changed back for steel each time',
    spool: 'Small spools only, changed often, and the weight hangs on the wrist',
    'push-pull': 'Dear, and it wants a feeder made for it',
  },
  fillets: {
    under: 'The leg is smaller than the least for these parts: the thick one chills it',
    'hides-edge': 'The leg hides the edge: nobody can see whether the edge was melted away',
    over: 'The leg is larger than the parts ask for: metal grows with its square',
    right: 'The leg suits the parts',
  },
  notKnown: 'Not known: {missing}',
  sources: { 'from-memory': '{text} (from memory)', plain: '{text}' },
}
