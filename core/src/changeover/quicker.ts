/** What would make changing over quick: minutes and money a year that each way saves over the planned jobs. */
import { assumptionsOf } from '../assumptions/assume.ts'
import type { Job } from '../kinds/job.ts'
import type { SetUp } from '../kinds/setUp.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import type { ChangeStepCode } from '../assumptions/changeMinutes.ts'
import { changeoverBetween } from './changeover.ts'
import { onMachineOf, type OnMachine } from './onMachine.ts'
import type { ChangeStep } from './step.ts'
import { wasteCostOf } from './wasteCost.ts'

export const QUICKER_WAYS = [
  'one-wire',
  'second-gun',
  'second-regulator',
  'second-spool',
  'together',
] as const
export type QuickerWay = (typeof QUICKER_WAYS)[number]

export interface Quicker {
  readonly way: QuickerWay
  readonly sourceId: string
  /** What it would be: a gun, a wire, a meter; empty for jobs done together. */
  readonly what: string
  readonly minutesPerYear: number
  /** Wages, wire and gas, in the shop's currency. */
  readonly moneyPerYear: number
  /** Null where nobody has entered it, or nothing is bought. */
  readonly price: number | null
}

/** Steps that fall away. */
const DROPPED: Readonly<Record<Exclude<QuickerWay, 'together'>, ReadonlySet<ChangeStepCode>>> = {
  'one-wire': new Set([
    'tip-off',
    'wire-off',
    'roll',
    'roll-turn',
    'liner',
    'spool-on',
    'clamp-off',
    'feed',
    'tip-on',
    'tension',
  ]),
  'second-gun': new Set(['gun-off', 'gun-on', 'liner', 'tip-off', 'tip-on', 'torch-parts', 'tungsten']),
  'second-regulator': new Set(['gas-off', 'gas-swap', 'meter', 'flow']),
  'second-spool': new Set(['wire-off', 'roll', 'roll-turn', 'spool-on', 'feed', 'tension']),
}
/** Jobs of one set-up are done together once a month (common practice, no source). */
const ROUNDS_PER_YEAR = 12
const MIN_PER_H = 60

interface Used {
  readonly on: OnMachine
  readonly runs: number
}

/** Set-ups of a machine that planned jobs use, with their runs a year. */
function usedOn(
  sourceId: string,
  shelf: Shelf,
  setUps: readonly SetUp[],
  jobs: readonly Job[],
): readonly Used[] {
  return setUps
    .filter(({ powerSourceId }) => powerSourceId === sourceId)
    .flatMap((setUp): readonly Used[] => {
      const own = jobs.filter(({ setUpId, state }) => setUpId === setUp.id && state === 'planned')
      const runs = own.reduce((sum, { timesPerYear }) => sum + (timesPerYear ?? 1), 0)
      return runs > 0 ? [{ on: onMachineOf(setUp, shelf), runs }] : []
    })
}

const minutesOf = (steps: readonly ChangeStep[], dropped: ReadonlySet<ChangeStepCode>): number =>
  steps.reduce((sum, { code, minutes }) => sum + (dropped.has(code) ? minutes : 0), 0)

/** Which of the ways does anything for a pair, and what it would be. */
function helps(
  way: Exclude<QuickerWay, 'together'>,
  from: OnMachine,
  to: OnMachine,
): { what: string; price: number | null } | null {
  const [a, b] = [from.parts, to.parts]
  switch (way) {
    case 'one-wire':
      // The same metal and form in two sizes: one of them may do for both.
      return a.wire &&
        b.wire &&
        a.wire.id !== b.wire.id &&
        a.wire.form === b.wire.form &&
        a.wire.metal === b.wire.metal &&
        a.wire.form !== 'rod' &&
        a.wire.form !== 'covered'
        ? { what: `${a.wire.name} or ${b.wire.name} for both`, price: null }
        : null
    case 'second-gun':
      return b.gun && (a.gun?.id !== b.gun.id || a.liner?.id !== b.liner?.id || a.tip?.id !== b.tip?.id)
        ? { what: b.gun.name, price: b.gun.price }
        : null
    case 'second-regulator':
      return a.gas && b.gas && b.flowMeter && a.gas.id !== b.gas.id
        ? { what: b.flowMeter.name, price: b.flowMeter.price }
        : null
    case 'second-spool':
      return a.wire && b.wire && a.wire.id !== b.wire.id && a.wire.spoolMm !== null && b.wire.spoolMm !== null
        ? { what: b.wire.name, price: null }
        : null
  }
}

/** The cheapest round through all set-ups and back, min; few set-ups hang on one machine. */
function shortestRound(minutes: readonly (readonly number[])[]): number {
  const others = minutes.map((_, at) => at).slice(1)
  const best = (at: number, left: readonly number[]): number =>
    left.length === 0
      ? (minutes[at]?.[0] ?? 0)
      : Math.min(
          ...left.map(
            (next) =>
              (minutes[at]?.[next] ?? 0) +
              best(
                next,
                left.filter((one) => one !== next),
              ),
          ),
        )
  return best(0, others)
}
/** More are not tried in every order. */
const MOST_SET_UPS = 7

