/**
 * The rules as a table of cases, each against the trade: the sources stand beside them. Where no text could be
 * looked up the case says so.
 */
import { USUAL_RUN } from '../kinds/usualRun.ts'
import { describe, expect, it } from 'vitest'
import type { Gun, PowerSource, Wire } from '../kinds/equipment.ts'
import type { Verdict } from '../model/verdict.ts'
import {
  sampleCapability,
  sampleFeeder,
  sampleGas,
  sampleGun,
  samplePart,
  samplePowerSource,
  sampleRoll,
  sampleSupply,
  sampleTungsten,
  sampleWire,
} from '../testing/equipment.ts'
import type { Capability } from '../capability/capability.ts'
import type { Demand } from '../demand/demand.ts'
import { sampleDemand } from '../testing/demand.ts'
import { mendText } from '../words/mends.ts'
import { sentenceOf, speechOf } from '../words/speech.ts'
import { criterionOf, assess, mendsOf } from './index.ts'

type Change = NonNullable<Parameters<typeof sampleCapability>[0]> & { readonly demand?: Demand }
type Case = readonly [what: string, change: Change, verdict: Verdict | null]

const sidesOf = ({ demand = undefined, ...part }: Change): [Capability, Demand | null] => [
  sampleCapability(part),
  demand ?? null,
]
const assessed = (id: string, change: Change) => criterionOf(id).assess(...sidesOf(change))
const verdictOf = (id: string, change: Change): Verdict | null => assessed(id, change)?.verdict ?? null
const said = (id: string, change: Change): string => {
  const assessment = assessed(id, change)
  return assessment ? sentenceOf(speechOf(sampleCapability(change).shop), assessment) : ''
}

const wire = (part: Partial<Wire>): Change => ({ wire: sampleWire(part) })
const aluminium = (part: Partial<Wire> = {}) =>
  sampleWire({ metal: 'aluminium', classification: 'ER5356', ...part })
/** A roll that is turned round: solid steel one way, aluminium and thicker steel the other. */
const threeGrooves = samplePart('drive-roll', {
  grooves: [
    { form: 'u', wireMinMm: 0.889, wireMaxMm: 0.889 },
    { form: 'v-smooth', wireMinMm: 0.762, wireMaxMm: 0.889 },
    { form: 'v-smooth', wireMinMm: 1.016, wireMaxMm: 1.143 },
  ],
})
const cored = (part: Partial<Wire> = {}) =>
  sampleWire({ form: 'cored-self-shielded', classification: 'E71T-11', polarity: 'dcen', ...part })
const source = (part: Partial<PowerSource>) => samplePowerSource(part)
const gun = (part: Partial<Gun>) => sampleGun(part)
const tig = (change: Change = {}): Change => ({
  process: 'gtaw-dc',
  polarity: 'dcen',
  wire: null,
  gas: sampleGas({ name: 'Argon', argonPct: 100, co2Pct: 0 }),
  gun: sampleGun({ kind: 'torch', connector: 'twist-50' }),
  tungsten: sampleTungsten(),
  ...change,
})
const tigSource = (part: Partial<PowerSource> = {}) =>
  samplePowerSource({
    processes: [
      {
        family: 'gtaw',
        outputs: ['dc'],
        pulse: false,
        claimMinMm: null,
        claimMaxMm: null,
        supplies: [sampleSupply()],
      },
    ],
    start: ['lift'],
    gasValve: true,
    torchConnector: 'twist-50',
    ...part,
  })
