/** The feed path of the wire. */
import type { CriterionWords } from '../language.ts'

export const FEED: Readonly<Record<string, CriterionWords>> = {
  connector: {
    title: 'Connector',
    sentences: {
      same: '{gun} plugs into {machine}: {own}',
      other: '{gun} has a {own}. {machine} has a {has}',
      'wired-in': 'The {holder} of {machine} is wired in. Nothing else plugs in',
      'of-another': '{gun} is wired into another machine. It plugs into none',
    },
  },
  'wire-size-fed': {
    title: 'Wire sizes of the feeder',
    sentences: {
      outside: '{feeder} feeds {least} to {most}. {wire} is {size}',
      within: '{feeder} feeds {least} to {most}',
    },
  },
  'spool-size': {
    title: 'Spool size',
    sentences: {
      takes: '{feeder} takes {takes|or} spools',
      other: '{wire} is on a {spool} spool. {feeder} takes {takes|or}',
    },
  },
  'spool-mass': {
    title: 'Spool weight',
    sentences: {
      heavier: 'A spool of {wire} weighs {mass}. {feeder} carries {most}',
      carries: '{feeder} carries the spool of {mass}',
    },
  },
  'roll-groove': {
    title: 'Drive roll groove',
    sentences: {
      right: '{wanted} groove for {wire}',
      'smooth-on-cored':
        '{wire} needs a {wanted} groove, not {has}. Knurls grip the soft tube. Some run cored wire on a smooth V at low tension',
      'crushes-cored':
        '{wire} needs a {wanted} groove, not {has}. Knurls grip the soft tube without crushing it',
      'shaves-aluminium':
        '{wire} needs a {wanted} groove, not {has}. A V groove shaves and flattens aluminium',
      'slips-on-steel': '{wire} needs a {wanted} groove, not {has}. A U groove slips on steel wire',
      'v-on-aluminium':
        '{wire} runs best in a {wanted} groove. A {has} groove does for an occasional seam at light tension',
      'knurl-on-stainless':
        '{wire} runs in a {wanted} groove. Some makers feed stainless on a {has} groove at light tension',
      'chews-solid':
        '{wire} needs a {wanted} groove, not {has}. Knurls chew solid wire, and the chips fill the liner',
    },
  },
  'roll-size': {
    title: 'Drive roll size',
    sentences: {
      same: '{groove} groove for the wire',
      range: 'Groove for {from} to {groove}. It takes {size}',
      turned: 'Turn the roll to its {groove} groove',
      'turned-range': 'Turn the roll to its groove for {from} to {groove}. It takes {size}',
      slips: 'The groove is {groove}, the wire {size}. It slips',
      neighbour:
        'The groove is {groove}, the wire {size}. Many grooves fit both. Read the stamp, and set the tension again',
      flattens: 'The groove is {groove}, the wire {size}. It flattens the wire',
    },
  },
  'roll-system': {
    title: 'Rolls for the drive',
    sentences: {
      goes: '{roll} fits {feeder}',
      other: '{feeder} takes rolls “{own}”. {roll} is for “{has}”',
    },
  },
  'aluminium-path': {
    title: 'Feeding aluminium',
    sentences: {
      'spool-gun': 'A spool gun pushes aluminium only a few inches. It feeds well',
      'push-pull': 'A push-pull gun keeps aluminium taut all the way',
      buckles: '{wire} buckles at the rolls with {length} of ordinary gun. At most {most}, laid straight',
      'soft-buckles':
        'Soft {wire} buckles at the rolls with {length} of ordinary gun. At most {most}, laid straight',
      'too-soft': '{wire} is too soft for an ordinary gun',
      occasional:
        '{wire} through a short ordinary gun is for occasional work. Lay the hose straight, at light tension',
      'occasional-straight':
        '{wire} through a short ordinary gun is for occasional work. Keep the hose straight, at light tension',
    },
  },
  'tip-bore': {
    title: 'Contact tip',
    sentences: {
      same: 'Tip {has} for the wire',
      'school-one-over': 'Tip {has}, one size over. Aluminium swells as it heats',
      'school-as-wire': 'Tip {has}, the size of the wire, as this shop prefers',
      'against-one-over':
        'Tip {has} is the size of the wire. Aluminium swells and may stick. This shop prefers one size over, {wanted}',
      'against-as-wire':
        'Tip {has} is one size over. This shop prefers the size of the wire, {wanted}, for better contact',
      'too-small': 'Tip {has} is too small for {wire}. It needs {wanted}',
      'too-wide': 'Tip {has} is too wide for {wire}: poor contact and burn-back. It needs {wanted}',
    },
  },
  'nozzle-for-gas': {
    title: 'Nozzle',
    sentences: {
      gasless: 'A gasless nozzle. You see more, and it protects the gas ports',
      'gas-on-self-shielded': 'A gas nozzle on self-shielded wire does no harm. Some take it off to see more',
      'no-shroud': '{nozzle} has no gas shroud. {process} needs a gas nozzle',
      gas: 'A gas nozzle for a gas-shielded wire',
    },
  },
  'liner-material': {
    title: 'Liner material',
    sentences: {
      'steel-for-aluminium': 'A steel liner shaves aluminium and jams. Use polymer or graphite',
      slippery: 'A slippery liner for aluminium',
      steel: 'A steel liner for steel wire',
      'polymer-for-stainless': 'A polymer liner keeps stainless wire clean. It wears sooner than steel',
      'polymer-for-steel': 'Hard steel wire cuts a polymer or graphite liner. It wears fast',
    },
  },
  'liner-size': {
    title: 'Liner size',
    sentences: {
      binds: 'The liner is for {least} to {most}. {wire} binds in it',
      wanders: 'The liner is for {least} to {most}. {wire} wanders in it and feeds in jerks',
      within: 'The liner is for {least} to {most}',
    },
  },
  'liner-length': {
    title: 'Liner length',
    sentences: {
      'too-short': 'The liner is {liner}, the gun {gun}. The liner ends short of the tip',
      reaches: 'The liner is {liner}. Cut it to the gun',
    },
  },
  'liner-one-metal': {
    title: 'One metal per liner',
    sentences: {
      new: 'The liner is new. Keep it for this metal',
      same: 'The liner has run this metal only',
      other: 'The liner has run {before}. Its dust gets into {now}. Keep one liner per metal',
    },
  },
}
