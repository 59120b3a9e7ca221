/** Rules of circuit and power source: what it is rated for, how it starts, how low it goes, how it is switched. */
import { dataPlate, standard } from '../../model/source.ts'
import { term } from '../../model/working.ts'
import { printNumber } from '../../quantity/printValue.ts'
import { supplyFor } from '../../fit/supplyFor.ts'
import { metalsOf, supplyOf } from '../assembly.ts'
import { fits, type Judge, notKnown, print, type Rule, short, tight, wants } from '../rule.ts'

const PLATE = dataPlate()

/** A process and a wave that the plate does not name cannot be welded with it. */
const ratedForProcess: Judge = ({ powerSource, process }) => {
  if (!powerSource) return null
  const own = powerSource.processes.filter(({ family }) => family === process.family)
  if (own.length === 0) {
    return short(
      () => `${powerSource.name} is not rated for ${process.name}`,
      PLATE,
      wants(() => `A power source rated for ${process.name}`),
    )
  }
  const wave = process.id === 'gtaw-ac' ? 'ac' : 'dc'
  if (own.some(({ outputs }) => outputs.includes(wave))) {
    return fits(() => `${powerSource.name} is rated for ${process.name}`, PLATE)
  }
  return wave === 'ac'
    ? short(
        () => `${powerSource.name} gives DC only: aluminium by TIG wants AC, which breaks its oxide`,
        PLATE,
        {
          mends: [{ says: 'An AC/DC power source; no setting mends this' }],
        },
      )
    : short(
        () => `${powerSource.name} gives AC only: ${process.workshopWord} wants DC`,
        PLATE,
        wants('A source that gives DC'),
      )
}

/** The plate must have a column for the circuit's voltage and phases. */
const ratedForSupply: Judge = ({ circuit, powerSource, process }) => {
  if (!circuit || !powerSource) return null
  const answer = supplyFor(powerSource, process.id, circuit)
  if (answer.offered.length === 0) return null
  return answer.supply
    ? fits(() => `${powerSource.name} takes ${circuit.voltageV} V`, PLATE)
    : short(
        answer.says,
        PLATE,
        wants(() => {
          const takes = answer.offered.map(
            ({ voltageV, phases }) => `${voltageV ?? '–'} V${phases === 3 ? ' three-phase' : ''}`,
          )
          return `A circuit of ${takes.join(' or ')}, put in by an electrician`
        }),
      )
}

/** Links or a plug set for another voltage are an ordinary mistake. */
const supplySetting: Judge = ({ circuit, powerSource }) => {
  if (!circuit || !powerSource) return null
  const voltages = new Set(powerSource.processes.flatMap(({ supplies }) => supplies.map((s) => s.voltageV)))
  if (voltages.size < 2 || powerSource.supplyChange === null) return null
  const volts = `${circuit.voltageV} V`
  const says = {
    links: `Set the links inside ${powerSource.name} to ${volts} before it is plugged in, unplugged while you do`,
    plug: `Put the ${volts} plug on ${powerSource.name}`,
    automatic: `${powerSource.name} finds ${volts} by itself`,
    fixed: `${powerSource.name} stays on ${volts}`,
  }
  return fits(says[powerSource.supplyChange], PLATE)
}

/** TIG on DC leaves the oxide of aluminium where it is. */
const waveForMetal: Judge = (assembly) => {
  const { process, powerSource } = assembly
  if (process.id !== 'gtaw-dc' || !metalsOf(assembly).includes('aluminium')) return null
  const hasAc = powerSource?.processes.some((p) => p.family === 'gtaw' && p.outputs.includes('ac')) ?? false
  return short('Aluminium by TIG wants AC: DC does not break its oxide', undefined, {
    mends: hasAc
      ? [{ says: 'Set it to AC', patch: { on: 'set-up', change: { process: 'gtaw-ac', polarity: 'ac' } } }]
      : [{ says: 'An AC/DC power source; a DC-only one cannot do this' }],
  })
}

const START_WORDS = { 'high-frequency': 'high frequency', lift: 'lift', scratch: 'scratching' } as const

/** How the owner wants the arc struck must be a way that the source has. */
const startMethod: Judge = ({ powerSource, process, settings }) => {
  if (process.family !== 'gtaw' || !powerSource) return null
  if (powerSource.start.length === 0) return notKnown(`how ${powerSource.name} starts its arc`)
  const has = powerSource.start.map((method) => START_WORDS[method]).join(' or ')
  const wanted = settings.start
  if (wanted === null || powerSource.start.includes(wanted)) {
    return fits(() => `${powerSource.name} starts by ${has}`, PLATE)
  }
  return short(
    () => `You want ${START_WORDS[wanted]} start; ${powerSource.name} starts by ${has} only`,
    PLATE,
    {
      mends: powerSource.start.slice(0, 1).map((start) => ({
        says: `Start by ${START_WORDS[start]}`,
        patch: { on: 'set-up', change: { start } },
      })),
    },
  )
}

/** High frequency upsets controls, computers and pacemakers. */
const electronicsNear: Judge = ({ powerSource, process, settings }) => {
  if (process.family !== 'gtaw' || !powerSource || !settings.electronicsNear) return null
  const usesHf =
    settings.start === 'high-frequency' ||
    (settings.start === null && powerSource.start.includes('high-frequency'))
  if (!usesHf) return fits('No high frequency near the electronics')
  const other = powerSource.start.find((method) => method !== 'high-frequency')
  return short(
    'High-frequency start beside sensitive electronics: it upsets controls, computers and pacemakers',
    standard('IEC 60974-10, electromagnetic compatibility', true),
    {
      mends: other
        ? [{ says: `Start by ${START_WORDS[other]}`, patch: { on: 'set-up', change: { start: other } } }]
        : [{ says: 'A source that starts by lift, or move the electronics away' }],
    },
  )
}

