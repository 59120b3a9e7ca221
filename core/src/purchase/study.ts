/** What there is to know about a kit: the next best, what each purchase is worth, what a job costs, and what money buys. */
import { choose, type ChosenKit, type Hears, type Kit, kitWith, type Proof, solved } from './kit.ts'
import { Needless } from './needless.ts'
import type { OneOf } from './unbeaten.ts'
import { countedCost, type KitItem, type KitJob, type KitProblem, type KitWay } from './kitProblem.ts'
import { isLarge, type KitRules } from './program.ts'
import type { Progress, Solve } from './solve.ts'

/** What a purchase is worth: the kit without it. */
export interface Worth {
  readonly key: string
  /** What the rest then costs more; null where other jobs are done then. */
  readonly saves: number | null
  /** Jobs that stay undone then and were done, and the other way round. */
  readonly undone: readonly string[]
  readonly done: readonly string[]
  /** Of those that stay undone, those that nothing else does, for any money. */
  readonly never: readonly string[]
  readonly isProven: boolean
}

/** What a job changes. */
export interface JobWorth {
  readonly jobId: string
  /** Whether it is done at all. */
  readonly isDone: boolean
  /** What the kit with this job costs more than the one without it; with other jobs done it says little. */
  readonly costs: number
  readonly buysMore: readonly string[]
  readonly buysLess: readonly string[]
  /** Other jobs that are done only without it, and only with it. */
  readonly displaces: readonly string[]
  readonly brings: readonly string[]
  readonly isProven: boolean
}

/** Another kit than the best. */
export interface NextKit extends Kit {
  /** Jobs beyond the planned ones that it does and the best does not. */
  readonly doesMore: readonly string[]
  /** Jobs that are tight with the best, and fit with this. */
  readonly fits: readonly string[]
  readonly isProven: boolean
}

/** Jobs done for money spent on purchases. */
export interface FrontierPoint {
  readonly spent: number
  readonly done: number
}

export interface Study {
  /** Null where it was stopped before any was found. */
  readonly best: Kit | null
  readonly proof: Proof
  readonly next: readonly NextKit[]
  readonly worth: readonly Worth[]
  /** By a job that is planned: what it costs to have it. */
  readonly jobs: readonly JobWorth[]
  /** By a job that is not planned: what it would cost to take it on. */
  readonly others: readonly JobWorth[]
  readonly frontier: readonly FrontierPoint[]
}

/** Another kit than these is of little use. */
const NEXT_KITS = 3
const LARGER_KITS = 2
/** A kit that does more is worth a look up to so much more than the best. */
const NEARLY_AS_CHEAP = 1.1
const MOST_FRONTIER = 12

const keysOf = ({ buys }: Kit): readonly string[] => buys.map(({ key }) => key)
const lacking = (keys: readonly string[], of: readonly string[]): readonly string[] =>
  keys.filter((key) => !of.includes(key))
const isSame = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && lacking(a, b).length === 0

/** @returns whether a kit goes without something large of another; one of nothing is left by buying something */
function leaves(kit: Kit, other: Kit): boolean {
  const large = other.buys.filter(isLarge)
  const own = keysOf(kit)
  return large.length === 0 ? kit.buys.some(isLarge) : large.some(({ key }) => !own.includes(key))
}

const withJobs = (problem: KitProblem, jobs: readonly KitJob[]): KitProblem => ({ ...problem, jobs })

function jobWorth(jobId: string, having: ChosenKit, less: ChosenKit): JobWorth {
  const [a, b] = [having.kit, less.kit]
  return {
    jobId,
    isDone: !a.undone.includes(jobId),
    costs: a.total - b.total,
    buysMore: lacking(keysOf(a), keysOf(b)),
    buysLess: lacking(keysOf(b), keysOf(a)),
    displaces: lacking(a.undone, [...b.undone, jobId]),
    brings: lacking(b.undone, a.undone),
    isProven: having.proof.isProven && less.proof.isProven,
  }
}

