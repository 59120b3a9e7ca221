/**
 * Things to buy that a kit never needs, because another does all that they do for no more money. Of a hundred machines
 * for sale a handful is left to choose from, which the solver does in a tenth of the time.
 *
 * An exchange argument: A stands for B where in each job every way with B has one with A in its place, and the price of A
 * with what all runs then cost more is no more than the price of B. A kit that has B costs no more with A instead, and does
 * the same jobs; so some cheapest kit has no B. With fewer jobs it holds all the more.
 */
import { groupsOf } from './program.ts'
import { needsNoMore } from './unbeaten.ts'
import { countedCost, type KitItem, type KitProblem, type KitWay } from './kitProblem.ts'

type Asked = Pick<KitProblem, 'items' | 'jobs'>

/** Jobs that share their ways, with all their runs. */
type Groups = ReadonlyMap<readonly KitWay[], number>

/** By thing and list of ways those ways that need it; what is one of several to choose from stands nowhere. */
type Using = ReadonlyMap<string, ReadonlyMap<readonly KitWay[], readonly KitWay[]>>

function usingOf(groups: Groups): Using {
  const using = new Map<string, Map<readonly KitWay[], KitWay[]>>()
  const optional = new Set<string>()
  for (const ways of groups.keys())
    for (const way of ways) {
      for (const key of way.oneOf.flat(2)) optional.add(key)
      for (const key of way.needs) {
        let lists = using.get(key)
        if (!lists) using.set(key, (lists = new Map<readonly KitWay[], KitWay[]>()))
        const list = lists.get(ways)
        if (list) list.push(way)
        else lists.set(ways, [way])
      }
    }
  for (const key of optional) using.delete(key)
  return using
}

/** What a run costs more by the cheapest way that needs nothing beyond these; Infinity where there is none. */
function costsMore(way: KitWay, needs: readonly string[], among: readonly KitWay[]): number {
  let least = Infinity
  for (const other of among) {
    const counted = countedCost(other)
    if (counted < least && needsNoMore(other, { needs, oneOf: way.oneOf })) least = counted
  }
  return Math.max(0, least - countedCost(way))
}

/** Whether a kit with `dear` costs no more with `cheap` in its place, whatever else is in it. */
function standsFor(cheap: KitItem, dear: KitItem, groups: Groups, using: Using): boolean {
  let roomLeft = dear.price - cheap.price
  if (roomLeft < 0) return false
  const ofCheap = using.get(cheap.key)
  for (const [ways, withDear] of using.get(dear.key) ?? []) {
    const withCheap = ofCheap?.get(ways) ?? []
    let most = 0
    for (const way of withDear) {
      const needs = way.needs.map((key) => (key === dear.key ? cheap.key : key))
      const more = costsMore(way, needs, withCheap)
      // Where it has none with the cheap one, one with neither may do.
      most = Math.max(most, more < Infinity ? more : costsMore(way, needs, ways))
    }
    roomLeft -= most * (groups.get(ways) ?? 0)
    if (!(roomLeft >= 0)) return false
  }
  return true
}

/** The dearest first: each goes where something stays that stands for it. */
function needlessOf(items: readonly KitItem[], groups: Groups, using: Using): ReadonlySet<string> {
  const gone = new Set<string>()
  for (const dear of items.toSorted((a, b) => b.price - a.price)) {
    if (!using.has(dear.key)) continue
    const isReplaced = items.some(
      (cheap) =>
        cheap !== dear &&
        cheap.slot === dear.slot &&
        !gone.has(cheap.key) &&
        standsFor(cheap, dear, groups, using),
    )
    if (isReplaced) gone.add(dear.key)
  }
  return gone
}

/** One kit's problem, made small for each question that is asked of it. */
export class Needless {
  readonly #groups: Groups
  readonly #using: Using
  readonly #known = new Map<string, ReturnType<Needless['reduced']>>()

  /** @param asked with every job that any of the questions will have: it holds for each part of them */
  constructor(readonly asked: Asked) {
    this.#groups = new Map(groupsOf(asked.jobs).map(({ ways, runs }) => [ways, runs]))
    this.#using = usingOf(this.#groups)
  }

  /**
   * @param without what may not be bought, and stays to be told so: what it stood for may be needed then
   * @returns what makes a problem with some of the jobs small: among its cheapest kits is one of the whole
   */
  reduced(without: readonly string[]): (problem: KitProblem) => KitProblem {
    const key = [...without].sort().join(' ')
    const known = this.#known.get(key)
    if (known) return known
    const barred = new Set(without)
    const { items } = this.asked
    const forSale = items.filter((item) => !barred.has(item.key))
    const gone = needlessOf(forSale, this.#groups, this.#using)
    const left = new Map<readonly KitWay[], readonly KitWay[]>()
    const leftOf = (ways: readonly KitWay[]): readonly KitWay[] => {
      const found =
        left.get(ways) ?? ways.filter(({ needs }) => needs.every((one) => !gone.has(one) && !barred.has(one)))
      left.set(ways, found)
      return found
    }
    const made = (problem: KitProblem): KitProblem => ({
      ...problem,
      items: items.filter((item) => !gone.has(item.key)),
      jobs: problem.jobs.map((job) => ({ ...job, ways: leftOf(job.ways) })),
    })
    this.#known.set(key, made)
    return made
  }
}
