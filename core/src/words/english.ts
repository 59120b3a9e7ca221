/** English: every sentence of the computation, by code. */
import { MATERIALS } from '../reference/materials.ts'
import { PROCESSES } from '../reference/processes.ts'
import type { Language } from './language.ts'

const LENGTH = '{length}'
const LENGTH_MASS = '{length}, {mass} with its hose'
const WATER = ': water keeps the handle small and cool, the hose is stiffer'
const SPOOL = ': the spool hangs on the wrist, and corners are harder to reach'
const AIR = ': no water to carry, the handle warms with use'
const CLASSED = {
  screws: '{part} screws into {gun}',
  other: '{part} is for “{own}”; {gun} takes “{takes}”',
}

export const ENGLISH: Language = {
  vocabulary: {
    way: { cord: 'cord', cable: 'cable' },
    process: Object.fromEntries(Object.values(PROCESSES).map(({ id, workshopWord }) => [id, workshopWord])),
    material: Object.fromEntries(Object.values(MATERIALS).map(({ id, name }) => [id, name])),
    metal: { 'carbon-steel': 'carbon steel', stainless: 'stainless', aluminium: 'aluminium' },
    // Single-phase goes without saying.
    phases: { 1: '', 3: 'three-phase' },
    supply: { engine: 'its engine', none: 'none chosen' },
    holder: { gun: 'gun', torch: 'torch', holder: 'stick holder', source: 'source' },
    electrode: { wire: 'wire', tungsten: 'tungsten', covered: 'electrode' },
    filler: { wire: 'wire', rod: 'rod', covered: 'electrodes' },
    link: {
      circuit: 'Circuit',
      source: 'Power source',
      gun: 'Gun',
      torch: 'Torch',
      holder: 'Holder',
      wire: 'Wire',
      tungsten: 'Tungsten',
      covered: 'Electrode',
    },
    gunGas: { co2: 'CO₂', mixed: 'an argon mix', argon: 'argon', none: 'no gas' },
    tapOff: { hot: 'hot', cold: 'cold' },
    inGas: { gas: 'in this gas', none: 'without gas' },
    wave: { dc: 'DC', ac: 'AC' },
    polarity: {
      dcep: 'DC, electrode positive (DCEP)',
      dcen: 'DC, electrode negative (DCEN)',
      ac: 'AC',
    },
    polarityShort: { dcep: 'DCEP', dcen: 'DCEN', ac: 'AC' },
    start: { 'high-frequency': 'high frequency', lift: 'lift', scratch: 'scratching' },
    form: {
      solid: 'solid wire on a spool',
      rod: 'rod',
      covered: 'covered electrode',
      'cored-gas-shielded': 'gas-shielded cored wire',
      'cored-self-shielded': 'self-shielded cored wire',
    },
    position: {
      flat: 'flat',
      horizontal: 'horizontal',
      'vertical-up': 'vertical up',
      'vertical-down': 'vertical down',
      overhead: 'overhead',
    },
    groove: { 'v-smooth': 'smooth V', 'v-knurled': 'knurled V', u: 'U' },
    connector: {
      central: 'central connector',
      'pin-large': 'push-in pin, large',
      'pin-small': 'push-in pin, small',
      fixed: 'wired into the machine',
      'twist-25': 'twist-lock, 10–25 mm²',
      'twist-50': 'twist-lock, 35–50 mm²',
      stud: 'bolted stud',
    },
    part: {
      'drive-roll': 'drive roll',
      liner: 'liner',
      'contact-tip': 'contact tip',
      nozzle: 'nozzle',
      collet: 'collet',
      'collet-body': 'collet body',
      cup: 'cup',
      'back-cap': 'back cap',
      'flow-meter': 'flow meter',
    },
    slot: {
      circuit: 'circuit',
      powerSource: 'power source',
      feeder: 'wire feeder',
      'gun-wire': 'gun',
      'gun-tungsten': 'torch',
      'gun-covered': 'stick holder',
      'wire-wire': 'wire',
      'wire-tungsten': 'rod',
      'wire-covered': 'electrode',
      roll: 'drive rolls',
      liner: 'liner',
      tip: 'contact tip',
      nozzle: 'nozzle',
      tungsten: 'tungsten',
      collet: 'collet',
      colletBody: 'collet body',
      cup: 'cup',
      backCap: 'back cap',
      gas: 'gas',
      flowMeter: 'flow meter',
    },
    spool: { 100: '100 mm (4 in)', 200: '200 mm (8 in)', 300: '300 mm (12 in)' },
    wireGas: {
      co2: 'CO₂',
      mixed: '75 to 80 % argon with CO₂',
      either: 'CO₂ or 75 to 80 % argon with CO₂',
    },
    fitting: { inert: 'argon and its mixes', co2: 'CO₂' },
    scale: { argon: 'argon', 'ar-co2-25': '75/25 Ar/CO₂', co2: 'CO₂', helium: 'helium' },
    pack: { spool: 'spool', tube: 'tube', pack: 'pack', cylinder: 'cylinder' },
    packs: { spool: 'spools', tube: 'tubes', pack: 'packs', cylinder: 'cylinders' },
    plateFamily: { gmaw: 'MIG', fcaw: 'flux-cored', gtaw: 'TIG', smaw: 'stick' },
    verdict: { fits: 'Fits', tight: 'Tight', fails: 'Fails', unknown: 'Unknown' },
    join: { or: 'or', and: 'and', to: 'to', none: '' },
    sourceKind: {
      standard: 'standard',
      handbook: 'handbook',
      'data-plate': 'data',
      shop: 'shop',
      job: 'job',
      'common-practice': 'practice',
      computed: 'worked out',
    },
  },

  titles: {
    'supply-voltage': 'Supply voltage',
    'supply-setting': 'Links or plug',
    'breaker-holds': 'Breaker holds',
    cable: 'Cable, this job',
    'conductor-rule': 'Cable, by the rule',
    'breaker-rule': 'Breaker, by the rule',
    'breaker-load-rule': 'Breaker, load by the rule',
    'outlet-rule': 'Outlet',
    'outlet-breaker-rule': 'Breaker before the outlet',
    'cord-breaker-rule': 'Breaker before the cord',
    'outlet-supply': 'Outlet for this supply',
    volts: 'Volts at the machine',
    cord: 'Extension cord',
    inrush: 'Switching on',
    'generator-runs': 'Generator, running',
    'generator-starts': 'Generator, for a moment',
    leads: 'Welding leads',
    'lead-volts': 'Volts lost in the leads',
    'source-range': 'Source output',
    'arc-volts': 'Volts of the arc',
    'source-duty': 'Source duty at {current}',
    'gun-duty': '{holder} at this duty',
    electrode: '{holder} current',
    'feed-speed': 'Wire feed speed',
    thickness: 'Thickness',
    'wire-above-output': 'Wire and output',
    'gun-for-wire': 'Rating and wire',
    polarity: 'Polarity',
    'polarity-of-wire': 'Polarity of wire or electrode',
    'polarity-reach': 'Polarity that it can take',
    'parts-chosen': 'Parts chosen',
    'rated-for-process': 'Process on the plate',
    'stick-strikes': 'Striking the electrode',
    'wave-for-metal': 'AC for aluminium',
    'ac-control': 'AC balance and frequency',
    'start-method': 'Start of the arc',
    'electronics-near': 'Electronics near by',
    'gas-control': 'Gas valve',
    'gun-kind': 'Gun, torch or holder',
    'water-cooling': 'Cooling',
    handling: 'In the hand',
    'collet-size': 'Collet size',
    'collet-body-size': 'Collet body size',
    'cup-on-body': 'Cup and collet body',
    'back-cap-length': 'Back cap',
    'stick-out': 'Stick-out',
    'tungsten-type': 'Tungsten type',
    connector: 'Connector',
    'wire-size-fed': 'Wire sizes of the feeder',
    'spool-size': 'Spool size',
    'spool-mass': 'Spool weight',
    'auto-program': 'Automatic program',
    'output-range': 'Range switch',
    'volts-tap': 'Voltage taps',
    'tip-reach': 'Tip to the root',
    'flow-bounds': 'Flow of the gas',
    'return-volts': 'Work clamp',
    'start-amps': 'Start current',
    'roll-groove': 'Groove of the rolls',
    'roll-size': 'Size of the rolls',
    'roll-system': 'Rolls for the drive',
    'aluminium-path': 'Feeding aluminium',
    'tip-bore': 'Contact tip',
    'nozzle-for-gas': 'Nozzle',
    'liner-material': 'Liner kind',
    'liner-size': 'Liner size',
    'liner-length': 'Liner length',
    'liner-one-metal': 'One metal per liner',
    'tip-class': 'Tip for the gun',
    'nozzle-class': 'Nozzle for the gun',
    'collet-class': 'Collet for the torch',
    'collet-body-class': 'Collet body for the torch',
    'cup-class': 'Cup for the torch',
    'back-cap-class': 'Back cap for the torch',
    'wire-form': 'Filler for the process',
    'filler-for-metal': 'Filler for the metal',
    'wire-position': 'Wire and position',
    'short-circuit-depth': 'Short-circuit transfer',
    'spray-transition': 'Spray and the joint',
    'spray-position': 'Spray and position',
    'weld-stands': 'Figures of the weld',
    preheat: 'Most preheat',
    'least-preheat': 'Least preheat',
    'back-purge': 'Back purge',
    prequalified: 'Prequalified',
    'square-depth': 'Depth of a square joint',
    'cored-class': 'Class of the wire',
    'cored-position': 'Cored wire out of position',
    travel: 'Travel by hand',
    'gas-for-process': 'Gas for the process',
    'gas-for-metal': 'Gas for the metal',
    'gas-for-spray': 'Gas for spray',
    'gas-of-wire': 'Gas of the wire',
    wind: 'Wind',
    'gas-fitting': 'Cylinder fitting',
    'flow-scale': 'Flow meter scale',
    'regulator-freezing': 'Freezing',
    'wire-use': '{filler} used',
    'gas-use': 'Gas used',
    'tungsten-use': 'Tungsten used',
    'time-use': 'Working time',
  },

  short: {
    'supply-voltage': 'voltage',
    'breaker-holds': 'breaker',
    cable: 'cable',
    'conductor-rule': 'cable, rule',
    'breaker-rule': 'breaker, rule',
    'breaker-load-rule': 'breaker, load',
    'outlet-rule': 'outlet',
    'outlet-breaker-rule': 'breaker, outlet',
    'cord-breaker-rule': 'breaker, cord',
    'outlet-supply': 'outlet',
    volts: 'volts',
    cord: 'cord',
    inrush: 'inrush',
    'generator-runs': 'generator',
    'generator-starts': 'generator peak',
    leads: 'leads',
    'lead-volts': 'leads',
    'source-range': 'source',
    'arc-volts': 'volts',
    'auto-program': 'no program',
    'output-range': 'between ranges',
    'volts-tap': 'taps',
    'tip-reach': 'tip too far',
    'flow-bounds': 'gas flow',
    'return-volts': 'work clamp',
    'start-amps': 'start current',
    'source-duty': 'duty {demand}',
    'gun-duty': 'gun',
    electrode: '{holder}',
    'electrode-low': '{holder} too thick',
    'source-range-low': 'source too hot',
    'feed-speed': 'wire feed',
    thickness: 'thickness',
    polarity: 'polarity',
    'polarity-of-wire': 'polarity',
    'rated-for-process': 'not on plate',
    'wave-for-metal': 'needs AC',
    'filler-for-metal': 'wrong filler',
    'gas-for-metal': 'wrong gas',
    'gas-for-process': 'wrong gas',
    'gas-for-spray': 'gas for spray',
    'short-circuit-depth': 'short-circuit',
    'spray-transition': 'too thin for spray',
    'spray-position': 'spray, position',
    'cored-class': 'wire class',
    'cored-position': 'position',
    'weld-stands': 'weld contradicts',
    preheat: 'preheat too hot',
    'least-preheat': 'preheat',
    'back-purge': 'no purge',
    prequalified: 'not prequalified',
    'time-use': 'hours',
    'wire-use': 'wire left',
    'gas-use': 'gas left',
    'tungsten-use': 'tungsten left',
  },
  groups: {
    polarity: { title: 'Polarity', well: 'Leads as they should be' },
    together: { title: 'Parts go together', well: 'The parts go with each other' },
    joint: { title: 'Weld and hand', well: 'The joint suits the process, the position and the hand' },
    shielding: { title: 'Gas and filler', well: 'Gas, filler and place suit the metal' },
  },

  sides: {
    'supply-voltage': { demand: '{takes|or}', capacity: '{gives}' },
  },

  sentences: {
    'supply-voltage': {
      takes: 'Takes {gives}. Check that links or plug are set for it',
      'other-supply': '{source} takes {takes|or} for {process}; {circuit} gives {gives}',
    },
    'supply-setting': {
      links: 'Set the links inside {source} to {volts} before it is plugged in, unplugged while you do',
      plug: 'Put the {volts} plug on {source}',
      automatic: '{source} finds {volts} by itself',
      fixed: '{source} stays on {volts}',
      'set-right': '{source} is set for {set}, and the supply is {volts}',
      'set-other':
        '{source} is set for {set}, and the supply is {volts}: change it before it is plugged in, unplugged while you do',
    },
    'breaker-holds': {
      measured: 'Heats the breaker like a steady {demand}; it holds {capacity}',
      beside: 'Counts as {demand} continuous; with {others|and} running {together}: the breaker may trip',
      'below-idle':
        'At rest alone the machine draws {idle}, and the breaker holds {capacity}: it never stays in',
      early:
        'Counts as {demand} continuous; the breaker holds {capacity}. The quickest breakers of its standard count {early} and may trip',
      'turned-down':
        'Heats the breaker like a steady {demand}; it holds {capacity}. Turned down to {current} it holds, slower and with smaller beads',
    },
    cable: { measured: 'The job’s heating equals a steady {demand}; {size} carries {capacity}' },
    'conductor-rule': {
      measured: 'The machine asks for a cable of {demand}; {size} carries {capacity}',
      'other-process':
        'By {process} the machine asks for a cable of {demand}, and the circuit is not rewired for another process; {size} carries {capacity}',
    },
    volts: {
      measured: 'Drawing {drawn}, {lost} is lost on the way to the machine',
      sags: 'Drawing {drawn}, {lost} is lost on the way: the arc is weaker than its dial says',
    },
    cord: {
      measured:
        'The job’s heating equals a steady {demand}; {length} of {size} carry {capacity}, laid out straight: a coiled cord melts',
    },
    inrush: {
      'inrush-not-given':
        'No data: the plate of {source} does not give its inrush current. If the breaker trips when you switch it on, use a slower type: C for B, D for C',
      measured:
        'Switched on it takes some {demand} for a moment; below {capacity} this kind of breaker does not throw',
      'may-throw':
        'Switched on it takes some {demand} for a moment; from {capacity} on some breakers of this kind throw at that, others hold',
    },
    'generator-runs': {
      measured:
        'Machine and what else runs there ask for {demand}; {generator} gives {capacity} where it stands',
    },
    'generator-starts': {
      measured:
        'At its highest draw, with what else runs, {demand} is asked for a moment; {generator} gives {capacity}',
    },
    leads: { measured: 'The job heats the leads like a steady {demand}; {size} carries {capacity}' },
    'lead-volts': {
      measured:
        '{length} of {size} lose {demand} before the arc; for the same power from the supply it burns with {lost} less. Up to {capacity} is usual',
    },
    'outlet-rule': {
      measured: 'The plate asks for {demand}; the outlet, {outlet}, is rated {capacity}.',
      'other-process':
        'By {process}, which asks most, the plate asks for {demand}; the outlet, {outlet}, is rated {capacity}.',
    },
    'breaker-load-rule': {
      measured: 'The machine draws {demand} by its plate; the breaker is {capacity}',
      'other-process': 'By {process} the machine draws {demand} by its plate; the breaker is {capacity}',
    },
    'outlet-breaker-rule': {
      measured: 'The breaker is {demand}; the outlet, {outlet}, is rated {capacity}',
    },
    'cord-breaker-rule': {
      measured:
        'The breaker is {demand}; a cord of {cord} carries {capacity}, so the breaker must not be larger',
    },
    'outlet-supply': {
      'made-for': '{outlet} is made for {gives}',
      'other-supply': '{outlet} is not made for {gives}',
    },
    'breaker-rule': {
      measured: 'The breaker is {demand}; the rule allows up to {capacity}',
      'own-protection':
        'The breaker is {demand}; for this machine the rule allows up to {capacity}, and more where the machine protects itself against overcurrent: see its plate or its manual',
    },
    'source-range': {
      measured: 'The weld wants {demand}; the source gives {capacity}',
      slower:
        'The weld wants {demand}; the source gives {capacity}. From {least} on it is sound: slower, with smaller beads',
      'above-low-end':
        'The weld wants {demand}; the source gives {capacity}. At its least it is hotter than wanted, and does not burn through',
    },
    'arc-volts': {
      measured: 'The arc starts at {demand}; the source is rated for {capacity} at this current',
      'a-little-short':
        'The arc starts at {demand}, and the source is rated for {capacity} at this current: a little less wire speed makes up for it',
      short:
        'The arc starts at {demand}, and the source is rated for {capacity} at this current: it burns too short to run',
    },
    'source-duty': {
      measured: 'The worst ten minutes ask {demand}; the source allows {capacity}',
      pace: 'It sets the pace: the worst ten minutes ask {demand}, and at {capacity} you weld {arc} in every {span}',
      'pace-unbroken':
        'It sets the pace: the source allows {may} of arc in ten minutes at this current, and one weld around takes {one}',
    },
    'gun-duty': {
      measured: 'The weld wants {demand}; the {holder} carries {capacity}',
      slower:
        'It sets the pace: the weld wants {demand}, and the {holder} carries {capacity} at this duty; rest between welds lets it carry more',
      carries: '{gun} carries {carries} {gas}',
    },
    electrode: {
      measured: 'The weld wants {demand}; {name} runs {capacity}',
      slower:
        'The weld wants {demand}; {name} runs {capacity}. From {least} on it is sound: slower, with smaller beads',
      'above-low-end':
        'The weld wants {demand}; {name} runs {capacity}. Below its range it wanders a little; another size runs steadier',
      runs: '{name} runs {low} to {high}',
    },
    'feed-speed': {
      measured: '{wire} burns off at {demand}; {feeder} reaches {capacity} on {supply}',
      'too-fast': 'At {current} {wire} burns off at {demand}; {feeder} feeds {capacity}',
      'at-lowest':
        'At its lowest current, {current}, {wire} burns off {demand}; {feeder} reaches {capacity} on {supply}',
    },
    thickness: {
      measured: 'The part or the layer to heat is {demand}; the weakest link welds {capacity}',
      slower:
        'The part or the layer to heat is {demand}; the weakest link welds {capacity} at full current, and this slower, with smaller beads',
    },
    'wire-above-output': {
      above: '{wire} starts at {starts}; the source gives {gives} on {supply}',
      within: '{wire} starts at {starts}, the source gives up to {gives} on {supply}',
    },
    'gun-for-wire': {
      above: '{gun} carries {carries}; {wire} starts at {starts}',
      within: '{wire} starts at {starts}, below the {carries} that {gun} carries',
    },
    polarity: {
      'on-ac': 'Output on AC',
      'on-leads': 'Leads on {wanted}',
      'output-ac': 'The output is AC; {by} wants {wanted}',
      leads: 'Leads are on {set}; {by} wants {wanted}',
    },
    'polarity-of-wire': {
      'on-ac': 'Output on AC',
      'on-leads': 'Leads on {wanted}',
      'output-ac': 'The output is AC; {by} wants {wanted}',
      leads: 'Leads are on {set}; {by} wants {wanted}',
    },
    'polarity-reach': {
      leads: '{source} changes polarity by swapping the leads at the terminals',
      plug: '{source} changes polarity by the polarity plug',
      automatic: '{source} changes polarity by itself with the process',
      wired: '{source} is wired for {only}',
      'wired-other': '{source} is wired for {only} only, and {wanted} is wanted',
    },
    'stick-strikes': {
      strikes: '{source} stands at {open} before the arc; {wire} strikes readily from {wants} on',
      'goes-out':
        '{source} stands at {open} before the arc; {wire} wants {wants} to strike readily and not to go out',
    },
    'rated-for-process': {
      'not-rated': '{source} is not rated for {process}',
      rated: '{source} is rated for {process}',
      'dc-only': '{source} gives DC only: aluminium by TIG wants AC, which breaks its oxide',
      'ac-only': '{source} gives AC only: {process} wants DC',
      'no-pulse': '{source} does not pulse',
    },
    'wave-for-metal': { dc: 'Aluminium by TIG wants AC: DC does not break its oxide' },
    'ac-control': {
      none: '{source} has neither balance nor frequency to set: a wide arc and a rounder tungsten',
      both: '{source} sets electrode-positive {minPct} to {maxPct}, {minHz} to {maxHz}',
      balance: '{source} sets electrode-positive {minPct} to {maxPct}',
      frequency: '{source} sets {minHz} to {maxHz}',
    },
    'start-method': {
      has: '{source} starts by {has|or}',
      other: 'You want {wanted} start; {source} starts by {has|or} only',
    },
    'electronics-near': {
      upsets:
        'High-frequency start beside sensitive electronics: it upsets controls, computers and pacemakers',
      none: 'No high frequency near the electronics',
    },
    'gas-control': {
      'leave-open': '{source} switches the gas: leave the torch’s hand valve open',
      switches: '{source} switches the gas',
      wastes: 'The hand valve flows until somebody shuts it: gas wasted each start',
      'wastes-so-much': 'The hand valve flows until somebody shuts it: some {wasted} wasted each start',
      'no-valve': '{source} has no gas valve and neither has {gun}: nothing opens the gas',
    },
    'gun-kind': {
      right: 'A {wanted} for {process}',
      other: '{gun} is a {kind}; {process} wants a {wanted}',
    },
    'water-cooling': {
      cooled: 'Water-cooled, with a cooler: check level and flow before the arc',
      'no-cooler': '{gun} is water-cooled and {source} has no cooler: it burns without water',
    },
    handling: {
      water: `${LENGTH}${WATER}`,
      'water-weighed': `${LENGTH_MASS}${WATER}`,
      spool: `${LENGTH}${SPOOL}`,
      'spool-weighed': `${LENGTH_MASS}${SPOOL}`,
      air: `${LENGTH}${AIR}`,
      'air-weighed': `${LENGTH_MASS}${AIR}`,
    },
    'collet-size': {
      same: 'Collet of {has} for the tungsten',
      other: 'Collet of {has} does not hold a tungsten of {tungsten}',
    },
    'collet-body-size': {
      same: 'Collet body of {has} for the tungsten',
      other: 'Collet body of {has} and tungsten of {tungsten} do not go together',
    },
    'cup-on-body': {
      lens: 'A lens cup on a gas lens',
      plain: 'A plain cup on a plain collet body',
      'lens-on-plain': 'A lens cup does not go on a plain collet body',
      'plain-on-lens': 'A plain cup does not go on a gas lens',
    },
    'back-cap-length': {
      'short-cap': 'The back cap closes over {cap}; the tungsten is {tungsten}: cut it, or a longer cap',
      closes: 'The back cap closes over {cap}',
    },
    'stick-out': {
      'up-to': 'Stick-out up to {most} with this cup',
      within: 'Stick-out of {is}, at most {most}',
      beyond: 'Stick-out of {is} leaves the gas: at most {most} with cup {cup}',
      'beyond-lens': 'Stick-out of {is} leaves the gas: at most {most} with cup {cup} and a gas lens',
    },
    'tungsten-type': {
      'pure-on-dc': 'Pure tungsten holds no point on DC: its arc wanders',
      'zirconiated-on-dc':
        'Zirconiated tungsten is made for AC; on DC a lanthanated or ceriated one starts better',
      'thoriated-on-ac': 'Thoriated tungsten splits and spits on AC, and its dust is mildly radioactive',
      'pure-on-ac': 'Pure tungsten is for old sine-wave AC; on a square wave it melts early',
      'suits-ac': '{type} suits AC',
      'suits-dc': '{type} suits DC',
    },
    connector: {
      same: '{gun} plugs into {machine}: {own}',
      other: '{gun} has a {own}; {machine} has a {has}',
      'wired-in': '{machine} has its own {holder} wired in: nothing else plugs into it',
      'of-another': '{gun} is wired into another machine: it plugs into none',
    },
    'wire-size-fed': {
      outside: '{feeder} feeds {least} to {most}; {wire} is {size}',
      within: '{feeder} feeds {least} to {most}',
    },
    'spool-size': {
      takes: '{feeder} takes {takes|or} spools',
      other: '{wire} is on a {spool} spool; {feeder} takes {takes|or}',
    },
    'spool-mass': {
      heavier: 'A spool of {wire} weighs {mass}; {feeder} carries {most}',
      carries: '{feeder} carries the spool of {mass}',
    },
    'auto-program': {
      covered: 'A program covers {wire}, {gas}',
      'by-hand': 'No program for {wire}, {gas}: set volts and wire speed by hand',
      'no-pulse': 'No pulse program for {wire}, {gas}: the arc will not be steady without one',
    },
    'output-range': {
      set: 'Set the range switch to {mark} for {current}',
      between: 'No range of the switch has {current}: it lies between two of them',
    },
    'volts-tap': {
      near: 'Tap {mark}: {off} {way}',
      off: 'The nearest tap, {mark}, is {off} {way}: feed {feed}, about {current}, to suit it',
    },
    'tip-reach': {
      near: 'The nozzle lets the tip come as near as usual',
      far: 'In this corner the tip stays {least} from the root, usual is up to {usual}: {lost} less at the same wire speed',
    },
    'flow-bounds': {
      covers: '{flow} covers the pool',
      'meter-ends': 'The scale of the meter ends at {most}; the weld needs {flow}',
      tumbles: '{flow} through a bore of {bore} tumbles and draws air in: up to {most} leaves it smoothly',
      thin: '{flow} is thin: in still air at least {least}',
    },
    'return-volts': {
      measured: '{demand} between clamp and work: good up to {capacity}',
      lost: '{demand} between clamp and work, good is up to {capacity}: {heat} heat the clamp, and the arc burns with {lost} less',
    },
    'start-amps': {
      lights: 'The start current lights {tungsten}',
      'too-low': 'The start current ends at {most}: {tungsten} lights well from {lights} on',
      'too-high':
        'The start current is {least} at the least: thin sheet may burn through before the arc settles',
    },
    'roll-groove': {
      right: '{wanted} groove for {wire}',
      'smooth-on-cored':
        '{wire} wants a {wanted} groove, not {has}: it grips the soft tube without crushing it. Some run cored wire on a smooth V at low tension',
      'crushes-cored':
        '{wire} wants a {wanted} groove, not {has}: it grips the soft tube without crushing it',
      'shaves-aluminium':
        '{wire} wants a {wanted} groove, not {has}: a V shaves and flattens aluminium, a U does not',
      'slips-on-steel': '{wire} wants a {wanted} groove, not {has}: a U slips on steel wire',
      'v-on-aluminium':
        '{wire} runs best in a {wanted} groove; a {has} does for an occasional seam, at light tension',
      'knurl-on-stainless':
        '{wire} runs in a {wanted} groove; some makers feed stainless by a {has}, at light tension',
      'chews-solid':
        '{wire} wants a {wanted} groove, not {has}: knurls chew solid wire, and the chips fill the liner',
    },
    'roll-size': {
      same: 'Groove of {groove} for the wire',
      range: 'Groove for {from} to {groove}: it takes {size}',
      turned: 'Turn the roll to its groove of {groove}',
      'turned-range': 'Turn the roll to its groove for {from} to {groove}: it takes {size}',
      slips: 'Groove of {groove} and wire of {size}: it slips',
      neighbour:
        'Groove of {groove} and wire of {size}: many grooves are cut for both. Read the stamp, and set the tension anew',
      flattens: 'Groove of {groove} and wire of {size}: it flattens the wire',
    },
    'roll-system': {
      goes: '{roll} goes on {feeder}',
      other: '{feeder} takes rolls “{own}”; {roll} is for “{has}”',
    },
    'aluminium-path': {
      'spool-gun': 'A spool gun pushes aluminium a hand’s breadth: it feeds',
      'push-pull': 'Push-pull keeps aluminium taut all the way',
      buckles: '{wire} through {length} of ordinary gun buckles at the rolls: at most {most}, straight',
      'soft-buckles':
        'Soft {wire} through {length} of ordinary gun buckles at the rolls: at most {most}, straight',
      'too-soft': '{wire} is too soft to push through any ordinary gun',
      occasional:
        '{wire} through a short ordinary gun is for occasional work: lay the hose straight, tension light',
      'occasional-straight':
        '{wire} through a short ordinary gun is for occasional work: keep the hose straight, tension light',
    },
    'tip-bore': {
      same: 'Tip of {has} for the wire',
      'school-one-over': 'Tip of {has}, one size over: aluminium swells as it heats',
      'school-as-wire': 'Tip of {has}, the wire’s own size, as this shop has it',
      'against-one-over':
        'Tip of {has} is the wire’s own size: aluminium swells and may stick; this shop goes one over, {wanted}',
      'against-as-wire':
        'Tip of {has} is one size over; this shop takes the wire’s own, {wanted}, for better contact',
      'too-small': 'Tip of {has} is too small for {wire}: it wants {wanted}',
      'too-wide': 'Tip of {has} is too wide for {wire}: poor contact, burn-back; it wants {wanted}',
    },
    'nozzle-for-gas': {
      gasless: 'A gasless nozzle: better sight, and it shields the gas ports',
      'gas-on-self-shielded':
        'A gas nozzle on self-shielded wire: no harm, and it shields the gas ports; some take it off or use a gasless one to see better',
      'no-shroud': '{nozzle} has no gas shroud: {process} needs a gas nozzle',
      gas: 'A gas nozzle for a gas-shielded wire',
    },
    'liner-material': {
      'steel-for-aluminium': 'Aluminium through a steel liner is shaved and jams: polymer or graphite',
      slippery: 'A slippery liner for aluminium',
      steel: 'A steel liner for steel wire',
      'polymer-for-stainless': 'A polymer liner keeps stainless wire clean; it wears sooner than steel',
      'polymer-for-steel': 'Hard steel wire cuts a polymer or graphite liner: it wears fast',
    },
    'liner-size': {
      binds: 'The liner is for {least} to {most}: {wire} binds in it',
      wanders: 'The liner is for {least} to {most}: {wire} wanders in it and feeds in jerks',
      within: 'The liner is for {least} to {most}',
    },
    'liner-length': {
      'too-short': 'The liner is {liner} and the gun {gun}: it does not reach the tip',
      reaches: 'The liner is {liner}; cut it to the gun',
    },
    'liner-one-metal': {
      new: 'The liner is new: keep it for this metal',
      same: 'The liner has run this metal only',
      other: 'The liner has run {before}: what it left there gets into {now}. One metal per liner',
    },
    'tip-class': CLASSED,
    'nozzle-class': CLASSED,
    'collet-class': CLASSED,
    'collet-body-class': CLASSED,
    'cup-class': CLASSED,
    'back-cap-class': CLASSED,
    'wire-form': {
      right: '{wire} is a filler for {process}',
      other: '{wire} is a {form}; {process} wants a {wanted}',
    },
    'filler-for-metal': {
      'not-weldable': '{pair|to}: {why}',
      excluded: '{wire} is not for {pair|to}: {why}',
      unusual: '{wire} is not for {pair|to}: usual are {fillers}',
      'not-by-process': '{pair|to} is not welded by {process} in ordinary work',
      'needs-procedure': '{pair|to} needs a procedure. {why}',
      right: '{wire} is a filler for {pair|to}',
    },
    'wire-position': {
      'flat-only': '{wire} is for flat and horizontal only',
      'flat-alone': '{wire} is for the flat position alone, and the job has welds {position}',
      beyond: '{wire} is for flat and horizontal only, and the job has welds {position}',
      'upward-only':
        '{wire} is not for welds {position}: its slag runs ahead of the pool and stays in the weld',
    },
    'spray-transition': {
      sprays: 'This wire sprays above {transition}',
      'open-root':
        'A spray falls through a root opening of {gap}: back it, or close the root by short-circuit or TIG first',
      hotter:
        'This wire sprays only above {transition}, and the joint would do with {wants}: expect a hot, fluid pool, or take short-circuit or pulse',
      'burns-through':
        'This wire sprays only above {transition}, and the joint burns through from {most} on: take short-circuit, pulse or a thinner wire',
    },
    'spray-position': {
      holds: 'Spray holds in these positions',
      'runs-out':
        'Sprayed steel runs out of welds {position}: it holds in flat joints and horizontal fillets only, unless it is pulsed',
    },
    'least-preheat': {
      warm: '{thickness} of this steel needs {least} by {filler}; the job gives {has}',
      table:
        '{thickness} of this steel needs {least} by {filler}, before the arc and between passes; the job gives {has}',
      'carbon-equivalent':
        'This steel hardens: {thickness} of it needs {least} by {filler}, and slow cooling; the job gives {has}',
    },
    'back-purge': {
      purged: 'Argon on the back until the root is cool, about 150 °C (300 °F)',
      'fluxed-rod': '{wire} covers the back of the root by itself',
      accepted: 'No back purge: the root sugars, which an ordinary weld may accept',
      sugars: 'No back purge: air burns the back of a stainless root black and porous',
    },
    prequalified: {
      'short-circuit': 'AWS D1.1 does not prequalify short-circuit: it needs a qualified procedure',
      downward: 'AWS D1.1 prequalifies vertical welds upward only: downward needs a qualified procedure',
    },
    preheat: {
      'too-hot': 'Preheated to {temperature}, and this metal stands {most}. {why}',
      held: 'Preheated to {temperature}: measure it beside the joint, on both sides, and hold it between passes',
    },
    'weld-stands': {
      'leg-over-edge':
        'A leg of {is} is larger than the edge of {bound} that it is welded on: change one of them. Reckoned with {meanwhile} until then',
      'leg-over-corner':
        'A leg of {is} is larger than the thinner part of {bound} at this corner: change one of them. Reckoned with {meanwhile} until then',
      'leg-over-flare':
        'A fill of {is} is deeper than the flare of {bound}: change one of them, or leave it empty for flush. Reckoned with {meanwhile} until then',
      'face-over-part':
        'A root face of {is} leaves no groove in a part of {bound}: make it smaller, or choose a square joint. Reckoned without a face until then',
      'radius-over-groove':
        'A root radius of {is} is deeper than the groove of {bound}: make it smaller. Reckoned with {meanwhile} until then',
      'wall-over-radius':
        'A wall of {is} does not go into a tube of {bound} radius: change one of them. Reckoned with {meanwhile} until then',
      'branch-over-header':
        'A branch of {is} is larger than the tube of {bound} that it sits on: change one of them. Reckoned with {meanwhile} until then',
      'slot-under-width':
        'A slot {is} long is shorter than its width of {bound}: make it longer, or choose a plug. Reckoned with {meanwhile} until then',
      'passes-too-thin':
        '{is} passes leave less than a leg of 1 mm (0.04 in) to each; {bound} is the most for this leg. Reckoned with {meanwhile} until then',
    },
    'square-depth': {
      reaches: 'The arc reaches through a square joint of {most}',
      bevel: 'The arc does not reach the root of a square joint of {thickness}, only of {most}: bevel it',
    },
    'cored-class': {
      within: '{wire} joins parts up to {most}',
      'single-pass': '{wire} is for a single pass: a second one over it cracks',
      'too-thick': '{wire} is for parts up to {most}',
    },
    'cored-position': {
      holds: 'Out of position this wire holds up to {most}',
      runs: 'Out of position this wire holds its pool up to {most}; the weld wants {wants}',
    },
    travel: {
      'by-hand': 'A hand keeps up with it',
      'too-fast':
        'Even turned down, the bead asks for {travel} of travel, and a hand keeps up to {most}: it comes out larger than it was asked for',
      'too-slow': 'The bead asks for {travel} of travel: below {least} the pool piles up and rolls over cold',
    },
    'short-circuit-depth': {
      'may-not-fuse':
        'Short-circuit above {most} of steel may not fuse: use spray or flux-cored, or a qualified procedure',
      downward:
        'Short-circuit run downward laps over cold on steel above {most}: its pool runs ahead of the arc',
      fuses: 'Short-circuit fuses steel up to {most}',
      aluminium: 'Short-circuit laps cold on aluminium: spray or pulse it',
    },
    'gas-for-process': {
      'takes-none': 'Self-shielded wire takes no gas: close the cylinder',
      inert: '{gas} is inert',
      burns: 'TIG wants pure argon: {gas} burns the tungsten',
    },
    'gas-for-metal': {
      oxidises: 'Aluminium wants pure argon: {gas} oxidises it',
      wanders: 'Steel wire wanders in inert gas: use an argon mix or CO₂ instead of {gas}',
      'wanders-stainless':
        'Stainless wire wanders in {gas} and piles up: it wants a little CO₂ or oxygen in the gas',
      corrodes: '{gas} takes the corrosion resistance out of stainless: CO₂ of {most} at most',
      suits: '{gas} suits the metal',
    },
    'gas-for-spray': {
      'never-sprays': 'With {share} CO₂ steel never sprays: use at least 80 % argon',
      sprays: '{share} CO₂ lets steel spray',
    },
    'gas-of-wire': {
      'made-for': '{wire} is made for {wanted}',
      'not-made-for': '{wire} is made for {wanted}, not {gas}',
    },
    wind: {
      blows: 'Wind of {wind} blows the gas away above {most}: screen the weld or use self-shielded wire',
      still: 'Wind of {wind} leaves the gas where it is, up to {most}',
    },
    'gas-fitting': {
      fits: '{meter} fits the valve for {wanted}',
      other: '{meter} fits the valve for {has|and}; {gas} has the valve for {wanted}',
    },
    'flow-scale': {
      true: 'Read the {scale} scale: true for {gas} within {within}',
      'reads-low': 'The {scale} scale reads low on {gas}: for {truth} set {reading}',
      'reads-high': 'The {scale} scale reads high on {gas}: for {truth} set {reading}',
    },
    'regulator-freezing': {
      heated: '{meter} is heated: it does not freeze',
      'may-freeze': 'CO₂ at {flow} may freeze a regulator without heater, from about {most} on',
      flows: 'CO₂ at {flow} does not freeze the regulator, up to about {most}',
    },
    'wire-use': {
      measured: 'The job uses {demand}; on the shelf {capacity}',
      'wire-stock': 'The job uses {demand}. Not judged: nobody has counted {wire}',
    },
    'gas-use': {
      measured: 'The job uses {demand}; left in the cylinder {capacity}',
      'gas-left': 'The job uses {demand}. Not judged: nobody has read the gauge of {gas}',
    },
    'tungsten-use': {
      measured: 'The job grinds away {demand}; in the drawer {capacity}',
      'tungsten-stock': 'The job grinds away {demand}. Not judged: nobody has counted {tungsten}',
    },
    'time-use': {
      measured: 'The job takes {demand}; set aside {capacity}',
      hours: 'The job takes {demand}. Not judged: no hours are set aside for it',
    },
  },

  notKnown: 'Not known: {missing}',
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

  sources: { 'from-memory': '{text} (from memory)', plain: '{text}' },
}
