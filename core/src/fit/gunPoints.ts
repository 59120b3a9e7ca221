/** The rated points of a gun or torch for the gas and the wave of a set-up. */
import type { Gas, Gun, RatedPoint } from '../model/equipment.ts'
import { commonPractice, dataPlate, type Source } from '../model/source.ts'
import { type Step, term } from '../model/working.ts'
import type { Assume } from '../assumptions/assume.ts'
import type { Process } from '../reference/processes.ts'

type GunGas = Gun['ratings'][number]['gas']

export type GunPoints =
  | {
      readonly points: readonly RatedPoint[]
      readonly steps: readonly Step[]
      readonly source: Source
      readonly missing: null
    }
  | { readonly missing: string }

interface GunParts {
  readonly gun: Gun
  readonly gas: Gas | null
  readonly process: Process
  readonly assume: Assume
}

/** From this share of CO₂ on, a gun runs as cool as in CO₂ alone. */
const AS_CO2_PCT = 99

function gunGas({ process, gas }: Pick<GunParts, 'process' | 'gas'>): GunGas | null {
  if (!process.shielded) return 'none'
  if (!gas) return null
  if (process.family === 'gtaw') return 'argon'
  return gasKind(gas)
}

const gasKind = (gas: Gas): GunGas => (gas.co2Pct >= AS_CO2_PCT ? 'co2' : 'mixed')

export function gunPoints(context: GunParts): GunPoints {
  const { gun, process, assume } = context
  const kind = process.feedsWire ? 'gun' : 'torch'
  if (gun.kind !== kind) return { missing: `a ${kind}: ${gun.name} is a ${gun.kind}` }
  const gas = gunGas(context)
  if (!gas) return { missing: 'the gas: a gun’s rating depends on it' }
  const wave = process.id === 'gtaw-ac' ? 'ac' : 'dc'
  const rated = (wanted: GunGas) => gun.ratings.filter((r) => r.gas === wanted && r.wave === wave)
  const own = rated(gas)
  if (own.length > 0) return { points: own, steps: [], source: dataPlate(), missing: null }
  const inCo2 = rated('co2')
  if (inCo2.length === 0)
    return {
      missing: `a rating of ${gun.name} for ${gas === 'none' ? 'no gas' : gas}, ${wave.toUpperCase()}`,
    }
  // Without the cold of CO₂ streaming through, a self-shielded gun is taken as in an argon mix.
  const factor = assume.value('gunMixedGasFactor')
  const points = inCo2.map((point) => ({ ...point, currentA: point.currentA * factor }))
  const source = commonPractice('CO₂ rating × factor, common practice')
  const steps: Step[] = inCo2.map((point) => ({
    says: gas === 'none' ? 'Rating without gas' : 'Rating in an argon mix',
    formula: 'I_r = I_CO₂ · f',
    terms: [
      term('I_CO₂', `rated in CO₂ at ${point.dutyPct} %`, point.currentA, 'A', dataPlate()),
      assume.term('gunMixedGasFactor', 'f'),
    ],
    result: { symbol: 'I_r', value: point.currentA * factor, unit: 'A' },
    source,
  }))
  return { points, steps, source, missing: null }
}