const cheapestOf = (sets: OneOf, items: ReadonlyMap<string, KitItem>): readonly string[] | undefined => {
  const price = (set: readonly string[]): number =>
    set.reduce((sum, key) => sum + (items.get(key)?.price ?? 0), 0)
  return sets.toSorted((a, b) => price(a) - price(b))[0]
}

const tightJobs = ({ does }: Kit): readonly string[] =>
  does.filter(({ way }) => way.verdict === 'tight').map(({ jobId }) => jobId)

/** What is known so far: the best until now, and how far the solver is. */
export type StudyPart = Partial<Study> & { readonly progress?: Omit<Progress, 'values'> }

export interface StudyAsked {
  readonly budget: number | null
  /** Jobs that are not planned, and might be. */
  readonly others: readonly KitJob[]
}

/** A kit that could come next: the best of all that go without some things. */
interface Branch {
  readonly kit: Kit
  readonly isProven: boolean
  readonly without: readonly string[]
}

class Studying {
  readonly #rules: KitRules
  readonly #without = new Map<string, ChosenKit | null>()

  constructor(
    readonly problem: KitProblem,
    readonly solve: Solve,
    readonly asking: StudyAsked,
    readonly chosen: ChosenKit,
    readonly needless: Needless,
  ) {
    this.#rules = asking.budget === null ? {} : { budget: asking.budget }
  }

  #choose(problem: KitProblem, rules: KitRules): ChosenKit | null {
    return choose(problem, this.solve, { ...this.#rules, ...rules }, { needless: this.needless })
  }

  /** The best of all jobs without some things, asked once. */
  #bestWithout(keys: readonly string[]): ChosenKit | null {
    const key = [...keys].sort().join(' ')
    const known = this.#without.get(key)
    if (known !== undefined) return known
    const made = this.#choose(this.problem, { without: keys })
    this.#without.set(key, made)
    return made
  }

