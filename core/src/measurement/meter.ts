/** Readings of an arc added up as they come: arc time, starts, energy, wire and gas, and the worst ten minutes. */
import { PERIOD_S, worstArcOnS } from '../duty/window.ts'

/** Below this nothing burns, A. */
const LEAST_ARC_A = 8
/** A shorter pause is a short circuit or a stutter, and no new start, s (common practice, no source). */
const LEAST_PAUSE_S = 0.4
/** Readings farther apart were lost on the way: nothing is added for them, s. */
const MOST_STEP_S = 1

export interface Measured {
  /** From the first reading to the last, s. */
  readonly durationS: number
  readonly arcS: number
  readonly starts: number
  /** Share of arc in the worst ten minutes, %. */
  readonly dutyPct: number
  /** Means while the arc burns; 0 where none did. */
  readonly meanA: number
  readonly meanV: number
  /** Of the arc, kJ: volts by amps, reading by reading (ISO/TR 18491). */
  readonly energyKJ: number
  readonly wireG: number
  readonly gasL: number
  /** Without readings, s. */
  readonly lostS: number
}

interface Spell {
  startS: number
  endS: number
}

/**
 * Takes readings one by one.
 * @example const meter = new ArcMeter(); meter.add(0, 20, 150, 8000, 14); meter.measured(0.005)
 */
export class ArcMeter {
  #firstS: number | null = null
  #lastS = 0
  #wasArc = false
  #arcS = 0
  #ampS = 0
  #voltS = 0
  #energyJ = 0
  #wireMm = 0
  #gasL = 0
  #lostS = 0
  #starts = 0
  readonly #spells: Spell[] = []

  /** @param timeS rises; a reading that is older than the last is left out */
  add(timeS: number, volts: number, amps: number, feedMmPerMin: number, flowLPerMin: number): void {
    if (this.#firstS === null) {
      this.#firstS = timeS
      this.#lastS = timeS
    }
    const stepS = timeS - this.#lastS
    if (stepS < 0) return
    const isArc = amps >= LEAST_ARC_A
    const isLost = stepS > MOST_STEP_S
    if (isLost) this.#lostS += stepS
    else {
      this.#gasL += (flowLPerMin * stepS) / 60
      if (isArc) {
        this.#arcS += stepS
        this.#ampS += amps * stepS
        this.#voltS += volts * stepS
        this.#energyJ += volts * amps * stepS
        this.#wireMm += (feedMmPerMin * stepS) / 60
      }
    }
    if (isArc) this.#burn(isLost ? timeS : timeS - stepS, timeS, isLost)
    this.#wasArc = isArc
    this.#lastS = timeS
  }

  /** What was lost on the way is no arc; where it burned before and after, it is no start either. */
  #burn(fromS: number, toS: number, isLost: boolean): void {
    const last = this.#spells.at(-1)
    const goesOn = last !== undefined && (this.#wasArc || fromS - last.endS < LEAST_PAUSE_S)
    if (!goesOn) this.#starts += 1
    if (goesOn && !isLost) last.endS = toS
    else this.#spells.push({ startS: fromS, endS: toS })
  }

  /** @param wireGPerMm what one mm of the wire weighs, g; 0 without a wire */
  measured(wireGPerMm: number): Measured {
    const arcS = this.#arcS
    const durationS = this.#lastS - (this.#firstS ?? 0)
    return {
      durationS,
      arcS,
      starts: this.#starts,
      dutyPct: Math.min(100, (100 * this.#worstS()) / PERIOD_S),
      meanA: arcS > 0 ? this.#ampS / arcS : 0,
      meanV: arcS > 0 ? this.#voltS / arcS : 0,
      energyKJ: this.#energyJ / 1000,
      wireG: this.#wireMm * wireGPerMm,
      gasL: this.#gasL,
      lostS: this.#lostS,
    }
  }

  #worstS(): number {
    return worstArcOnS(
      this.#spells.map(({ startS, endS }, index) => ({
        arcS: endS - startS,
        offS: Math.max(0, (this.#spells[index + 1]?.startS ?? endS) - endS),
        times: 1,
        stretches: false,
        heat: 1,
      })),
    )
  }
}

/**
 * Heat input per length of weld: energy of the arc times the process’s share of it (EN 1011-1, thermal efficiency, from
 * memory).
 * @returns kJ/mm
 * @throws RangeError where there is no length
 */
export function heatInputKJPerMm(energyKJ: number, lengthMm: number, thermalEfficiency: number): number {
  if (!(lengthMm > 0)) throw new RangeError('a heat input needs a length')
  return (energyKJ * thermalEfficiency) / lengthMm
}
