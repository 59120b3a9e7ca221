/** What the page says of a purchase plan, of what it is proven among, and of what each purchase and each job changes. */
import {
  capital,
  MOST_WAYS,
  type JobWorth,
  type Kit,
  type NextKit,
  type Proof,
  type Worth,
} from '@brannik/core'
import type { KitGround } from './kitMessages.ts'

export interface KitNames {
  readonly item: (key: string) => string
  readonly job: (id: string) => string
  /** Without cents. */
  readonly money: (amount: number) => string
  readonly percent: (share: number) => string
}

/**
 * Names with commas of their own are parted by semicolons: else nobody sees where one ends.
 * @example listed(['Bay 1, rewired', 'a gun']) // 'Bay 1, rewired; a gun'
 */
export const listed = (names: readonly string[]): string =>
  names.join(names.some((name) => name.includes(', ')) ? '; ' : ', ')
const joined = (parts: readonly string[], by: string): string => parts.filter((part) => part !== '').join(by)
const lacking = (keys: readonly string[], of: readonly string[]): readonly string[] =>
  keys.filter((key) => !of.includes(key))

/** @returns what is bought and rented, in a line */
export function headlineOf(
  kit: Kit,
  large: readonly string[],
  smallCount: number,
  { item }: Pick<KitNames, 'item'>,
): string {
  const small = smallCount === 0 ? [] : [smallCount === 1 ? 'a small part' : `${smallCount} small parts`]
  const rented = [...new Set(kit.does.flatMap(({ way }) => way.rents ?? []))]
  const buys = [...large, ...small]
  const text = joined(
    [
      buys.length > 0 ? `buy ${listed(buys)}` : '',
      rented.length > 0 ? `rent ${listed(rented.map(item))}` : '',
    ],
    '; ',
  )
  return capital(text === '' ? 'buy nothing: what you own does every job' : text)
}

/** @returns what the plan is proven among, and how much better could exist where it is not */
export function proofWords(
  { isProven, gap }: Proof,
  { items, problem }: Pick<KitGround, 'items' | 'problem'>,
  { percent }: Pick<KitNames, 'percent'>,
): string {
  const among = problem.isWhole
    ? `all combinations of the ${items} items in your lists`
    : `${MOST_WAYS} ways of each job with the ${items} items in your lists`
  const first = isProven
    ? `Proven optimal: no cheaper purchase plan exists among ${among}.`
    : `Not proven: at most ${percent(gap * 100)} less could be possible among ${among}.`
  return problem.unpriced.length === 0 ? first : `${first} Items without a price are left out.`
}

const notProven = (isProven: boolean): string => (isProven ? '' : ' (not proven)')

/** @returns what a purchase is worth */
export function worthWords(
  { saves, undone, done, never, isProven }: Worth,
  { job, money }: Pick<KitNames, 'job' | 'money'>,
): string {
  if (saves !== null) return `The next best plan without it costs ${money(saves)} more${notProven(isProven)}`
  const forMoney = lacking(undone, never)
  const text = joined(
    [
      never.length > 0 ? `nothing else does ${listed(never.map(job))}` : '',
      forMoney.length > 0
        ? `without it there is no money for ${listed(forMoney.map(job))}`
        : never.length === 0 && done.length > 0
          ? 'without it other jobs are done'
          : '',
      done.length > 0 ? `${listed(done.map(job))} would be done instead` : '',
    ],
    '; ',
  )
  return `${capital(text)}${notProven(isProven)}`
}

/** @returns which purchases are added and dropped */
const changes = (
  more: readonly string[],
  less: readonly string[],
  { item }: Pick<KitNames, 'item'>,
): string =>
  joined(
    [
      more.length > 0 ? `buy ${listed(more.map(item))}` : '',
      less.length > 0 ? `do not buy ${listed(less.map(item))}` : '',
    ],
    '; ',
  ) || 'same purchases'

/** @returns what is otherwise without a job that is planned */
export function withoutJobWords(worth: JobWorth, names: KitNames): string {
  const { isDone, costs, buysMore, buysLess, displaces, isProven } = worth
  if (!isDone) return 'Not done: there is no money for it'
  const instead = displaces.length > 0 ? `${listed(displaces.map(names.job))} can be done instead` : ''
  const saved = displaces.length > 0 ? '' : `saves ${names.money(costs)}`
  const text = joined([saved, instead, changes(buysLess, buysMore, names)], '; ')
  return `${capital(text)}${notProven(isProven)}`
}

/** @returns what one job more costs */
export function oneMoreWords(worth: JobWorth, names: KitNames): string {
  const { isDone, costs, buysMore, buysLess, displaces, isProven } = worth
  if (!isDone) return 'cannot be done for this money'
  if (displaces.length > 0)
    return `can be done, but then there is no money for ${listed(displaces.map(names.job))}: ${changes(buysMore, buysLess, names)}`
  return `costs ${names.money(costs)} more: ${changes(buysMore, buysLess, names)}${notProven(isProven)}`
}

/** @returns how another plan differs from the best */
export function nextWords(kit: NextKit, best: Kit, names: KitNames): string {
  const keys = ({ buys }: Kit): readonly string[] => buys.map(({ key }) => key)
  const more = lacking(keys(kit), keys(best)).map(names.item)
  const less = lacking(keys(best), keys(kit)).map(names.item)
  const differs = joined(
    [
      more.length > 0 ? `with ${listed(more)}` : '',
      less.length > 0 ? `without ${listed(less)}` : '',
      kit.doesMore.length > 0 ? `also does ${listed(kit.doesMore.map(names.job))}` : '',
      kit.fits.length > 0 ? `${listed(kit.fits.map(names.job))} fits instead of tight` : '',
    ],
    ', ',
  )
  return `${differs}${notProven(kit.isProven)}`
}

const CENTS = 100
/** An amount as it is printed, in whole cents. */
const inCents = (amount: number): number => Math.round(amount * CENTS)

/**
 * What a column of amounts lacks to its total, as both are printed.
 * @returns null where they add up to the cent
 * @example differenceOf([10.004, 10.004], 20.01) // 0.01
 */
export function differenceOf(amounts: readonly number[], total: number): number | null {
  const lacks = inCents(total) - amounts.reduce((sum, one) => sum + inCents(one), 0)
  return lacks === 0 ? null : lacks / CENTS
}

/** What the difference is called: each amount may be half a cent off, and more is something that has no line. */
export const differenceWords = (difference: number, amounts: readonly number[]): string =>
  Math.abs(difference) <= (amounts.length + 1) / 2 / CENTS ? 'Rounding' : 'Not in a line above'
