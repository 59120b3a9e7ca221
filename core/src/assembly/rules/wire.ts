/** Rules of the wire or rod itself: for the process, the position, the metal, and the speed that it can be fed at. */
import { computed, dataPlate } from '../../model/source.ts'
import { term } from '../../model/working.ts'
import { positionsOf } from '../../reference/classification.ts'
import { isClassification } from '../../reference/pairs.ts'
import { wireCurrentRange } from '../../reference/wireRanges.ts'
import { supplyWords } from '../../fit/supplyFor.ts'
import { feedAtCurrent, wireFeedSpeed } from '../../trade/burnOff.ts'
import { FEED_SLOTS, feedMaxOf, feedPathOf, supplyOf } from '../assembly.ts'
import { fits, type Judge, type Judgement, notKnown, print, type Rule, short, tight, wants } from '../rule.ts'

const FLAT_POSITIONS = ['flat', 'horizontal']

const FORM_WORDS = {
  solid: 'solid wire on a spool',
  rod: 'rod',
  'cored-gas-shielded': 'gas-shielded cored wire',
  'cored-self-shielded': 'self-shielded cored wire',
} as const

const wireForm: Judge = ({ wire, process }) => {
  if (!wire) return null
  const wanted =
    process.family === 'gmaw'
      ? 'solid'
      : process.family === 'gtaw'
        ? 'rod'
        : process.shielded
          ? 'cored-gas-shielded'
          : 'cored-self-shielded'
  return wire.form === wanted
    ? fits(() => `${wire.name} is a filler for ${process.workshopWord}`)
    : short(
        () =>
          `${wire.name} is a ${FORM_WORDS[wire.form]}; ${process.workshopWord} wants a ${FORM_WORDS[wanted]}`,
        undefined,
        wants(`A ${FORM_WORDS[wanted]}`),
      )
}

/** Some cored wires are for flat and horizontal only. */
const wirePosition: Judge = ({ wire, demands, process }) => {
  if (!wire || !process.feedsWire) return null
  const said = positionsOf(wire)
  if (!said || said.value === 'all') return null
  const beyond = demands?.positions.find((position) => !FLAT_POSITIONS.includes(position))
  return beyond
    ? short(
        () =>
          `${wire.name} is for flat and horizontal only, and the job has welds ${beyond.replace('-', ' ')}`,
        said.source,
        {
          mends: [{ says: 'A wire for all positions, such as E71T-1 or E71T-11' }],
        },
      )
    : fits(() => `${wire.name} is for flat and horizontal only`, said.source)
}

/** A wire whose range starts above the source's output on this voltage never gets hot enough. */
const wireAboveOutput: Judge = (assembly) => {
  const { wire, process, circuit } = assembly
  const supply = supplyOf(assembly)
  if (!wire || !process.feedsWire || wire.form === 'rod' || !supply) return null
  const range = wireCurrentRange(wire)
  if (!range) return notKnown(`the usable current of ${wire.name}: enter it from the wire’s data`)
  const [starts, gives] = [`${range.minA} A`, `${supply.outputMaxA} A`]
  return range.minA > supply.outputMaxA
    ? short(
        () => `${wire.name} starts at ${starts}; the source gives ${gives} on ${supplyWords(circuit)}`,
        range.source,
        {
          mends: [{ says: 'A thinner wire, or a higher supply voltage' }],
        },
      )
    : fits(
        () => `${wire.name} starts at ${starts}, the source gives up to ${gives} on ${supplyWords(circuit)}`,
        range.source,
      )
}

