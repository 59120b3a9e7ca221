/** What a whole fit says beside its criteria: what is missing, the chain, cautions, ways, sources. */
import type { Language } from '../language.ts'

export const ANSWERS: Omit<Language, 'criteria' | 'vocabulary'> = {
  groups: {
    polarity: { title: 'Polarity', well: 'The leads are on the right terminals' },
    together: { title: 'Parts fit together', well: 'All parts fit together' },
    joint: { title: 'Joint and procedure', well: 'The joint suits the process and the position' },
    shielding: { title: 'Gas and filler', well: 'Gas and filler suit the metal' },
  },
  missing: {
    'power-source': 'the power source',
    gun: 'the gun or torch',
    wire: 'the wire',
    rod: 'the rod',
    covered: 'the electrode',
    'open-circuit': 'the open-circuit voltage of {source}. Read it off the plate',
    gas: 'the gas',
    tungsten: 'the tungsten',
    'not-chosen': '{slots} of the set-up. Choose them',
    supply: 'a supply voltage that the source takes',
    'not-rated': 'a rating. The plate of {source} does not list {process}',
    'no-circuit': 'the circuit of {source}',
    'other-supply': 'a matching supply. {source} takes {takes|or} for {process}. {circuit} gives {gives}',
    'plate-fault':
      'the input current of {source}. Its plate contradicts itself: {given} out ({current} at {volts}) from {taken} in ({input} at {supply}) is {efficiency} efficiency. Read both figures again',
    'wire-for-arc': 'a wire. Arc time follows from it',
    ampacity:
      'the ampacity of {size}. {book} lists no such size. Enter it with its unit, for example 10 AWG, 2.5 mm² or 5G6',
    outlet:
      'the rating of {outlet}. {book} has no such outlet. Pick one from its list, or leave it empty for a hard-wired machine',
    cord: 'the ampacity of cord {size}. {book} lists no such size. Enter it with its unit, for example 12/3 SJTW or 3G2.5',
    leads: 'the ampacity of leads {size}. Enter for example 2 AWG or 35 mm²',
    'gas-for-rating': 'the gas. The rating of the gun depends on it',
    'other-kind': 'a {wanted}. {gun} is a {kind}',
    'gun-rating': 'the rating of {gun} for {gas}, {wave}',
    'wire-is-rod': 'a wire on a spool. {wire} is not sold on one',
    'wire-range': 'the current range of {wire}. No table lists its size. Enter it from the data of the wire',
    'tungsten-range': 'the current range of {tungsten}. AWS A5.12 lists no such size',
    feeder: 'a wire feeder. {source} has none built in',
    'feed-max': 'the highest wire feed speed of {feeder}. Read it off the machine',
    start: 'how {source} starts its arc',
    'gas-valve': 'whether {source} or {gun} has a gas valve',
    'water-cooler': 'whether {source} has a water cooler',
    'wire-sizes': 'the wire sizes that {feeder} takes',
    spool: 'the spool size of {wire}',
    spools: 'the spool sizes that {feeder} takes',
    'machine-connector': 'the {holder} connector of {machine}',
    'gun-connector': 'the connector of {gun}',
    'roll-drive': 'the drive roll type of {feeder}',
    'drive-of-roll': 'which drive {roll} fits',
    'class-of-gun': 'the parts class of {gun}',
    'class-of-part': 'which guns or torches {part} fits',
    'gas-of-wire': 'the gas that {wire} is made for. Read it off the spool',
    wind: 'the wind at the weld. The job is outdoors',
    'tungsten-too-short': 'how much of {tungsten} is used. It is already shorter than the stub',
  },
  lacks: {
    lacks: 'no {what} fits it',
    'does-not-go': 'the parts on hand do not fit together',
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
    'not-known': 'This weld needs {wanted}. No data for the {kind}: {missing}',
    wants: 'This weld needs {wanted}',
    'too-high': 'Too hot: the {kind}. This weld needs {wanted}. {detail} starts at {low}',
    'gives-out':
      'Weakest link: the {kind}. This weld needs {wanted} ({least} minimum). {detail} gives {most}',
    'gives-out-at-duty':
      'Weakest link: the {kind}. This weld needs {wanted} ({least} minimum). {detail} gives {most}, even with rest',
    'rather-high':
      'The {kind} is near its low end. This weld needs {wanted}. {detail} starts at {low}: hotter than needed, still sound',
    'below-usual':
      'The {kind} is below its usual range. This weld needs {wanted}. {detail} usually runs from {low}. Another size runs steadier',
    paces:
      'The {kind} limits your pace. This weld needs {wanted}. At {duty} duty cycle {detail} holds {high}. With rest it gives up to {most}',
    cooler:
      'Weakest link: the {kind}. This weld needs {wanted}. {detail} gives {high}. From {least} the weld is sound, but slower',
    'near-low-end': 'This weld needs {wanted}. The {kind} is closest to its low end, {low}',
    'would-give-out': 'This weld needs {wanted}. The {kind} has the least to spare: it gives {high}',
    'would-give-out-at-duty':
      'This weld needs {wanted}. The {kind} has the least to spare: {high} at {duty} duty cycle',
    'link-unknown': 'No data: {missing}',
    'link-carries': '{detail} carries up to {high} for this job. This weld needs {wanted}',
    'link-carries-range': '{detail} carries {low} to {high} for this job. This weld needs {wanted}',
    joint:
      'This weld needs {wanted}. Below {low} it laps cold, above {high} it burns through. Start settings: try them on a coupon',
    'joint-thick':
      'This weld needs {wanted}. From {low} it is sound. The part is too thick to burn through. Start settings: try them on a coupon',
  },
  cautions: {
    eyes: {
      topic: 'Eyes',
      text: 'Lens shade {least} or darker, {suggested} suggested ({source}). Safety glasses under the helmet',
    },
    'eyes-unknown': {
      topic: 'Eyes',
      text: '{source} lists no lens shade for {current}. Follow the data of the helmet. Safety glasses under the helmet',
    },
    'residual-current': {
      topic: 'Shock',
      text: 'An outlet up to 32 A needs a 30 mA residual current device (IEC 60364-4-41). Three-phase inverters may need type B. Ask the electrician',
    },
    discrimination: {
      topic: 'Breakers',
      text: 'The panel breaker is less than 1.6 times the circuit breaker. A short circuit may trip both',
    },
    power: {
      topic: 'Power',
      text: 'Unplug the machine before you open it. Wiring: licensed electrician, data plate and code',
    },
    'generator-outdoors': {
      topic: 'Exhaust',
      text: 'Run the engine outdoors, away from doors and windows. Its exhaust kills without warning. Ground it as its manual says. Never feed a building without a transfer switch',
    },
    'rough-wave': {
      topic: 'Generator',
      text: 'Unsteady voltage can damage an inverter. Ask the maker of {source} whether it may run on {generator}',
    },
    'typical-plate': {
      topic: 'Plate',
      text: 'The figures of {source} are typical values. Check its plate before you plug it in or buy for it',
    },
    fumes: { topic: 'Fumes', text: '{fume}' },
    gas: {
      topic: 'Gas',
      text: 'Chain the cylinder. Stand aside and open it slowly. Gas displaces air in closed spaces',
    },
    smoke: { topic: 'Fumes', text: 'Self-shielded wire smokes heavily. Use extraction, or work upwind' },
    'stick-smoke': {
      topic: 'Fumes',
      text: 'Stick electrodes smoke. Use extraction, or work upwind. Wear glasses when you chip slag',
    },
    'live-holder': {
      topic: 'Shock',
      text: 'The holder is live while the machine is on. Change electrodes with a dry glove, never under the arm',
    },
    'keep-dry': {
      topic: 'Hydrogen',
      text: 'Keep low-hydrogen electrodes sealed or in an oven at about 250 °F (120 °C). Out of the oven, usually 4 h at most by code',
    },
    'live-torch': {
      topic: 'Shock',
      text: 'A TIG torch is live at open-circuit voltage. Put gloves on before you touch rod or tungsten',
    },
    damp: {
      topic: 'Shock',
      text: 'Damp ground and no voltage reduction device. Stand dry, and keep others off the work',
    },
    'high-frequency': {
      topic: 'High frequency',
      text: 'High-frequency start disturbs electronics and pacemakers nearby',
    },
    thorium: {
      topic: 'Dust',
      text: 'Thoriated dust is mildly radioactive. Grind wet or with extraction, or use a type without thorium',
    },
    approval: {
      topic: 'Approval',
      text: 'Plan only. This weld needs a qualified procedure and a qualified welder',
    },
    'approval-european': {
      topic: 'Approval',
      text: 'Plan only. This weld needs a procedure qualified by EN ISO 15614 and a welder qualified by EN ISO 9606',
    },
    'live-wire': {
      topic: 'Gun',
      text: 'The wire is live while you pull the trigger. Keep it off you and off the work',
    },
  },
  plate: {
    efficiency:
      'The plate contradicts itself: {given} out ({current} at {volts}) from {taken} in ({input} at {supply}) is {efficiency} efficiency. Read both figures again. Until then the input current is not known',
    'effective-above': 'I₁eff {effective} is higher than I₁max {greatest}. That cannot be. Read both again',
    'effective-below':
      'I₁eff {effective} is lower than {expected}, which I₁max alone makes at {duty} duty cycle. Read both again',
    'load-voltage':
      '{current} is rated at {volts}. The standard gives {conventional}. Check that the process is right',
    'open-circuit-below':
      'Open-circuit voltage {open} is lower than load voltage {load}. That cannot be. Read both again',
    'open-circuit-above':
      'Open-circuit voltage {open} is above {most}, the limit for manual welding. Read it again, and treat it as dangerous',
  },
  ways: {
    convert: 'Convert {gun}',
    buy: '{gun}',
    'changed-back': 'You change rolls, liner and tip back for steel each time',
    spool: 'Small spools only, changed often. The weight is on the wrist',
    'push-pull': 'Expensive, and it needs a matching feeder',
  },
  fillets: {
    under: 'The leg is below the minimum for these parts. The thick part chills it',
    'hides-edge': 'The leg covers the edge. Nobody can see whether the edge melted away',
    over: 'The leg is larger than these parts need. Weld metal grows with its square',
    right: 'The leg suits the parts',
  },
  notKnown: 'No data: {missing}',
  sources: { 'from-memory': '{text} (from memory)', plain: '{text}' },
}