/** Common practice, no source, unless a case names one. */
const TABLE: Readonly<Record<string, readonly Case[]>> = {
  // The plate, IEC 60974-1.
  'rated-for-process': [
    ['MIG on a MIG source', {}, 'fits'],
    ['TIG on a MIG source', tig({ powerSource: source({}) }), 'fails'],
    [
      'aluminium TIG on a DC-only source',
      tig({ process: 'gtaw-ac', polarity: 'ac', powerSource: tigSource() }),
      'fails',
    ],
  ],
  'supply-voltage': [
    ['230 V on 240 V: within 10 % (IEC 60974-1)', {}, 'fits'],
    [
      '230 V plate on 120 V',
      {
        circuit: {
          id: 'c',
          name: 'c',
          voltageV: 120,
          phases: 1,
          breakerA: 20,
          conductorSize: '12 AWG',
          columnC: 75,
          ...USUAL_RUN,
          held: 'owned',
          price: null,
          lengthMm: 1000,
        },
      },
      'fails',
    ],
    [
      'single-phase plate on three phases',
      {
        circuit: {
          id: 'c',
          name: 'c',
          voltageV: 230,
          phases: 3,
          breakerA: 20,
          conductorSize: '12 AWG',
          columnC: 75,
          ...USUAL_RUN,
          held: 'owned',
          price: null,
          lengthMm: 1000,
        },
      },
      'fails',
    ],
  ],
  'wave-for-metal': [
    ['aluminium rod on DC', tig({ wire: aluminium({ form: 'rod' }) }), 'fails'],
    ['steel rod on DC', tig({ wire: sampleWire({ form: 'rod' }) }), null],
    [
      'aluminium rod on AC',
      tig({ process: 'gtaw-ac', polarity: 'ac', wire: aluminium({ form: 'rod' }) }),
      null,
    ],
  ],
  // Welding handbooks, from memory: DCEN for steel and stainless, AC the second choice; AC for aluminium.
  'dc-for-metal': [
    [
      'steel rod on AC',
      tig({ process: 'gtaw-ac', polarity: 'ac', wire: sampleWire({ form: 'rod' }) }),
      'tight',
    ],
    ['steel rod on DC', tig({ wire: sampleWire({ form: 'rod' }) }), null],
    [
      'aluminium rod on AC',
      tig({ process: 'gtaw-ac', polarity: 'ac', wire: aluminium({ form: 'rod' }) }),
      null,
    ],
  ],
  'ac-control': [
    [
      'an inverter with balance',
      tig({
        process: 'gtaw-ac',
        powerSource: tigSource({
          processes: [
            {
              family: 'gtaw',
              outputs: ['ac'],
              pulse: false,
              claimMinMm: null,
              claimMaxMm: null,
              supplies: [sampleSupply()],
            },
          ],
          acBalance: { minPct: 20, maxPct: 40 },
        }),
      }),
      'fits',
    ],
    [
      'an old transformer',
      tig({
        process: 'gtaw-ac',
        powerSource: tigSource({
          processes: [
            {
              family: 'gtaw',
              outputs: ['ac'],
              pulse: false,
              claimMinMm: null,
              claimMaxMm: null,
              supplies: [sampleSupply()],
            },
          ],
        }),
      }),
      'tight',
    ],
  ],
  'start-method': [
    ['lift wanted, lift there', tig({ powerSource: tigSource(), start: 'lift' }), 'fits'],
    [
      'high frequency wanted, lift there',
      tig({ powerSource: tigSource(), start: 'high-frequency' }),
      'fails',
    ],
    ['nothing wanted', tig({ powerSource: tigSource() }), 'fits'],
    ['the plate does not say', tig({ powerSource: tigSource({ start: [] }) }), 'unknown'],
  ],
  // IEC 60974-10, electromagnetic compatibility (from memory).
  'electronics-near': [
    [
      'high frequency beside controls',
      tig({ powerSource: tigSource({ start: ['high-frequency'] }), electronicsNear: true }),
      'fails',
    ],
    [
      'lift chosen on a source with both',
      tig({
        powerSource: tigSource({ start: ['high-frequency', 'lift'] }),
        start: 'lift',
        electronicsNear: true,
      }),
      'fits',
    ],
    ['no electronics near', tig({ powerSource: tigSource({ start: ['high-frequency'] }) }), null],
  ],
  'source-range': [
    ['22 ga on a source from 20 A', { demand: sampleDemand({ leastA: 12 }) }, 'fails'],
    [
      'a lowest stable current above the least output',
      { powerSource: source({ lowestStableA: 40 }), demand: sampleDemand({ leastA: 25 }) },
      'fails',
    ],
    [
      'a little hotter than wanted, and not so hot that it burns through',
      { powerSource: source({ lowestStableA: 40 }), demand: sampleDemand({ leastA: 30 }) },
      'tight',
    ],
    ['well above', { demand: sampleDemand({ leastA: 60 }) }, 'fits'],
  ],
  // Trade reference, section 2: solid wire DCEP, self-shielded mostly DCEN by the wire's own data.
  polarity: [
    ['solid wire on DCEP', {}, 'fits'],
    ['solid wire on DCEN', { polarity: 'dcen' }, 'fails'],
    ['TIG on DCEP', tig({ polarity: 'dcep' }), 'fails'],
    ['TIG steel on DCEN', tig(), 'fits'],
  ],
  'polarity-of-wire': [
    ['self-shielded by its data on DCEN', { process: 'fcaw-s', polarity: 'dcen', wire: cored() }, 'fits'],
    ['self-shielded on DCEP', { process: 'fcaw-s', polarity: 'dcep', wire: cored() }, 'fails'],
    [
      'a self-shielded wire made for DCEP',
      { process: 'fcaw-s', polarity: 'dcep', wire: cored({ polarity: 'dcep' }) },
      'fits',
    ],
    ['a wire without data of its own', {}, null],
  ],
  'polarity-reach': [
    [
      'a small machine wired for DCEN, solid wire',
      { powerSource: source({ polarityChange: 'fixed-dcen' }) },
      'fails',
    ],
    [
      'the same with self-shielded wire',
      {
        process: 'fcaw-s',
        polarity: 'dcen',
        wire: cored(),
        powerSource: source({ polarityChange: 'fixed-dcen' }),
      },
      'fits',
    ],
    ['leads to swap', { powerSource: source({ polarityChange: 'leads' }) }, 'fits'],
  ],
  'gas-control': [
    [
      'a valve torch on a source without valve wastes gas',
      tig({ powerSource: tigSource({ gasValve: false }), gun: gun({ kind: 'torch', valve: true }) }),
      'tight',
    ],
    [
      'no valve anywhere',
      tig({ powerSource: tigSource({ gasValve: false }), gun: gun({ kind: 'torch', valve: false }) }),
      'fails',
    ],
    ['the source switches it', tig({ powerSource: tigSource() }), 'fits'],
  ],
  'gun-kind': [
    ['a torch on wire', { gun: gun({ kind: 'torch' }) }, 'fails'],
    ['a gun on wire', {}, 'fits'],
  ],
  // IEC 60974-7: a gun carries less in argon mixes than in CO₂.
  'gun-duty': [
    [
      '150 A CO₂ gun in a mix, job of 130 A',
      {
        gun: gun({ ratings: [{ gas: 'co2', wave: 'dc', currentA: 150, dutyPct: 60 }] }),
        demand: sampleDemand({ mostA: 130, dutyPct: 60 }),
      },
      'tight',
    ],
    [
      'the same, job of 200 A: no rest is long enough',
      {
        gun: gun({ ratings: [{ gas: 'co2', wave: 'dc', currentA: 150, dutyPct: 60 }] }),
        demand: sampleDemand({ mostA: 200, dutyPct: 60 }),
      },
      'fails',
    ],
    [
      'its own rating in argon, where it has one (IEC 60974-7)',
      {
        gas: sampleGas({ argonPct: 100, co2Pct: 0 }),
        gun: gun({
          ratings: [
            { gas: 'mixed', wave: 'dc', currentA: 90, dutyPct: 60 },
            { gas: 'argon', wave: 'dc', currentA: 150, dutyPct: 60 },
          ],
        }),
        demand: sampleDemand({ mostA: 130, dutyPct: 60 }),
      },
      'fits',
    ],
    [
      'the same in CO₂',
      {
        gas: sampleGas({ argonPct: 0, co2Pct: 100 }),
        gun: gun({ ratings: [{ gas: 'co2', wave: 'dc', currentA: 150, dutyPct: 60 }] }),
        demand: sampleDemand({ mostA: 130, dutyPct: 60 }),
      },
      'fits',
    ],
    // IEC 60974-7: a torch has a rating for each wave.
    [
      'a torch without an AC rating on AC',
      tig({
        process: 'gtaw-ac',
        gun: gun({ kind: 'torch', ratings: [{ gas: 'argon', wave: 'dc', currentA: 150, dutyPct: 60 }] }),
      }),
      'unknown',
    ],
    [
      'a 125 A torch, job of 150 A',
      tig({
        gun: gun({ kind: 'torch', ratings: [{ gas: 'argon', wave: 'dc', currentA: 125, dutyPct: 60 }] }),
        demand: sampleDemand({ mostA: 150, dutyPct: 60 }),
      }),
      'tight',
    ],
    [
      'a 125 A torch, job of 280 A',
      tig({
        gun: gun({ kind: 'torch', ratings: [{ gas: 'argon', wave: 'dc', currentA: 125, dutyPct: 60 }] }),
        demand: sampleDemand({ mostA: 280, dutyPct: 60 }),
      }),
      'fails',
    ],
  ],
  // Without a job: 1/16 in steel wire starts at some 160 A (wire ranges, from memory).
  'gun-for-wire': [
    [
      'a thick wire on a light gun',
      {
        ...wire({ diameterMm: 1.5875 }),
        gun: gun({ ratings: [{ gas: 'co2', wave: 'dc', currentA: 150, dutyPct: 60 }] }),
      },
      'fails',
    ],
    ['a thin wire on it', { ...wire({ diameterMm: 0.8 }) }, 'fits'],
    ['with a job, the job says what is wanted', { demand: sampleDemand({}) }, null],
    ['TIG', tig(), null],
  ],
  'water-cooling': [
    [
      'water-cooled without a cooler',
      { gun: gun({ cooling: 'water' }), powerSource: source({ waterCooler: false }) },
      'fails',
    ],
    ['with one', { gun: gun({ cooling: 'water' }), powerSource: source({ waterCooler: true }) }, 'fits'],
    ['not set', { gun: gun({ cooling: 'water' }) }, 'unknown'],
    ['air-cooled', {}, null],
  ],
  // Trade reference, section 10: rolls.
  'roll-groove': [
    ['smooth V for solid', { roll: samplePart('drive-roll') }, 'fits'],
    ['knurled V for solid', { roll: sampleRoll('v-knurled') }, 'fails'],
    ['U for steel', { roll: sampleRoll('u') }, 'fails'],
    ['knurled V for cored', { process: 'fcaw-s', wire: cored(), roll: sampleRoll('v-knurled') }, 'fits'],
    [
      'smooth V for cored: some do',
      { process: 'fcaw-s', wire: cored(), roll: samplePart('drive-roll') },
      'tight',
    ],
    ['U for aluminium', { wire: aluminium(), roll: sampleRoll('u') }, 'fits'],
    // Common practice, no source: hard 5356 now and then, soft 4043 never.
    [
      'smooth V for 5356',
      {
        wire: sampleWire({ metal: 'aluminium', classification: 'ER5356' }),
        roll: samplePart('drive-roll'),
      },
      'tight',
    ],
    [
      'smooth V for 4043',
      {
        wire: sampleWire({ metal: 'aluminium', classification: 'ER4043' }),
        roll: samplePart('drive-roll'),
      },
      'fails',
    ],
    ['knurled V for aluminium', { wire: aluminium(), roll: sampleRoll('v-knurled') }, 'fails'],
    [
      'knurled V for stainless: some makers’ way',
      { wire: sampleWire({ metal: 'stainless' }), roll: sampleRoll('v-knurled') },
      'tight',
    ],
    [
      'smooth V for stainless',
      { wire: sampleWire({ metal: 'stainless' }), roll: samplePart('drive-roll') },
      'fits',
    ],
  ],
  'roll-size': [
    ['0.9 mm groove, 0.035 in wire', { roll: sampleRoll('v-smooth', 0.9) }, 'fits'],
    ['0.045 groove, 0.035 wire', { roll: sampleRoll('v-smooth', 1.143) }, 'fails'],
    // Common practice, no source: one groove is often cut for both.
    ['0.030 groove, 0.035 wire', { roll: sampleRoll('v-smooth', 0.762) }, 'tight'],
    ['0.023 groove, 0.035 wire', { roll: sampleRoll('v-smooth', 0.584) }, 'fails'],
    [
      '0.040 groove, 0.045 wire',
      { wire: sampleWire({ diameterMm: 1.143 }), roll: sampleRoll('v-smooth', 1.016) },
      'tight',
    ],
    // A stamp that names a range takes all of it, and no more; a roll is turned to the groove that suits.
    ['0.030–0.035 groove, 0.035 wire', { roll: sampleRoll('v-smooth', 0.762, 0.889) }, 'fits'],
    ['0.030–0.045 groove, 0.035 wire', { roll: sampleRoll('v-smooth', 0.762, 1.143) }, 'fits'],
    [
      '0.030–0.035 groove, 0.045 wire',
      { wire: sampleWire({ diameterMm: 1.143 }), roll: sampleRoll('v-smooth', 0.762, 0.889) },
      'fails',
    ],
    [
      'three grooves, one of them the wire’s',
      { wire: sampleWire({ diameterMm: 1.143 }), roll: threeGrooves },
      'fits',
    ],
    ['three grooves, the U of its size left aside', { roll: threeGrooves }, 'fits'],
    [
      'three grooves, none for 1/16',
      { wire: sampleWire({ diameterMm: 1.5875 }), roll: threeGrooves },
      'fails',
    ],
  ],
  'roll-system': [
    [
      'its own rolls',
      { powerSource: source({ feeder: sampleFeeder() }), roll: samplePart('drive-roll') },
      'fits',
    ],
    [
      'another drive’s',
      {
        powerSource: source({ feeder: sampleFeeder() }),
        roll: samplePart('drive-roll', { rollSystem: 'other' }),
      },
      'fails',
    ],
    [
      'not set',
      {
        powerSource: source({ feeder: sampleFeeder() }),
        roll: samplePart('drive-roll', { rollSystem: null }),
      },
      'unknown',
    ],
  ],
  // Trade reference, section 10: liners.
  'liner-material': [
    ['steel for steel', { liner: samplePart('liner') }, 'fits'],
    ['steel for aluminium', { wire: aluminium(), liner: samplePart('liner') }, 'fails'],
    [
      'polymer for aluminium',
      { wire: aluminium(), liner: samplePart('liner', { material: 'polymer' }) },
      'fits',
    ],
    [
      'graphite for aluminium',
      { wire: aluminium(), liner: samplePart('liner', { material: 'graphite' }) },
      'fits',
    ],
    ['polymer for carbon steel wears', { liner: samplePart('liner', { material: 'polymer' }) }, 'tight'],
    [
      'polymer for stainless',
      { wire: sampleWire({ metal: 'stainless' }), liner: samplePart('liner', { material: 'polymer' }) },
      'fits',
    ],
  ],
  'liner-size': [
    ['within its range', { liner: samplePart('liner') }, 'fits'],
    ['too thick', { ...wire({ diameterMm: 1.6 }), liner: samplePart('liner') }, 'fails'],
    ['too thin', { ...wire({ diameterMm: 0.6 }), liner: samplePart('liner') }, 'fails'],
  ],
  'liner-length': [
    ['longer than the gun: cut it', { liner: samplePart('liner') }, 'fits'],
    ['shorter than the gun', { liner: samplePart('liner', { lengthMm: 2500 }) }, 'fails'],
  ],
  'liner-one-metal': [
    ['new', { liner: samplePart('liner') }, 'fits'],
    [
      'has run steel, for aluminium',
      { wire: aluminium(), liner: samplePart('liner', { material: 'polymer', usedFor: 'carbon-steel' }) },
      'fails',
    ],
    [
      'has run carbon steel, for stainless',
      { wire: sampleWire({ metal: 'stainless' }), liner: samplePart('liner', { usedFor: 'carbon-steel' }) },
      'fails',
    ],
    ['has run the same', { liner: samplePart('liner', { usedFor: 'carbon-steel' }) }, 'fits'],
  ],
  // Trade reference, section 10: 0.030 wire, 0.035 tip for aluminium; 1.0 mm wire, 1.2 tip.
  'tip-bore': [
    ['equal for steel', { tip: samplePart('contact-tip') }, 'fits'],
    ['one over for steel: burn-back', { tip: samplePart('contact-tip', { wireMm: 1.016 }) }, 'fails'],
    ['too small', { tip: samplePart('contact-tip', { wireMm: 0.762 }) }, 'fails'],
    [
      '0.030 aluminium, 0.035 tip',
      { wire: aluminium({ diameterMm: 0.762 }), tip: samplePart('contact-tip', { wireMm: 0.889 }) },
      'fits',
    ],
    [
      '1.0 mm aluminium, 1.2 tip, metric shop',
      {
        unitSystem: 'metric',
        wire: aluminium({ diameterMm: 1 }),
        tip: samplePart('contact-tip', { wireMm: 1.2 }),
      },
      'fits',
    ],
    [
      'aluminium with its own size: the other school',
      { wire: aluminium({ diameterMm: 0.762 }), tip: samplePart('contact-tip', { wireMm: 0.762 }) },
      'tight',
    ],
    [
      'the same where the shop holds with that school',
      {
        aluminiumTip: 'as-wire',
        wire: aluminium({ diameterMm: 0.762 }),
        tip: samplePart('contact-tip', { wireMm: 0.762 }),
      },
      'fits',
    ],
    [
      'two over for aluminium',
      { wire: aluminium({ diameterMm: 0.762 }), tip: samplePart('contact-tip', { wireMm: 1.143 }) },
      'fails',
    ],
  ],
  'nozzle-for-gas': [
    ['gas nozzle on MIG', { nozzle: samplePart('nozzle') }, 'fits'],
    ['gasless nozzle on MIG', { nozzle: samplePart('nozzle', { gasless: true }) }, 'fails'],
    [
      'gasless nozzle on self-shielded',
      { process: 'fcaw-s', wire: cored(), nozzle: samplePart('nozzle', { gasless: true }) },
      'fits',
    ],
    [
      'gas nozzle on self-shielded: no harm',
      { process: 'fcaw-s', wire: cored(), nozzle: samplePart('nozzle') },
      'fits',
    ],
  ],
  // ISO 544, spools S 100, S 200, S 300 (from memory).
  'spool-size': [
    ['200 mm where 200 goes', { powerSource: source({ feeder: sampleFeeder() }) }, 'fits'],
    [
      '300 mm where 200 goes',
      { powerSource: source({ feeder: sampleFeeder() }), ...wire({ spoolMm: 300 }) },
      'fails',
    ],
    ['not known', { powerSource: source({ feeder: sampleFeeder({ spoolsMm: [] }) }) }, 'unknown'],
  ],
  'spool-mass': [
    [
      '15 kg where 7 kg goes',
      { powerSource: source({ feeder: sampleFeeder() }), ...wire({ packageG: 15_000 }) },
      'fails',
    ],
    ['5 kg', { powerSource: source({ feeder: sampleFeeder() }) }, 'fits'],
  ],
  'wire-size-fed': [
    [
      '1/16 on a feeder to 0.045',
      { powerSource: source({ feeder: sampleFeeder() }), ...wire({ diameterMm: 1.5875 }) },
      'fails',
    ],
    ['0.035', { powerSource: source({ feeder: sampleFeeder() }) }, 'fits'],
  ],
  connector: [
    ['the same', { powerSource: source({ feeder: sampleFeeder() }) }, 'fits'],
    [
      'another',
      { powerSource: source({ feeder: sampleFeeder() }), gun: gun({ connector: 'central' }) },
      'fails',
    ],
    ['not known', { powerSource: source({ feeder: sampleFeeder({ gunConnector: null }) }) }, 'unknown'],
  ],
  // Trade reference, section 10: soft 4043 through a long ordinary gun: no; 5356 through a short straight one: at times.
  'aluminium-path': [
    [
      '4043 through 15 ft',
      { wire: aluminium({ classification: 'ER4043' }), gun: gun({ lengthMm: 4572 }) },
      'fails',
    ],
    [
      '4043 through 10 ft',
      { wire: aluminium({ classification: 'ER4043' }), gun: gun({ lengthMm: 3048 }) },
      'fails',
    ],
    ['5356 through 10 ft', { wire: aluminium(), gun: gun({ lengthMm: 3048 }) }, 'tight'],
    ['5356 through 15 ft', { wire: aluminium(), gun: gun({ lengthMm: 4572 }) }, 'fails'],
    [
      '4043 through a spool gun',
      { wire: aluminium({ classification: 'ER4043' }), gun: gun({ drive: 'spool', feeder: sampleFeeder() }) },
      'fits',
    ],
    [
      '4043 through push-pull',
      { wire: aluminium({ classification: 'ER4043' }), gun: gun({ drive: 'push-pull', lengthMm: 7620 }) },
      'fits',
    ],
    ['steel', {}, null],
  ],
  'tip-class': [
    ['its own', { tip: samplePart('contact-tip') }, 'fits'],
    ['another', { tip: samplePart('contact-tip', { partsClass: 'heavy' }) }, 'fails'],
    ['not set', { tip: samplePart('contact-tip', { partsClass: null }) }, 'unknown'],
  ],
  // Trade reference, section 9: collet, body, cup, cap and tungsten are one set.
  'collet-size': [
    ['equal', tig({ collet: samplePart('collet') }), 'fits'],
    ['another', tig({ collet: samplePart('collet', { tungstenMm: 2.38125 }) }), 'fails'],
  ],
  'collet-body-size': [
    ['another', tig({ colletBody: samplePart('collet-body', { tungstenMm: 2.38125 }) }), 'fails'],
  ],
  'cup-on-body': [
    ['plain on plain', tig({ cup: samplePart('cup'), colletBody: samplePart('collet-body') }), 'fits'],
    [
      'plain on a lens',
      tig({ cup: samplePart('cup'), colletBody: samplePart('collet-body', { gasLens: true }) }),
      'fails',
    ],
    [
      'lens cup on plain',
      tig({ cup: samplePart('cup', { forGasLens: true }), colletBody: samplePart('collet-body') }),
      'fails',
    ],
  ],
  'back-cap-length': [
    ['175 mm under a long cap', tig({ backCap: samplePart('back-cap') }), 'fits'],
    ['175 mm under a short cap', tig({ backCap: samplePart('back-cap', { longestMm: 60 }) }), 'fails'],
  ],
  // Trade reference, section 9: not beyond the cup's inside diameter without a lens. Cup 7 is 7/16 in, 11.1 mm.
  'stick-out': [
    [
      '11 mm from cup 7',
      tig({ cup: samplePart('cup'), colletBody: samplePart('collet-body'), stickOutMm: 11 }),
      'fits',
    ],
    [
      '12 mm from cup 7',
      tig({ cup: samplePart('cup'), colletBody: samplePart('collet-body'), stickOutMm: 12 }),
      'fails',
    ],
    [
      '12 mm with a lens',
      tig({
        cup: samplePart('cup', { forGasLens: true }),
        colletBody: samplePart('collet-body', { gasLens: true }),
        stickOutMm: 12,
      }),
      'fits',
    ],
  ],
  // AWS A5.12 annex: 1/16 in runs 70 to 150 A (from memory).
  electrode: [
    ['1/16 at 100 to 140 A', tig({ demand: sampleDemand({ leastA: 100, mostA: 140 }) }), 'fits'],
    ['1/16 down to 40 A', tig({ demand: sampleDemand({ leastA: 40, mostA: 60 }) }), 'tight'],
    // Ground to a point it holds an arc down to some 10 A, from memory.
    ['1/16 down to 6 A', tig({ demand: sampleDemand({ leastA: 6, mostA: 60 }) }), 'fails'],
    [
      '0.020 at 3 A (razor-thin parts, from memory)',
      tig({
        tungsten: sampleTungsten({ diameterMm: 0.508 }),
        demand: sampleDemand({ leastA: 3, mostA: 12 }),
      }),
      'tight',
    ],
    ['1/16 up to 190 A', tig({ demand: sampleDemand({ leastA: 100, mostA: 190 }) }), 'fails'],
    [
      '0.020 on AC: no such row',
      tig({ process: 'gtaw-ac', tungsten: sampleTungsten({ diameterMm: 0.508 }) }),
      'unknown',
    ],
  ],
  // ISO 6848 types; use by AWS A5.12 annex (from memory).
  'tungsten-type': [
    ['lanthanated on DC', tig(), 'fits'],
    ['lanthanated on AC', tig({ process: 'gtaw-ac' }), 'fits'],
    ['pure on DC', tig({ tungsten: sampleTungsten({ type: 'WP' }) }), 'fails'],
    ['pure on AC', tig({ process: 'gtaw-ac', tungsten: sampleTungsten({ type: 'WP' }) }), 'tight'],
    ['zirconiated on AC', tig({ process: 'gtaw-ac', tungsten: sampleTungsten({ type: 'WZr8' }) }), 'fits'],
    ['thoriated on AC', tig({ process: 'gtaw-ac', tungsten: sampleTungsten({ type: 'WTh20' }) }), 'tight'],
  ],
  'wire-form': [
    ['solid for MIG', {}, 'fits'],
    ['cored for MIG', { wire: cored() }, 'fails'],
    ['rod for TIG', tig({ wire: sampleWire({ form: 'rod' }) }), 'fits'],
    ['spool for TIG', tig({ wire: sampleWire() }), 'fails'],
    [
      'gas-shielded cored without gas',
      { process: 'fcaw-s', wire: cored({ form: 'cored-gas-shielded' }) },
      'fails',
    ],
  ],
  // AWS A5.20: E70T is for flat and horizontal, E71T for all positions; T-1 upward, T-11 downward. A5.1: E7018 upward.
  'wire-position': [
    [
      'E71T-1C downhill',
      {
        process: 'fcaw-g',
        wire: cored({ form: 'cored-gas-shielded', classification: 'E71T-1C' }),
        demand: sampleDemand({ positions: ['flat', 'vertical-down'] }),
      },
      'fails',
    ],
    [
      'E7018 downhill',
      {
        process: 'smaw',
        wire: sampleWire({ form: 'covered', classification: 'E7018' }),
        demand: sampleDemand({ positions: ['vertical-down'] }),
      },
      'fails',
    ],
    [
      'E70T-11 flat',
      {
        process: 'fcaw-s',
        wire: cored({ classification: 'E70T-11' }),
        demand: sampleDemand({ positions: ['flat'] }),
      },
      'fits',
    ],
    [
      'E70T overhead',
      {
        process: 'fcaw-g',
        wire: cored({ form: 'cored-gas-shielded', classification: 'E70T-1C' }),
        demand: sampleDemand({ positions: ['flat', 'overhead'] }),
      },
      'fails',
    ],
    [
      'E70T horizontal',
      {
        process: 'fcaw-g',
        wire: cored({ form: 'cored-gas-shielded', classification: 'E70T-1C' }),
        demand: sampleDemand({ positions: ['horizontal'] }),
      },
      'fits',
    ],
    [
      'E71T overhead',
      {
        process: 'fcaw-g',
        wire: cored({ form: 'cored-gas-shielded', classification: 'E71T-1C' }),
        demand: sampleDemand({ positions: ['overhead'] }),
      },
      null,
    ],
    [
      'its own data against its class',
      {
        process: 'fcaw-s',
        wire: cored({ positions: 'flat-horizontal' }),
        demand: sampleDemand({ positions: ['vertical-up'] }),
      },
      'fails',
    ],
  ],
  'feed-speed': [
    [
      '0.023 at 30 A through 45 in/min',
      {
        powerSource: source({ feeder: sampleFeeder({ feedMaxMmPerMin: 45 * 25.4 }) }),
        ...wire({ diameterMm: 0.6 }),
      },
      'fails',
    ],
    [
      'the same on a faster feeder',
      { powerSource: source({ feeder: sampleFeeder() }), ...wire({ diameterMm: 0.6 }) },
      'fits',
    ],
    [
      'slower on this voltage than on the other',
      {
        powerSource: source({
          feeder: sampleFeeder(),
          processes: [
            {
              family: 'gmaw',
              outputs: ['dc'],
              pulse: false,
              claimMinMm: null,
              claimMaxMm: null,
              supplies: [sampleSupply({ feedMaxMmPerMin: 1000 })],
            },
          ],
        }),
      },
      'fails',
    ],
    [
      'speed not given',
      { powerSource: source({ feeder: sampleFeeder({ feedMaxMmPerMin: null }) }) },
      'unknown',
    ],
  ],
  'wire-above-output': [
    [
      '1/16 solid starts at 200 A, source gives 140',
      {
        ...wire({ diameterMm: 1.6 }),
        powerSource: source({
          processes: [
            {
              family: 'gmaw',
              outputs: ['dc'],
              pulse: false,
              claimMinMm: null,
              claimMaxMm: null,
              supplies: [sampleSupply({ outputMaxA: 140 })],
            },
          ],
        }),
      },
      'fails',
    ],
    ['0.035', {}, 'fits'],
  ],
  // Trade reference, section 2.
  'gas-for-process': [
    ['argon for TIG', tig(), 'fits'],
    ['75/25 for TIG', tig({ gas: sampleGas() }), 'fails'],
    ['helium for TIG', tig({ gas: sampleGas({ argonPct: 0, co2Pct: 0, heliumPct: 100 }) }), 'fits'],
    ['gas for self-shielded', { process: 'fcaw-s', wire: cored() }, 'tight'],
  ],
  'gas-for-metal': [
    ['75/25 for steel', {}, 'fits'],
    ['CO₂ for steel', { gas: sampleGas({ argonPct: 0, co2Pct: 100 }) }, 'fits'],
    ['argon for steel', { gas: sampleGas({ argonPct: 100, co2Pct: 0 }) }, 'fails'],
    ['75/25 for aluminium', { wire: aluminium() }, 'fails'],
    ['argon for aluminium', { wire: aluminium(), gas: sampleGas({ argonPct: 100, co2Pct: 0 }) }, 'fits'],
    ['75/25 for stainless', { wire: sampleWire({ metal: 'stainless' }) }, 'fails'],
    [
      'tri-mix for stainless',
      {
        wire: sampleWire({ metal: 'stainless' }),
        gas: sampleGas({ argonPct: 7.5, co2Pct: 2.5, heliumPct: 90 }),
      },
      'fits',
    ],
  ],
  'gas-for-spray': [
    ['75/25 never sprays', { process: 'gmaw-spray' }, 'fails'],
    ['90/10 sprays', { process: 'gmaw-spray', gas: sampleGas({ argonPct: 90, co2Pct: 10 }) }, 'fits'],
    ['short-circuit does not ask', {}, null],
  ],
  // AWS A5.20 suffixes: C for CO₂, M for mixed.
  'gas-of-wire': [
    [
      'E71T-1C in CO₂',
      {
        process: 'fcaw-g',
        wire: cored({ form: 'cored-gas-shielded', classification: 'E71T-1C' }),
        gas: sampleGas({ argonPct: 0, co2Pct: 100 }),
      },
      'fits',
    ],
    [
      'E71T-1C in 75/25',
      { process: 'fcaw-g', wire: cored({ form: 'cored-gas-shielded', classification: 'E71T-1C' }) },
      'fails',
    ],
    // EN ISO 14175: from 25 % on it is M31, and no M21.
    [
      'T 46 4 P M21 1 in 70/30',
      {
        process: 'fcaw-g',
        wire: cored({ form: 'cored-gas-shielded', classification: 'T 46 4 P M21 1 H5' }),
        gas: sampleGas({ argonPct: 70, co2Pct: 30 }),
      },
      'fails',
    ],
    [
      'T 46 4 P M21 1 in 82/18',
      {
        process: 'fcaw-g',
        wire: cored({ form: 'cored-gas-shielded', classification: 'T 46 4 P M21 1 H5' }),
        gas: sampleGas({ argonPct: 82, co2Pct: 18 }),
      },
      'fits',
    ],
    [
      'E71T-1M in 75/25',
      { process: 'fcaw-g', wire: cored({ form: 'cored-gas-shielded', classification: 'E71T-1M' }) },
      'fits',
    ],
    [
      'E71T-1M in CO₂',
      {
        process: 'fcaw-g',
        wire: cored({ form: 'cored-gas-shielded', classification: 'E71T-1M' }),
        gas: sampleGas({ argonPct: 0, co2Pct: 100 }),
      },
      'fails',
    ],
    [
      'E71T-1C/M in either',
      { process: 'fcaw-g', wire: cored({ form: 'cored-gas-shielded', classification: 'E71T-1C/M' }) },
      'fits',
    ],
    [
      'no suffix',
      { process: 'fcaw-g', wire: cored({ form: 'cored-gas-shielded', classification: 'E71T-1' }) },
      'unknown',
    ],
  ],
  // CGA V-1: 320 for CO₂, 580 for argon and its mixes (from memory).
  'gas-fitting': [
    ['a mix on an inert fitting', { flowMeter: samplePart('flow-meter') }, 'fits'],
    [
      'CO₂ on an inert fitting',
      { gas: sampleGas({ argonPct: 0, co2Pct: 100 }), flowMeter: samplePart('flow-meter') },
      'fails',
    ],
    [
      'CO₂ with an adapter',
      {
        gas: sampleGas({ argonPct: 0, co2Pct: 100 }),
        flowMeter: samplePart('flow-meter', { fittings: ['inert', 'co2'] }),
      },
      'fits',
    ],
  ],
  'flow-scale': [
    ['75/25 on an argon scale: within 3 %', { flowMeter: samplePart('flow-meter') }, 'fits'],
    [
      'helium on an argon scale',
      tig({
        gas: sampleGas({ argonPct: 0, co2Pct: 0, heliumPct: 100 }),
        flowMeter: samplePart('flow-meter'),
      }),
      'tight',
    ],
    [
      'CO₂ on its own scale',
      {
        gas: sampleGas({ argonPct: 0, co2Pct: 100 }),
        flowMeter: samplePart('flow-meter', { scales: ['argon', 'co2'] }),
      },
      'fits',
    ],
  ],
  'regulator-freezing': [
    [
      'CO₂ at 20 L/min',
      { gas: sampleGas({ argonPct: 0, co2Pct: 100 }), flowMeter: samplePart('flow-meter'), flowLPerMin: 20 },
      'tight',
    ],
    [
      'heated',
      {
        gas: sampleGas({ argonPct: 0, co2Pct: 100 }),
        flowMeter: samplePart('flow-meter', { heated: true }),
        flowLPerMin: 20,
      },
      'fits',
    ],
    [
      'CO₂ at 12 L/min',
      { gas: sampleGas({ argonPct: 0, co2Pct: 100 }), flowMeter: samplePart('flow-meter'), flowLPerMin: 12 },
      'fits',
    ],
    ['a mix', { flowMeter: samplePart('flow-meter'), flowLPerMin: 20 }, null],
  ],
}

