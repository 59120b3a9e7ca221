/** What a shielding gas is, by its shares. */
import type { Gas } from '../kinds/equipment.ts'

/** From this share of CO₂ on it is no argon mix: a gun runs as cool, an arc as hot, a valve is the same as of CO₂ alone. */
const AS_CO2_PCT = 99

/** @example isCo2({ co2Pct: 25 }) // false */
export const isCo2 = ({ co2Pct }: Pick<Gas, 'co2Pct'>): boolean => co2Pct >= AS_CO2_PCT