  get #best(): Kit {
    return this.chosen.kit
  }

  #asNext(kit: Kit, isProven: boolean): NextKit {
    const { others } = this.asking
    const doneBy = (one: Kit): readonly string[] =>
      kitWith({ items: this.problem.items, jobs: others }, keysOf(one)).does.map(({ jobId }) => jobId)
    return {
      ...kit,
      doesMore: lacking([...doneBy(kit), ...lacking(this.#best.undone, kit.undone)], doneBy(this.#best)),
      fits: lacking(tightJobs(this.#best), [...tightJobs(kit), ...kit.undone]),
      isProven,
    }
  }

  /** What one may go without to come to another kit; a kit of nothing large is left by buying something. */
  #branches({ kit, without }: Branch): readonly Branch[] {
    const large = kit.buys.filter(isLarge)
    const another = (chosen: ChosenKit | null, keys: readonly string[]): readonly Branch[] =>
      chosen && chosen.kit.undone.length <= this.#best.undone.length
        ? [{ kit: chosen.kit, isProven: chosen.proof.isProven, without: keys }]
        : []
    if (large.length === 0)
      return another(this.#choose(this.problem, { without, buysLarge: true }), without).filter((one) =>
        one.kit.buys.some(isLarge),
      )
    return large.flatMap(({ key }) => {
      const keys = [...without, key]
      return another(this.#bestWithout(keys), keys)
    })
  }

  /**
   * Kits that leave out something large of each before them, then those with one thing more that do more. Whoever lacks
   * something of a kit lacks one thing of it at least: the best without each in turn are all that can come next.
   */
  next(): readonly NextKit[] {
    const taken: NextKit[] = []
    let waiting = this.#branches({ kit: this.#best, isProven: true, without: [] })
    while (taken.length < NEXT_KITS) {
      const [first] = waiting.toSorted((a, b) => a.kit.total - b.kit.total)
      if (!first) break
      waiting = waiting.filter((one) => one !== first)
      // Of two that cost the same the solver may find the one with something beside.
      if ([this.#best, ...taken].every((one) => leaves(first.kit, one)))
        taken.push(this.#asNext(first.kit, first.isProven))
      if (taken.length < NEXT_KITS) waiting = [...waiting, ...this.#branches(first)]
    }
    return [...taken, ...this.#larger(taken)].sort((a, b) => a.total - b.total)
  }

  #larger(before: readonly Kit[]): readonly NextKit[] {
    const { problem, asking } = this
    const own = keysOf(this.#best)
    const items = new Map(problem.items.map((item) => [item.key, item]))
    const sets = new Map<string, readonly string[]>()
    for (const { ways } of [...problem.jobs, ...asking.others])
      for (const { needs, oneOf } of ways) {
        const small = oneOf.flatMap((sets) =>
          sets.some((set) => lacking(set, own).length === 0) ? [] : (cheapestOf(sets, items) ?? []),
        )
        const more = lacking([...needs, ...small], own)
        if (more.filter((key) => isLarge(items.get(key))).length === 1)
          sets.set([...more].sort().join(), more)
      }
    const found: NextKit[] = []
    for (const more of sets.values()) {
      const kit = kitWith(problem, [...own, ...more])
      // What it does more is bought for it, used by a planned job or not.
      const bought = problem.items.filter(({ key }) => own.includes(key) || more.includes(key))
      const purchases = bought.reduce((sum, { price }) => sum + price, 0)
      const total = kit.running + kit.tight + purchases
      if (total > this.#best.total * NEARLY_AS_CHEAP) continue
      if (asking.budget !== null && purchases > asking.budget) continue
      const whole = this.#asNext({ ...kit, buys: bought, purchases, total }, this.chosen.proof.isProven)
      if (whole.doesMore.length + whole.fits.length === 0) continue
      if (before.some((one) => isSame(keysOf(one), keysOf(whole)))) continue
      found.push(whole)
    }
    const gain = ({ doesMore, fits }: NextKit): number => doesMore.length + fits.length
    // Of kits that do the same the cheapest.
    return found
      .sort((a, b) => gain(b) - gain(a) || a.total - b.total)
      .filter((kit, at) => found.findIndex((one) => gain(one) === gain(kit)) === at)
      .slice(0, LARGER_KITS)
  }

  /**
   * Of large things: a small part is bought for what it goes with.
   * @param told hears of the rows so far, as each comes
   */
  worth(told: (rows: readonly Worth[]) => void): readonly Worth[] {
    const { problem } = this
    const best = this.#best
    const rows: Worth[] = []
    for (const { key } of best.buys.filter(isLarge)) {
      const less = this.#bestWithout([key])
      const undone = less ? lacking(less.kit.undone, best.undone) : []
      const done = less ? lacking(best.undone, less.kit.undone) : []
      const elsewhere = kitWith(
        problem,
        lacking(
          problem.items.map((item) => item.key),
          [key],
        ),
      )
      rows.push({
        key,
        saves: less && undone.length + done.length === 0 ? less.kit.total - best.total : null,
        undone,
        done,
        never: undone.filter((id) => elsewhere.undone.includes(id)),
        isProven: this.chosen.proof.isProven && less?.proof.isProven === true,
      })
      told([...rows])
    }
    return rows
  }

  /** @param told hears of the rows so far, whenever the solver has made one */
  jobs(told: (rows: readonly JobWorth[]) => void): readonly JobWorth[] {
    const { problem } = this
    const alike = new Map<readonly KitWay[], Map<string, ChosenKit>>()
    const rows: JobWorth[] = []
    /** Without one of two jobs with the same ways and runs all is as without the other, where all are done. */
    const bestOf = (fewer: KitProblem, { ways, runs, worthPerRun }: KitJob): ChosenKit | null => {
      const key = `${runs} ${worthPerRun}`
      const known = alike.get(ways)?.get(key)
      if (known) return known
      told([...rows])
      const made = this.#choose(fewer, {})
      if (made && made.kit.undone.length + this.#best.undone.length === 0) {
        const found = alike.get(ways) ?? new Map<string, ChosenKit>()
        alike.set(ways, found.set(key, made))
      }
      return made
    }
    for (const job of problem.jobs) {
      const way = this.#best.does.find(({ jobId }) => jobId === job.id)?.way
      // A job that nothing is bought for changes no purchase, unless there is too little money for all.
      if (
        way &&
        way.needs.length + way.oneOf.length === 0 &&
        this.#best.undone.length === 0 &&
        this.asking.budget === null
      ) {
        const costs = job.runs * countedCost(way)
        const same = { buysMore: [], buysLess: [], displaces: [], brings: [] }
        rows.push({ jobId: job.id, isDone: true, costs, ...same, isProven: this.chosen.proof.isProven })
        continue
      }
      const fewer = withJobs(
        problem,
        problem.jobs.filter(({ id }) => id !== job.id),
      )
      const less = bestOf(fewer, job)
      if (less) rows.push(jobWorth(job.id, this.chosen, less))
    }
    return rows
  }

  others(): readonly JobWorth[] {
    const { problem, asking } = this
    return asking.others.flatMap((job): readonly JobWorth[] => {
      const having = this.#choose(withJobs(problem, [...problem.jobs, job]), {})
      return having ? [jobWorth(job.id, having, this.chosen)] : []
    })
  }
}

/**
 * @param tell hears of each answer as it stands, so that whoever stops keeps what was found
 * @returns the whole study; its kit is null where nothing was found in time
 */
export function studyKit(
  problem: KitProblem,
  solve: Solve,
  asking: StudyAsked,
  tell: (part: StudyPart) => void = () => undefined,
): Study {
  const { budget } = asking
  const needless = new Needless({ ...problem, jobs: [...problem.jobs, ...asking.others] })
  const told: Hears = ({ best, bound, gap, seconds }, found) =>
    tell({ progress: { best, bound, gap, seconds }, ...(found ? { best: found } : {}) })
  const chosen = choose(problem, solve, budget === null ? {} : { budget }, { told, needless })
  const best = chosen?.kit ?? null
  const proof = chosen?.proof ?? { isProven: false, gap: 1 }
  tell({ best, proof })
  const nothing = { next: [], worth: [], jobs: [], others: [], frontier: [] }
  if (!chosen) return { best, proof, ...nothing }
  const studying = new Studying(problem, solve, asking, chosen, needless)
  // What each purchase is worth is found on the way to the next kits.
  const worth = studying.worth((rows) => tell({ worth: rows }))
  tell({ worth })
  const next = studying.next()
  tell({ next })
  const jobs = studying.jobs((rows) => tell({ jobs: rows }))
  tell({ jobs })
  const others = studying.others()
  tell({ others })
  const frontier = frontierOf(problem, solve, needless)
  tell({ frontier })
  return { best, proof, next, worth, jobs, others, frontier }
}

/** The least that purchases come to for so many jobs, from what is done with nothing bought to all of them. */
export function frontierOf(
  problem: KitProblem,
  solve: Solve,
  needless = new Needless(problem),
): readonly FrontierPoint[] {
  const all = problem.jobs.length
  const free = all - kitWith(problem, []).undone.length
  const points: FrontierPoint[] = [{ spent: 0, done: free }]
  const step = Math.max(1, Math.ceil((all - free) / MOST_FRONTIER))
  for (let done = free + 1; done <= all; done = done === all ? all + 1 : Math.min(all, done + step)) {
    const found = solved(problem, solve, { is: 'count', leastDone: done }, {}, { needless })
    if (!found) break
    const { purchases, undone } = found.kit
    const last = points.at(-1)
    // What does more for the same money takes the place of the point before.
    if (last && purchases <= last.spent) points.pop()
    points.push({ spent: purchases, done: all - undone.length })
    done = Math.max(done, all - undone.length)
  }
  return points
}
