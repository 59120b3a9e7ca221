/** The words of the trade as the screens use them, each in a sentence or two. The palette finds them. */

export interface Term {
  readonly term: string
  /** Other names for it. */
  readonly also?: string
  readonly meaning: string
}

export const GLOSSARY: readonly Term[] = [
  { term: 'Ampacity', meaning: 'The current that a conductor carries continuously without overheating.' },
  {
    term: 'Back purge',
    meaning: 'Shielding gas behind the root of stainless tube. It keeps the root bright and free of scale.',
  },
  { term: 'Backing', meaning: 'A strip or bar behind the root opening. It holds up the root pass.' },
  {
    term: 'Branch circuit',
    also: 'circuit',
    meaning: 'The conductors from one breaker to one outlet, with that breaker and that outlet.',
  },
  {
    term: 'CJP and PJP',
    also: 'complete, partial joint penetration',
    meaning:
      'A CJP groove weld goes through the full thickness. A PJP groove weld stops short of it, by design.',
  },
  {
    term: 'Collet and cup',
    also: 'gas lens',
    meaning: 'The collet grips the tungsten, the cup guides the gas. A gas lens smooths the flow.',
  },
  {
    term: 'Contact tip to work distance',
    also: 'CTWD, stickout',
    meaning: 'From the end of the contact tip to the work. Stickout is the bare wire, without the arc.',
  },
  {
    term: 'Continuous equivalent current',
    also: 'effective input current, I1eff',
    meaning:
      'The steady current that heats a breaker or a conductor as much as your welding with its pauses does.',
  },
  {
    term: 'DCEN, DCEP and AC',
    also: 'polarity, straight, reverse',
    meaning:
      'DCEP: electrode positive, for solid wire and most rods. DCEN: electrode negative, for TIG on steel and for most self-shielded wire. AC: TIG on aluminium.',
  },
  {
    term: 'Drive rolls',
    also: 'groove, V, U, knurled',
    meaning:
      'They push the wire. Smooth V for solid steel, U for aluminium, knurled for cored wire. The groove must match the wire size.',
  },
  {
    term: 'Duty cycle',
    meaning:
      'The share of ten minutes that a machine may weld at a given current. At 30 %: 3 min of arc, 7 min of rest.',
  },
  {
    term: 'Feeder',
    also: 'wire feeder',
    meaning: 'The drive that feeds wire. In wiring, the conductors between two panels.',
  },
  {
    term: 'Fillet weld',
    also: 'leg, throat',
    meaning:
      'A weld in a corner. The leg is its side along each part. The throat is the shortest way through it.',
  },
  {
    term: 'Groove weld',
    also: 'butt, bevel, V',
    meaning: 'A weld between edges, prepared or square. Its size is its depth.',
  },
  {
    term: 'Heat input',
    meaning:
      'Energy that the arc puts into each length of weld. It rises with amps and volts and falls with speed.',
  },
  {
    term: 'Inductance',
    also: 'arc control',
    meaning: 'It slows the rise of current in a short circuit. More of it: softer arc, less spatter.',
  },
  {
    term: 'Input current',
    also: 'I1max, rated input current',
    meaning: 'What the machine draws from the outlet. The data plate gives it at the rated output.',
  },
  {
    term: 'Inrush',
    meaning:
      'A short surge when a machine or a motor is switched on. It may trip a breaker that would hold the welding.',
  },
  {
    term: 'Interpass temperature',
    meaning: 'How hot the joint may be before the next pass. Let it cool down to that first.',
  },
  {
    term: 'Liner',
    meaning: 'The tube inside the gun cable that guides the wire. PTFE for aluminium, steel for steel.',
  },
  {
    term: 'Open-circuit voltage',
    also: 'OCV',
    meaning: 'Voltage at the terminals with no arc. It helps a rod to start.',
  },
  {
    term: 'Preheat',
    meaning: 'Heat before welding. It slows the cooling of thick or hard steel, so that it does not crack.',
  },
  {
    term: 'Process',
    also: 'MIG GMAW, flux-cored FCAW, TIG GTAW, stick SMAW',
    meaning: 'MIG is GMAW, flux-cored is FCAW, TIG is GTAW, stick is SMAW.',
  },
  { term: 'Root opening', also: 'gap', meaning: 'The gap between the edges at the root.' },
  { term: 'Root face', also: 'land', meaning: 'The blunt part of a prepared edge, at the root.' },
  {
    term: 'Set-up',
    meaning: 'Circuit, power source, gun, wire or tungsten, gas and small parts that you use together.',
  },
  {
    term: 'Shielding gas',
    also: 'C25, mix, argon, flow rate, CFH',
    meaning: 'Keeps air off the arc and the puddle. C25 is 75 % argon with 25 % CO₂.',
  },
  {
    term: 'Spool gun and push-pull',
    meaning: 'Guns with a drive in the handle. Soft aluminium wire feeds through them without a bird’s nest.',
  },
  {
    term: 'Transfer',
    also: 'short circuit, spray, globular, pulse',
    meaning:
      'How metal crosses the arc. Short circuit: thin parts, all positions. Spray: hot, flat and horizontal, needs a rich argon mix.',
  },
  { term: 'Travel speed', meaning: 'How fast the arc moves along the joint.' },
  {
    term: 'Verdict',
    also: 'fits, tight, fails, unknown',
    meaning:
      'Fits: every check passes. Tight: it works with little to spare. Fails: a check fails. Unknown: something is not recorded.',
  },
  {
    term: 'Voltage drop',
    meaning: 'Voltage used up in cords and conductors. The arc gets weaker and the input current rises.',
  },
  { term: 'Weakest link', meaning: 'The part of a set-up that fails first on this job.' },
  {
    term: 'Wire feed speed',
    also: 'WFS',
    meaning: 'How fast wire leaves the gun. On a wire machine it sets the current.',
  },
]