/** The thin end counts as much as the thick end. */
const lowCurrent: Judge = (assembly) => {
  const { powerSource, demands } = assembly
  const supply = supplyOf(assembly)
  if (!powerSource || !supply || !demands) return null
  const leastA = Math.max(supply.outputMinA, powerSource.lowestStableA ?? 0)
  const amps = (value: number) => `${printNumber(value, 3)} A`
  const steps = () => [
    {
      says: 'Least current that it holds',
      formula: 'I = max(I_min, I_stable)',
      terms: [
        term('I_min', 'least output on this voltage', supply.outputMinA, 'A', PLATE),
        term('I_stable', 'lowest stable current', powerSource.lowestStableA ?? supply.outputMinA, 'A', PLATE),
      ],
      result: { symbol: 'I', value: leastA, unit: 'A' },
      source: PLATE,
    },
  ]
  return demands.leastA < leastA
    ? short(
        () =>
          `The thinnest part wants ${amps(demands.leastA)}; ${powerSource.name} holds an arc from ${amps(leastA)}`,
        PLATE,
        { steps, mends: () => [{ says: `A power source that holds an arc at ${amps(demands.leastA)}` }] },
      )
    : fits(() => `The thinnest part’s ${amps(demands.leastA)} is above the ${amps(leastA)} it holds`, PLATE, {
        steps,
      })
}

/** Without a valve in the source or at the torch nothing opens the gas. */
const gasControl: Judge = (assembly) => {
  const { powerSource, gun, process, assume, settings, cup } = assembly
  if (process.family !== 'gtaw' || !powerSource || gun?.kind !== 'torch') return null
  if (powerSource.gasValve === true) {
    return gun.valve === true
      ? fits(() => `${powerSource.name} switches the gas: leave the torch’s hand valve open`, PLATE)
      : fits(() => `${powerSource.name} switches the gas`, PLATE)
  }
  if (gun.valve === true) {
    const seconds = assume.value('handValveOpenS')
    const flow = settings.flowLPerMin ?? (cup ? cup.number * assume.value('flowPerCupNumber') : null)
    const eachL = flow === null ? null : (flow * seconds) / 60
    return tight(
      () =>
        `The hand valve flows until somebody shuts it: ${eachL === null ? 'gas' : `some ${print(assembly, eachL, 'L')}`} wasted each start`,
      undefined,
      {
        steps: () =>
          eachL === null || flow === null
            ? []
            : [
                {
                  says: 'Gas through the open hand valve, each start',
                  formula: 'V = Q · t / 60',
                  terms: [term('Q', 'flow', flow, 'L/min', PLATE), assume.term('handValveOpenS', 't')],
                  result: { symbol: 'V', value: eachL, unit: 'L' },
                  source: PLATE,
                },
              ],
        mends: [{ says: 'Shut the valve between welds, or a source that switches the gas' }],
      },
    )
  }
  if (powerSource.gasValve === false && gun.valve === false) {
    return short(
      () => `${powerSource.name} has no gas valve and neither has ${gun.name}: nothing opens the gas`,
      PLATE,
      { mends: [{ says: 'A torch with a hand valve' }] },
    )
  }
  return notKnown(`whether ${powerSource.name} or ${gun.name} has a gas valve`)
}

/** Balance and frequency can be set only where the plate has a range. */
const acControl: Judge = ({ powerSource, process }) => {
  if (process.id !== 'gtaw-ac' || !powerSource) return null
  if (!powerSource.processes.some((p) => p.family === 'gtaw' && p.outputs.includes('ac'))) return null
  const { acBalance: balance, acFrequency: frequency } = powerSource
  if (!balance && !frequency) {
    return tight(
      () => `${powerSource.name} has neither balance nor frequency to set: a wide arc and a rounder tungsten`,
      PLATE,
    )
  }
  const words = [
    balance ? `electrode-positive ${balance.minPct} to ${balance.maxPct} %` : null,
    frequency ? `${frequency.minHz} to ${frequency.maxHz} Hz` : null,
  ].filter((one) => one !== null)
  return fits(() => `${powerSource.name} sets ${words.join(', ')}`, PLATE)
}

export const SOURCE_RULES: readonly Rule[] = [
  {
    id: 'rated-for-process',
    title: 'Process on the plate',
    group: 'source',
    slots: ['powerSource'],
    judge: ratedForProcess,
  },
  {
    id: 'rated-for-supply',
    title: 'Supply voltage',
    group: 'source',
    slots: ['circuit', 'powerSource'],
    judge: ratedForSupply,
  },
  {
    id: 'supply-setting',
    title: 'Links or plug',
    group: 'source',
    slots: ['circuit', 'powerSource'],
    judge: supplySetting,
  },
  {
    id: 'wave-for-metal',
    title: 'AC for aluminium',
    group: 'source',
    slots: ['powerSource', 'wire'],
    judge: waveForMetal,
  },
  {
    id: 'ac-control',
    title: 'AC balance and frequency',
    group: 'source',
    slots: ['powerSource'],
    judge: acControl,
  },
  {
    id: 'start-method',
    title: 'Start of the arc',
    group: 'source',
    slots: ['powerSource'],
    judge: startMethod,
  },
  {
    id: 'electronics-near',
    title: 'Electronics near by',
    group: 'source',
    slots: ['powerSource'],
    judge: electronicsNear,
  },
  {
    id: 'low-current',
    title: 'Low end of the output',
    group: 'source',
    slots: ['circuit', 'powerSource'],
    judge: lowCurrent,
  },
  {
    id: 'gas-control',
    title: 'Gas valve',
    group: 'torch',
    slots: ['powerSource', 'gun'],
    judge: gasControl,
  },
]