/** Starved: the wire would have to run faster than the feeder can turn on this voltage, even at its lowest current. */
const wireStarved: Judge = (assembly) => {
  const { wire, process, assume, circuit } = assembly
  const path = feedPathOf(assembly)
  if (!wire || !process.feedsWire || wire.form === 'rod' || !path) return null
  const mostMmPerMin = feedMaxOf(path, supplyOf(assembly))
  if (mostMmPerMin === null)
    return notKnown(`the greatest wire feed speed of ${path.name}: read it off the machine`)
  const range = wireCurrentRange(wire)
  if (!range) return null
  const leastMmPerMin = feedAtCurrent(wire, range.minA, process.id, assume)
  const wants = () => print(assembly, leastMmPerMin, 'mm/min')
  const has = () => print(assembly, mostMmPerMin, 'mm/min')
  const steps = () => [
    ...wireFeedSpeed(wire, range.minA, process.id, assume).steps,
    {
      says: 'Greatest feed speed on this voltage',
      formula: 'v_max',
      terms: [term('v_max', path.name, mostMmPerMin, 'mm/min', dataPlate())],
      result: { symbol: 'v_max', value: mostMmPerMin, unit: 'mm/min' },
      source: dataPlate(),
    },
  ]
  return leastMmPerMin > mostMmPerMin
    ? short(
        () =>
          `${wire.name} is starved: at its lowest current, ${range.minA} A, it burns off ${wants()}; ${path.name} reaches ${has()} on ${supplyWords(circuit)}`,
        computed('burn-off at the lowest current of the wire'),
        { steps, mends: [{ says: 'A thicker wire, or a feeder that is faster on this voltage' }] },
      )
    : fits(
        () => `At its lowest current it burns off ${wants()}; ${path.name} reaches ${has()}`,
        computed('burn-off'),
        {
          steps,
        },
      )
}

function ofPair(
  wireName: string,
  classification: string,
  names: string,
  advice: NonNullable<Parameters<Judge>[0]['demands']>['pairs'][number]['advice'],
): Judgement {
  if (advice.weldable === 'no') {
    return short(
      () => `${names}: ${advice.says}`,
      undefined,
      wants('Bolt, rivet or bond it, or another metal'),
    )
  }
  const named = (one: { classification: string }) => isClassification(classification, one.classification)
  const excluded = advice.excluded.find(named)
  const fillers = advice.fillers
    .slice(0, 3)
    .map((one) => one.classification)
    .join(', ')
  const usual = wants(() => (fillers === '' ? 'The filler of the procedure' : `One of ${fillers}`))
  if (excluded)
    return short(() => `${wireName} is not for ${names}: ${excluded.reason}`, excluded.source, usual)
  if (advice.fillers.length > 0 && !advice.fillers.some(named)) {
    return short(() => `${wireName} is not for ${names}: usual are ${fillers}`, undefined, usual)
  }
  return advice.weldable === 'needs-procedure'
    ? tight(() => `${names} needs a procedure. ${advice.says}`)
    : fits(() => `${wireName} is a filler for ${names}`)
}

/** The job's metals decide which filler may join them. */
const fillerForMetal: Judge = ({ wire, demands }) => {
  if (!wire || !demands) return null
  const all = demands.pairs.map(({ names, advice }) => ofPair(wire.name, wire.classification, names, advice))
  return (
    all.find(({ verdict }) => verdict === 'short') ??
    all.find(({ verdict }) => verdict === 'tight') ??
    all[0] ??
    null
  )
}

export const WIRE_RULES: readonly Rule[] = [
  { id: 'wire-form', title: 'Wire for the process', group: 'shielding', slots: ['wire'], judge: wireForm },
  {
    id: 'filler-for-metal',
    title: 'Filler for the metal',
    group: 'shielding',
    slots: ['wire'],
    judge: fillerForMetal,
  },
  {
    id: 'wire-position',
    title: 'Wire and position',
    group: 'shielding',
    slots: ['wire'],
    judge: wirePosition,
  },
  {
    id: 'wire-above-output',
    title: 'Wire and output',
    group: 'wire-path',
    slots: ['circuit', 'powerSource', 'wire'],
    judge: wireAboveOutput,
  },
  {
    id: 'wire-starved',
    title: 'Wire and feed speed',
    group: 'wire-path',
    slots: ['circuit', ...FEED_SLOTS, 'wire'],
    judge: wireStarved,
  },
]
