/** Rules of gun and torch as a whole: kind, rating, cooling, and how it lies in the hand. */
import { currentAtDutyA } from '../../duty/curve.ts'
import { gunPoints } from '../../fit/gunPoints.ts'
import { dataPlate, standard } from '../../model/source.ts'
import { term } from '../../model/working.ts'
import { printNumber } from '../../quantity/printValue.ts'
import { wireCurrentRange } from '../../reference/wireRanges.ts'
import type { Assembly } from '../assembly.ts'
import { fits, type Judge, notKnown, print, type Rule, short, wants } from '../rule.ts'

const PLATE = dataPlate()

const gunKind: Judge = ({ gun, process }) => {
  if (!gun) return null
  const wanted = process.feedsWire ? 'gun' : 'torch'
  return gun.kind === wanted
    ? fits(() => `A ${wanted} for ${process.workshopWord}`)
    : short(
        () => `${gun.name} is a ${gun.kind}; ${process.workshopWord} wants a ${wanted}`,
        undefined,
        wants(`A ${wanted}`),
      )
}

/** What a gun or torch carries in its gas at a duty: less in argon mixes than in CO₂, less on AC. */
function ratingOf(assembly: Assembly) {
  const { gun, gas, process, assume, demands } = assembly
  if (!gun || (gun.kind === 'gun') !== process.feedsWire || (process.shielded && !gas)) return null
  const answer = gunPoints({ gun, gas, process, assume })
  if (answer.missing !== null) return { missing: answer.missing }
  const { points, source } = answer
  const atDuty = Math.max(
    demands?.dutyPct ?? Math.max(...points.map(({ dutyPct }) => dutyPct)),
    assume.value('gunLeastDutyPct'),
  )
  const carriesA = currentAtDutyA(points, atDuty)
  return {
    missing: null,
    carriesA,
    says: () =>
      `${gun.name} carries ${printNumber(carriesA, 3)} A at ${printNumber(atDuty, 2)} % ${process.shielded ? 'in this gas' : 'without gas'}`,
    steps: () => [
      ...answer.steps,
      {
        says: 'Current that it sustains',
        formula: 'I = I_r · √(X_r / X)',
        terms: points.map((point) =>
          term('I_r at X_r', `rated at ${point.dutyPct} %`, point.currentA, 'A', source),
        ),
        result: { symbol: 'I', value: carriesA, unit: 'A' },
        source: standard('IEC 60974-7, rating of torches', true),
      },
    ],
    source,
    mends: [{ says: `A ${gun.kind} of a higher class` }],
  }
}

const rated: Judge = (assembly) => {
  const rating = ratingOf(assembly)
  if (!rating) return null
  if (rating.missing !== null) return notKnown(rating.missing)
  const { carriesA, says, steps, source, mends } = rating
  const wantsA = assembly.demands?.mostA ?? 0
  return wantsA > carriesA
    ? short(() => `${says()}; the job wants ${printNumber(wantsA, 3)} A`, source, { steps, mends })
    : fits(says, source, { steps })
}

/** The gas decides what a gun carries; a torch has argon anyway. */
const gunRating: Judge = (assembly) => (assembly.process.feedsWire ? rated(assembly) : null)
const torchRating: Judge = (assembly) => (assembly.process.feedsWire ? null : rated(assembly))

/** Without a job the wire says what the gun must carry at the least. */
const gunForWire: Judge = (assembly) => {
  const { wire, process, demands } = assembly
  const rating = demands === null && wire && process.feedsWire ? ratingOf(assembly) : null
  const range = wire && rating ? wireCurrentRange(wire) : null
  if (!wire || !rating || rating.missing !== null || !range) return null
  const { carriesA, says, steps, source, mends } = rating
  return range.minA > carriesA
    ? short(() => `${says()}; ${wire.name} starts at ${range.minA} A`, source, { steps, mends })
    : fits(() => `${wire.name} starts at ${range.minA} A, below the ${printNumber(carriesA, 3)} A`, source, {
        steps,
      })
}

const waterCooling: Judge = ({ gun, powerSource, process }) => {
  if (!gun || !powerSource || (gun.kind === 'gun') !== process.feedsWire || gun.cooling !== 'water')
    return null
  if (powerSource.waterCooler === null) return notKnown(`whether ${powerSource.name} has a water cooler`)
  return powerSource.waterCooler
    ? fits('Water-cooled, with a cooler: check level and flow before the arc', PLATE)
    : short(
        () => `${gun.name} is water-cooled and ${powerSource.name} has no cooler: it burns without water`,
        PLATE,
        {
          mends: [{ says: 'An air-cooled one of enough class, or a cooler' }],
        },
      )
}

/** What the arm holds all day: no verdict hangs on it, but people choose by it. */
const handling: Judge = (assembly) => {
  const { gun } = assembly
  if (!gun) return null
  const length = print(assembly, gun.lengthMm, 'mm length')
  const mass = gun.massG === null ? '' : `, ${print(assembly, gun.massG, 'g')} with its hose`
  const says =
    gun.cooling === 'water'
      ? `${length}${mass}: water keeps the handle small and cool, the hose is stiffer`
      : gun.drive === 'spool'
        ? `${length}${mass}: the spool hangs on the wrist, and corners are harder to reach`
        : `${length}${mass}: no water to carry, the handle warms with use`
  return fits(says)
}

export const GUN_RULES: readonly Rule[] = [
  { id: 'gun-kind', title: 'Gun or torch', group: 'torch', slots: ['gun'], judge: gunKind },
  {
    id: 'gun-rating',
    title: 'Rating in this gas',
    group: 'torch',
    slots: ['gun', 'gas'],
    judge: gunRating,
  },
  { id: 'torch-rating', title: 'Rating of the torch', group: 'torch', slots: ['gun'], judge: torchRating },
  {
    id: 'gun-for-wire',
    title: 'Rating and wire',
    group: 'torch',
    slots: ['gun', 'gas', 'wire'],
    judge: gunForWire,
  },
  {
    id: 'water-cooling',
    title: 'Cooling',
    group: 'torch',
    slots: ['gun', 'powerSource'],
    judge: waterCooling,
  },
  { id: 'handling', title: 'In the hand', group: 'torch', slots: ['gun'], judge: handling },
]
