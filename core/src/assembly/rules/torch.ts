/** Rules of the torch's head: the set of parts round the tungsten, its stick-out, and the tungsten itself. */
import type { Assembly, Demands } from '../assembly.ts'
import { dataPlate, standard } from '../../model/source.ts'
import { term } from '../../model/working.ts'
import { printNumber } from '../../quantity/printValue.ts'
import { tungstenCurrentRange, tungstenDiametersFor } from '../../reference/tungstenRanges.ts'
import {
  diameter,
  fits,
  isSameSize,
  type Judge,
  notKnown,
  print,
  type Rule,
  short,
  tight,
  wants,
} from '../rule.ts'

const PLATE = dataPlate()
const MM_PER_CUP_NUMBER = 25.4 / 16

const colletSize: Judge = (assembly) => {
  const { collet, tungsten } = assembly
  if (!collet || !tungsten) return null
  return isSameSize(collet.tungstenMm, tungsten.diameterMm)
    ? fits(() => `Collet of ${diameter(assembly, collet.tungstenMm)} for the tungsten`)
    : short(
        () =>
          `Collet of ${diameter(assembly, collet.tungstenMm)} does not hold a tungsten of ${diameter(assembly, tungsten.diameterMm)}`,
        undefined,
        wants(() => `A collet of ${diameter(assembly, tungsten.diameterMm)}`),
      )
}

const colletBodySize: Judge = (assembly) => {
  const { colletBody, tungsten } = assembly
  if (!colletBody || !tungsten) return null
  return isSameSize(colletBody.tungstenMm, tungsten.diameterMm)
    ? fits(() => `Collet body of ${diameter(assembly, colletBody.tungstenMm)} for the tungsten`)
    : short(
        () =>
          `Collet body of ${diameter(assembly, colletBody.tungstenMm)} and tungsten of ${diameter(assembly, tungsten.diameterMm)} do not go together`,
        undefined,
        wants(() => `A collet body of ${diameter(assembly, tungsten.diameterMm)}`),
      )
}

/** A gas lens takes cups of its own. */
const cupOnBody: Judge = ({ cup, colletBody }) => {
  if (!cup || !colletBody) return null
  if (cup.forGasLens === colletBody.gasLens) {
    return fits(cup.forGasLens ? 'A lens cup on a gas lens' : 'A plain cup on a plain collet body')
  }
  return short(
    cup.forGasLens
      ? 'A lens cup does not go on a plain collet body'
      : 'A plain cup does not go on a gas lens',
    undefined,
    wants(colletBody.gasLens ? 'A cup made for a gas lens' : 'A plain cup, or a gas lens for this one'),
  )
}

const backCapLength: Judge = (assembly) => {
  const { backCap, tungsten } = assembly
  if (!backCap || !tungsten) return null
  const length = (valueMm: number) => print(assembly, valueMm, 'mm length')
  return tungsten.lengthMm > backCap.longestMm + 1
    ? short(
        () =>
          `The back cap closes over ${length(backCap.longestMm)}; the tungsten is ${length(tungsten.lengthMm)}: cut it, or a longer cap`,
        undefined,
        wants(() => `A back cap that closes over ${length(tungsten.lengthMm)}`),
      )
    : fits(() => `The back cap closes over ${length(backCap.longestMm)}`)
}

/** Not beyond the cup's inside diameter without a gas lens; more with one. */
const stickOut: Judge = (assembly) => {
  const { cup, colletBody, settings, assume } = assembly
  if (!cup || !colletBody) return null
  const insideMm = cup.number * MM_PER_CUP_NUMBER
  const factor = colletBody.gasLens ? assume.value('stickOutLensFactor') : 1
  const mostMm = insideMm * factor
  const words = (valueMm: number) => diameter(assembly, valueMm)
  const steps = () => [
    {
      says: 'Most stick-out',
      formula: colletBody.gasLens ? 's = N · 1/16 in · k' : 's = N · 1/16 in',
      terms: [
        term('N', 'cup number', cup.number, '', PLATE),
        ...(colletBody.gasLens ? [assume.term('stickOutLensFactor', 'k')] : []),
      ],
      result: { symbol: 's', value: mostMm, unit: 'mm' },
      source: PLATE,
    },
  ]
  const isMm = settings.stickOutMm
  if (isMm === null) return fits(() => `Stick-out up to ${words(mostMm)} with this cup`, undefined, { steps })
  return isMm > mostMm + 1e-6
    ? short(
        () =>
          `Stick-out of ${words(isMm)} leaves the gas: at most ${words(mostMm)} with cup ${cup.number}${colletBody.gasLens ? ' and a gas lens' : ''}`,
        undefined,
        {
          steps,
          mends: [
            {
              says: `Stick-out of ${words(mostMm)}`,
              patch: { on: 'set-up', change: { stickOutMm: mostMm } },
            },
            ...(colletBody.gasLens ? [] : [{ says: 'A gas lens with its cup' }]),
          ],
        },
      )
    : fits(() => `Stick-out of ${words(isMm)}, at most ${words(mostMm)}`, undefined, { steps })
}