/**
 * Jobs come in no order: after a run of one set-up each other follows as often as its share of the runs.
 * @returns what saves anything, the most money first
 * @example quickerWays(shop, shelf, setUps, jobs)[0]?.way // 'together'
 */
export function quickerWays(
  shop: Shop,
  shelf: Shelf,
  setUps: readonly SetUp[],
  jobs: readonly Job[],
): readonly Quicker[] {
  const { labourPerHour } = assumptionsOf(shop)
  const money = (minutes: number): number => (minutes / MIN_PER_H) * labourPerHour
  return shelf.powerSources
    .flatMap(({ id: sourceId }): readonly Quicker[] => {
      const used = usedOn(sourceId, shelf, setUps, jobs).slice(0, MOST_SET_UPS)
      if (used.length < 2) return []
      const total = used.reduce((sum, { runs }) => sum + runs, 0)
      const changes = used.map((from) => used.map((to) => changeoverBetween(shop, from.on, to.on)))
      const oftenOf = (from: Used, to: Used): number => (from.runs * to.runs) / total
      const found = new Map<string, Quicker>()
      let all = 0
      let wasted = 0
      used.forEach((from, i) =>
        used.forEach((to, j) => {
          const change = changes[i]?.[j]
          if (i === j || !change) return
          const often = oftenOf(from, to)
          all += often * change.minutes
          wasted += often * (wasteCostOf(change, from.on, to.on) ?? 0)
          for (const way of QUICKER_WAYS) {
            if (way === 'together') continue
            const helped = helps(way, from.on, to.on)
            const saved = helped ? often * minutesOf(change.steps, DROPPED[way]) : 0
            if (!helped || saved <= 0) continue
            const key = `${way} ${helped.what}`
            const before = found.get(key)?.minutesPerYear ?? 0
            const minutesPerYear = before + saved
            found.set(key, { way, sourceId, ...helped, minutesPerYear, moneyPerYear: money(minutesPerYear) })
          }
        }),
      )
      const rounds = ROUNDS_PER_YEAR * shortestRound(changes.map((row) => row.map(({ minutes }) => minutes)))
      const together = all - rounds
      return [
        ...found.values(),
        ...(together > 0
          ? [
              {
                way: 'together' as const,
                sourceId,
                what: '',
                minutesPerYear: together,
                moneyPerYear: money(together) + wasted * (together / all),
                price: null,
              },
            ]
          : []),
      ]
    })
    .toSorted((a, b) => b.moneyPerYear - a.moneyPerYear)
}

/** From how many changes a year a purchase pays, over the years that the shop counts. */
export const paysFromPerYear = (price: number, savedPerChange: number, years: number): number | null =>
  savedPerChange <= 0 ? null : price / years / savedPerChange

export interface AluminiumWay {
  readonly way: 'convert' | 'spool-gun' | 'own-machine'
  readonly name: string
  readonly price: number
  /** There and back, min. */
  readonly changeMin: number
  /** Hours of aluminium a year from which it beats converting; 0 for converting itself, null where never. */
  readonly paysFromH: number | null
}

/** Hours of aluminium that one change is made for (common practice, no source). */
const HOURS_PER_CHANGE = 2

/**
 * Aluminium on a machine that feeds steel: converted each time, with a spool gun, or on a machine of its own.
 * @param steel a set-up with steel wire
 * @param converted the same machine with its ordinary gun for aluminium
 * @param spoolGun the same with a spool gun; null where none is known
 * @param machine the cheapest machine to buy that would keep its aluminium on; null where none is known
 */
export function aluminiumChanges(
  shop: Shop,
  steel: OnMachine,
  converted: OnMachine,
  spoolGun: OnMachine | null,
  machine: { readonly name: string; readonly price: number } | null,
): readonly AluminiumWay[] {
  const { labourPerHour, horizonYears } = assumptionsOf(shop)
  const thereAndBack = (to: OnMachine): number =>
    changeoverBetween(shop, steel, to).minutes + changeoverBetween(shop, to, steel).minutes
  const base = thereAndBack(converted)
  const from = (price: number, changeMin: number): number | null => {
    const perYear = paysFromPerYear(price, ((base - changeMin) / MIN_PER_H) * labourPerHour, horizonYears)
    return perYear === null ? null : perYear * HOURS_PER_CHANGE
  }
  const gun = spoolGun?.parts.gun ?? null
  const gunMin = spoolGun ? thereAndBack(spoolGun) : 0
  return [
    { way: 'convert', name: converted.parts.gun?.name ?? '', price: 0, changeMin: base, paysFromH: 0 },
    ...(gun && gun.price !== null
      ? [
          {
            way: 'spool-gun' as const,
            name: gun.name,
            price: gun.price,
            changeMin: gunMin,
            paysFromH: from(gun.price, gunMin),
          },
        ]
      : []),
    ...(machine
      ? [
          {
            way: 'own-machine' as const,
            name: machine.name,
            price: machine.price,
            changeMin: 0,
            paysFromH: from(machine.price, 0),
          },
        ]
      : []),
  ]
}
