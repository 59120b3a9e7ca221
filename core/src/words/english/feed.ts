/** What the wire runs through. */
import type { CriterionWords } from '../language.ts'

export const FEED: Readonly<Record<string, CriterionWords>> = {
  connector: {
    title: 'Connector',
    sentences: {
      same: '{gun} plugs into {machine}: {own}',
      other: '{gun} has a {own}; {machine} has a {has}',
      'wired-in': '{machine} has its own {holder} wired in: nothing else plugs into it',
      'of-another': '{gun} is wired into another machine: it plugs into none',
    },
  },
  'wire-size-fed': {
    title: 'Wire sizes of the feeder',
    sentences: {
      outside: '{feeder} feeds {least} to {most}; {wire} is {size}',
      within: '{feeder} feeds {least} to {most}',
    },
  },
  'spool-size': {
    title: 'Spool size',
    sentences: {
      takes: '{feeder} takes {takes|or} spools',
      other: '{wire} is on a {spool} spool; {feeder} takes {takes|or}',
    },
  },
  'spool-mass': {
    title: 'Spool weight',
    sentences: {
      heavier: 'A spool of {wire} weighs {mass}; {feeder} carries {most}',
      carries: '{feeder} carries the spool of {mass}',
    },
  },
  'roll-groove': {
    title: 'Groove of the rolls',
    sentences: {
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
  },
  'roll-size': {
    title: 'Size of the rolls',
    sentences: {
      same: 'Groove of {groove} for the wire',
      range: 'Groove for {from} to {groove}: it takes {size}',
      turned: 'Turn the roll to its groove of {groove}',
      'turned-range': 'Turn the roll to its groove for {from} to {groove}: it takes {size}',
      slips: 'Groove of {groove} and wire of {size}: it slips',
      neighbour:
        'Groove of {groove} and wire of {size}: many grooves are cut for both. Read the stamp, and set the tension anew',
      flattens: 'Groove of {groove} and wire of {size}: it flattens the wire',
    },
  },
  'roll-system': {
    title: 'Rolls for the drive',
    sentences: {
      goes: '{roll} goes on {feeder}',
      other: '{feeder} takes rolls “{own}”; {roll} is for “{has}”',
    },
  },
  'aluminium-path': {
    title: 'Feeding aluminium',
    sentences: {
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
  },
  'tip-bore': {
    title: 'Contact tip',
    sentences: {
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
  },
  'nozzle-for-gas': {
    title: 'Nozzle',
    sentences: {
      gasless: 'A gasless nozzle: better sight, and it shields the gas ports',
      'gas-on-self-shielded':
        'A gas nozzle on self-shielded wire: no harm, and it shields the gas ports; some take it off or use a gasless one to see better',
      'no-shroud': '{nozzle} has no gas shroud: {process} needs a gas nozzle',
      gas: 'A gas nozzle for a gas-shielded wire',
    },
  },
  'liner-material': {
    title: 'Liner kind',
    sentences: {
      'steel-for-aluminium': 'Aluminium through a steel liner is shaved and jams: polymer or graphite',
      slippery: 'A slippery liner for aluminium',
      steel: 'A steel liner for steel wire',
      'polymer-for-stainless': 'A polymer liner keeps stainless wire clean; it wears sooner than steel',
      'polymer-for-steel': 'Hard steel wire cuts a polymer or graphite liner: it wears fast',
    },
  },
  'liner-size': {
    title: 'Liner size',
    sentences: {
      binds: 'The liner is for {least} to {most}: {wire} binds in it',
      wanders: 'The liner is for {least} to {most}: {wire} wanders in it and feeds in jerks',
      within: 'The liner is for {least} to {most}',
    },
  },
  'liner-length': {
    title: 'Liner length',
    sentences: {
      'too-short': 'The liner is {liner} and the gun {gun}: it does not reach the tip',
      reaches: 'The liner is {liner}; cut it to the gun',
    },
  },
  'liner-one-metal': {
    title: 'One metal per liner',
    sentences: {
      new: 'The liner is new: keep it for this metal',
      same: 'The liner has run this metal only',
      other: 'The liner has run {before}: what it left there gets into {now}. One metal per liner',
    },
  },
}