/** The thinnest tungsten that runs at every current of the job. */
function sizeFor(assembly: Assembly, wave: 'ac' | 'dcen', { leastA, mostA }: Demands): string {
  const [size] = tungstenDiametersFor(wave, leastA, mostA)
  return size === undefined
    ? 'No size runs at all of its currents: weld the thin and the thick parts with two'
    : `A tungsten of ${diameter(assembly, size)}`
}

const tungstenCurrent: Judge = (assembly) => {
  const { tungsten, process, demands } = assembly
  if (!tungsten || process.family !== 'gtaw') return null
  const wave = process.id === 'gtaw-ac' ? 'ac' : 'dcen'
  const range = tungstenCurrentRange(tungsten.diameterMm, wave)
  if (!range)
    return notKnown(
      `the usable current of ${tungsten.name} on ${wave === 'ac' ? 'AC' : 'DC'}: AWS A5.12 has no such size`,
    )
  const { minA, maxA, source } = range
  const runs = `${tungsten.name} runs ${minA} to ${maxA} A`
  if (!demands) return fits(runs, source)
  if (demands.leastA < minA)
    return short(
      () => `${runs}; the job goes down to ${printNumber(demands.leastA, 3)} A, where its arc wanders`,
      source,
      wants(() => sizeFor(assembly, wave, demands)),
    )
  return demands.mostA > maxA
    ? short(
        () => `${runs}; the job goes up to ${printNumber(demands.mostA, 3)} A, which melts it`,
        source,
        wants(() => sizeFor(assembly, wave, demands)),
      )
    : fits(runs, source)
}

/** Pure and zirconiated tungsten are for AC; thoriated spits on AC. */
const tungstenType: Judge = ({ tungsten, process }) => {
  if (!tungsten || process.family !== 'gtaw') return null
  const source = standard('ISO 6848, types of electrode; use by AWS A5.12 annex', true)
  const isAc = process.id === 'gtaw-ac'
  if (!isAc && tungsten.type === 'WP')
    return short(
      'Pure tungsten holds no point on DC: its arc wanders',
      source,
      wants('A lanthanated or ceriated tungsten'),
    )
  if (!isAc && tungsten.type === 'WZr8')
    return tight(
      'Zirconiated tungsten is made for AC; on DC a lanthanated or ceriated one starts better',
      source,
    )
  if (isAc && tungsten.type === 'WTh20')
    return tight('Thoriated tungsten splits and spits on AC, and its dust is mildly radioactive', source)
  if (isAc && tungsten.type === 'WP')
    return tight('Pure tungsten is for old sine-wave AC; on a square wave it melts early', source)
  return fits(() => `${tungsten.type} suits ${isAc ? 'AC' : 'DC'}`, source)
}

export const TORCH_RULES: readonly Rule[] = [
  {
    id: 'collet-size',
    title: 'Collet size',
    group: 'torch',
    slots: ['collet', 'tungsten'],
    judge: colletSize,
  },
  {
    id: 'collet-body-size',
    title: 'Collet body size',
    group: 'torch',
    slots: ['colletBody', 'tungsten'],
    judge: colletBodySize,
  },
  {
    id: 'cup-on-body',
    title: 'Cup and collet body',
    group: 'torch',
    slots: ['cup', 'colletBody'],
    judge: cupOnBody,
  },
  {
    id: 'back-cap-length',
    title: 'Back cap',
    group: 'torch',
    slots: ['backCap', 'tungsten'],
    judge: backCapLength,
  },
  { id: 'stick-out', title: 'Stick-out', group: 'torch', slots: ['cup', 'colletBody'], judge: stickOut },
  {
    id: 'tungsten-current',
    title: 'Tungsten size',
    group: 'torch',
    slots: ['tungsten'],
    judge: tungstenCurrent,
  },
  { id: 'tungsten-type', title: 'Tungsten type', group: 'torch', slots: ['tungsten'], judge: tungstenType },
]