describe.each(Object.entries(TABLE))('%s', (ruleId, cases) => {
  it.each(cases)('%s', (_says, change, verdict) => {
    expect(verdictOf(ruleId, change)).toBe(verdict)
  })
})

describe('what a criterion says', () => {
  it('a starved wire names both figures: burn-off at the lowest current, and what the feeder reaches', () => {
    const starved: Change = {
      powerSource: source({ feeder: sampleFeeder({ feedMaxMmPerMin: 45 * 25.4 }) }),
      ...wire({ diameterMm: 0.6 }),
    }
    // 0.023 in runs about 3.5 in/min per ampere (common practice): some 105 in/min at 30 A.
    expect(said('feed-speed', starved)).toMatch(
      /lowest current, 30 A.*(9\d|10\d|11\d)(\.\d)? in\/min.*feeds up to 45 in\/min/,
    )
  })

  it('a reading on the wrong scale names the true flow and what to set: helium on argon by √(1.38/0.138) (handbook, from memory)', () => {
    const helium: Change = tig({
      unitSystem: 'metric',
      gas: sampleGas({ name: 'Helium', argonPct: 0, co2Pct: 0, heliumPct: 100 }),
      flowMeter: samplePart('flow-meter'),
      flowLPerMin: 10,
    })
    expect(said('flow-scale', helium)).toMatch(/For 10 L\/min set 3\.1[67] L\/min/)
  })

  it('stick-out is said as a workshop reads it: 11.1 mm, or 7/16 in, with a number 7 cup', () => {
    const part = (unitSystem: 'metric' | 'imperial') =>
      said('stick-out', tig({ unitSystem, cup: samplePart('cup'), colletBody: samplePart('collet-body') }))
    expect([part('metric'), part('imperial')]).toEqual([
      'Stickout up to 11.1 mm with this cup.',
      'Stickout up to 7/16 in with this cup.',
    ])
  })

  it('a hand valve says how much it wastes: flow times the seconds it stays open', () => {
    const valve: Change = tig({
      unitSystem: 'metric',
      powerSource: tigSource({ gasValve: false }),
      gun: gun({ kind: 'torch', valve: true }),
      flowLPerMin: 9,
    })
    // 9 L/min for 20 s
    expect(said('gas-control', valve)).toContain('3 L')
  })

  it('polarity, AC, start and stick-out offer the change that mends them', () => {
    const patchOf = (id: string, change: Change) => {
      const [capability, demand] = sidesOf(change)
      const assessment = assessed(id, change)
      return assessment && mendsOf(assessment, capability, demand)[0]?.patch
    }
    expect(patchOf('polarity', { polarity: 'dcen' })).toEqual({ on: 'set-up', change: { polarity: 'dcep' } })
    expect(patchOf('start-method', tig({ powerSource: tigSource(), start: 'scratch' }))).toEqual({
      on: 'set-up',
      change: { start: 'lift' },
    })
    const acdc = tigSource({
      processes: [
        {
          family: 'gtaw',
          outputs: ['dc', 'ac'],
          pulse: false,
          claimMinMm: null,
          claimMaxMm: null,
          supplies: [sampleSupply()],
        },
      ],
    })
    expect(patchOf('wave-for-metal', tig({ powerSource: acdc, wire: aluminium({ form: 'rod' }) }))).toEqual({
      on: 'set-up',
      change: { process: 'gtaw-ac', polarity: 'ac' },
    })
    const onAc = { process: 'gtaw-ac', polarity: 'ac', wire: sampleWire({ form: 'rod' }) } as const
    expect(patchOf('dc-for-metal', tig({ ...onAc, powerSource: acdc }))).toEqual({
      on: 'set-up',
      change: { process: 'gtaw-dc', polarity: 'dcen' },
    })
  })

  it('every criterion has its source, and every broken one a sentence and what would mend it', () => {
    // A row of a table of its own, with no part of the shelf that would mend it.
    const unmended = new Set(['thickness', 'source-range', 'wire-use', 'gas-use', 'breaker-holds', 'cable'])
    for (const cases of Object.values(TABLE)) {
      for (const [, change] of cases) {
        const [capability, demand] = sidesOf(change)
        const speech = speechOf(capability.shop)
        for (const assessment of assess(capability, demand)) {
          expect(assessment.source.text).not.toBe('')
          const sentence = sentenceOf(speech, assessment)
          expect(sentence).toMatch(/\S+ \S+/)
          if (assessment.verdict !== 'fails' || unmended.has(assessment.criterion)) continue
          const [mend] = mendsOf(assessment, capability, demand)
          expect(mend && mendText(speech, mend), sentence).toMatch(/\S/)
        }
      }
    }
  })
})
