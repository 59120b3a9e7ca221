/** The rated points of a gun or torch for the gas and the wave of a set-up. */
import { dataPlate, type Source } from '../basis/source.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import { deratedCurrent } from '../duty/derating.ts'
import type { Gas, Gun, RatedPoint } from '../kinds/equipment.ts'
import { message, type Message, word } from '../model/message.ts'
import { isCo2 } from '../reference/gases.ts'
import { HOLDER, type Process, type Wave } from '../reference/processes.ts'

type GunGas = Gun['ratings'][number]['gas']

export type GunPoints =
  | { readonly points: readonly RatedPoint[]; readonly source: Source; readonly missing: null }
  | { readonly missing: Message }

interface GunParts {
  readonly gun: Gun
  readonly gas: Gas | null
  readonly process: Process
  readonly wave: Wave
}

/** From this share of inert gas on, it is rated as in argon. */
const AS_ARGON_PCT = 99

/** What a wire or a tungsten burns in, as ratings and programs are given; null where no gas is chosen. */
export function gunGas({ process, gas }: Pick<GunParts, 'process' | 'gas'>): GunGas | null {
  if (!process.shielded) return 'none'
  // A torch is rated in argon, whichever inert gas it is given.
  if (process.family === 'gtaw') return 'argon'
  if (!gas) return null
  if (gas.argonPct + gas.heliumPct >= AS_ARGON_PCT) return 'argon'
  return isCo2(gas) ? 'co2' : 'mixed'
}

/** @returns the points of the duty curve in this gas, or what is missing for it */
export function gunPointsOf({ gun, gas, process, wave }: GunParts, reckoner: Reckoner): GunPoints {
  const kind = HOLDER[process.electrode]
  if (gun.kind !== kind)
    return {
      missing: message('other-kind', {
        wanted: word('holder', kind),
        gun: gun.name,
        kind: word('holder', gun.kind),
      }),
    }
  const wanted = gunGas({ process, gas })
  if (!wanted) return { missing: message('gas-for-rating') }
  // Neither wave warms a holder of sticks more than the other.
  const isHolder = process.electrode === 'covered'
  const rated = (of: GunGas) =>
    gun.ratings.filter((rating) => rating.gas === of && (isHolder || rating.wave === wave))
  const given = rated(wanted)
  // A wire gun that is rated in mixes alone runs no hotter in argon.
  const own = given.length === 0 && wanted === 'argon' && process.feedsWire ? rated('mixed') : given
  if (own.length > 0) return { points: own, source: dataPlate(), missing: null }
  const inCo2 = rated('co2')
  if (inCo2.length === 0)
    return {
      missing: message('gun-rating', {
        gun: gun.name,
        gas: word('gunGas', wanted),
        wave: word('wave', wave),
      }),
    }
  const points = inCo2.map(({ currentA, dutyPct }) => ({
    dutyPct,
    currentA: reckoner.compute(deratedCurrent, { I_c: currentA }),
  }))
  return { points, source: deratedCurrent.source, missing: null }
}
