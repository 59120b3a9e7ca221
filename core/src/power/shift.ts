/**
 * A shift in which several weld at once: second by second, from a seed. Arcs and pauses are those of the jobs, each a
 * little longer or shorter by chance, and everybody begins somewhere in his work. The same seed gives the same shift.
 */
import { randomLcg, randomNormal } from 'd3-random'
import { BANDS, type Band } from '../supply/breaker/breakerModel.ts'
import type { Beat } from '../supply/breaker/heat.ts'
import type { Tripping } from '../supply/breaker/overload.ts'
import type { Drawer, Node, Together } from './together.ts'

const HOUR_S = 3600
const MINUTE_S = 60

/** Currents of one drawer, A for every second. */
type Seconds = Float32Array

/** How often something happened in so many shifts, with the interval that holds its chance in 19 of 20 such trials. */
export interface Chance {
  readonly times: number
  readonly of: number
  readonly low: number
  readonly high: number
}

/** One breaker or generator through the shifts. */
export interface NodeShift {
  /** Mean over all seconds of all shifts, on the line that carries most, A. */
  readonly meanA: number
  readonly peakA: number
  /** Share of the seconds above what it holds without end. */
  readonly aboveShare: number
  /** By the earliest, the usual and the latest breaker of its standard; null of a generator. */
  readonly trips: Readonly<Record<Band, Chance>> | null
  /** When the usual one went in half of the shifts in which it went, s; null where it never did. */
  readonly usuallyAfterS: number | null
}

/** What is drawn of one node in the first shift: a point a minute. */
export interface NodeCurve {
  /** Mean of each minute, A. */
  readonly meanA: Float32Array
  /** Most of each minute, A. */
  readonly mostA: Float32Array
}

export interface Shifted<N extends Node> {
  readonly node: N
  readonly shift: NodeShift
  readonly curve: NodeCurve
}

/** Wilson's interval of a share: it holds at 0 and at 1 too. */
export function chanceOf(times: number, of: number): Chance {
  const Z = 1.96
  if (of === 0) return { times, of, low: 0, high: 1 }
  const share = times / of
  const middle = share + Z ** 2 / (2 * of)
  const half = Z * Math.sqrt((share * (1 - share)) / of + Z ** 2 / (4 * of ** 2))
  const whole = 1 + Z ** 2 / of
  return { times, of, low: Math.max(0, (middle - half) / whole), high: Math.min(1, (middle + half) / whole) }
}

/** A factor around 1 with this standard deviation, never below 0: log-normal. */
function spreadBy(share: number, source: () => number): () => number {
  if (share <= 0) return () => 1
  const sigma = Math.sqrt(Math.log(1 + share ** 2))
  const normal = randomNormal.source(source)(0, 1)
  return () => Math.exp(sigma * normal() - sigma ** 2 / 2)
}

interface Rhythm {
  readonly source: () => number
  readonly spread: () => number
  readonly startS: number
}

/**
 * Arcs and pauses that together are shorter than this are not laid out one by one: no breaker tells them apart, and a
 * legal job of tacks of a thousandth of a second would be a thousand million of them a shift.
 */
const GRAIN_S = 0.25
interface Piece extends Beat {
  /** Many short arcs with their starts and pauses as one, by the square that heats. */
  readonly isMixed: boolean
}

/** @returns the same work in pieces no shorter than the grain, but for the last of each stretch of short ones */
function piecesOf({ beats, startA }: Drawer, motorStartS: number): readonly Piece[] {
  const pieces: Piece[] = []
  let [mixedS, squareS] = [0, 0]
  const endMixed = (): void => {
    if (mixedS === 0) return
    const times = Math.max(1, Math.floor(mixedS / GRAIN_S))
    pieces.push({
      onS: mixedS / times,
      offS: 0,
      times,
      onA: Math.sqrt(squareS / mixedS),
      offA: 0,
      isMixed: true,
    })
    ;[mixedS, squareS] = [0, 0]
  }
  for (const beat of beats) {
    const { onS, offS, times, onA, offA } = beat
    if (onS + offS >= GRAIN_S) {
      endMixed()
      pieces.push({ ...beat, isMixed: false })
      continue
    }
    const startS = startA > onA ? Math.min(motorStartS, onS) : 0
    mixedS += (onS + offS) * times
    squareS += (startA ** 2 * startS + onA ** 2 * (onS - startS) + offA ** 2 * offS) * times
  }
  endMixed()
  return pieces
}

/**
 * Writes the current of each second: of a second that is part arc and part pause, its root mean square.
 * @returns the greatest of them, A
 */
function layOut(
  { startA, isSteady }: Drawer,
  pieces: readonly Piece[],
  seconds: Seconds,
  rhythm: Rhythm,
): number {
  const cycleS = pieces.reduce((sum, { onS, offS, times }) => sum + (onS + offS) * times, 0)
  if (cycleS <= 0) return 0
  const squares = seconds.fill(0)
  let atS = isSteady ? 0 : -rhythm.source() * cycleS
  const put = (currentA: number, forS: number): void => {
    const from = Math.max(0, atS)
    const to = Math.min(squares.length, atS + forS)
    atS += forS
    if (to <= from || currentA === 0) return
    const square = currentA ** 2
    const [first, last] = [Math.floor(from), Math.ceil(to) - 1]
    if (first === last) {
      squares[first] = (squares[first] ?? 0) + square * (to - from)
      return
    }
    squares[first] = (squares[first] ?? 0) + square * (first + 1 - from)
    squares.fill(square, first + 1, last)
    squares[last] = (squares[last] ?? 0) + square * (to - last)
  }
  // A cycle shorter than the grain is one mixed piece: it is laid out as if it were as long.
  const least = cycleS < GRAIN_S ? GRAIN_S / cycleS : 1
  while (atS < squares.length)
    for (const { onS, offS, times, onA, offA, isMixed } of pieces)
      for (let n = 0; n < times && atS < squares.length; n += 1) {
        const arcS = (isSteady ? onS : onS * rhythm.spread()) * least
        const startS = startA > onA && !isMixed ? Math.min(rhythm.startS, arcS) : 0
        if (startS > 0) put(startA, startS)
        if (arcS > startS) put(onA, arcS - startS)
        if (offS > 0) put(offA, isSteady ? offS : offS * rhythm.spread())
      }
  let mostA = 0
  for (let at = 0; at < squares.length; at += 1) {
    const currentA = (squares[at] = Math.sqrt(squares[at] ?? 0))
    if (currentA > mostA) mostA = currentA
  }
  return mostA
}

const LINES = [0, 1, 2] as const
type Line = (typeof LINES)[number]

/** Work space: what hangs on one line, between it and the next, and between it and the last. */
interface Space {
  readonly line: Float32Array
  readonly next: Float32Array
  readonly last: Float32Array
}
const spaceFor = (length: number): Space => ({
  line: new Float32Array(length),
  next: new Float32Array(length),
  last: new Float32Array(length),
})

/** Two at a time: most of the time goes into reading and writing the sums. */
function sumOf(drawers: readonly number[], drawn: readonly Seconds[], sums: Float32Array): Float32Array {
  const [first, ...rest] = drawers.flatMap((drawer) => drawn[drawer] ?? [])
  if (!first) return sums.fill(0)
  sums.set(first)
  for (let n = 0; n < rest.length; n += 2) {
    const [one, other] = [rest[n] as Seconds, rest[n + 1]]
    if (other)
      for (let at = 0; at < sums.length; at += 1)
        sums[at] = (sums[at] as number) + ((one[at] as number) + (other[at] as number))
    else for (let at = 0; at < sums.length; at += 1) sums[at] = (sums[at] as number) + (one[at] as number)
  }
  return sums
}

/** Who draws on one line: alone, with the next line, with the last. */
interface OnLine {
  readonly alone: readonly number[]
  readonly next: readonly number[]
  readonly last: readonly number[]
}

function onLine({ carries }: Node, line: Line): OnLine {
  const before = (line + 2) % 3
  const drawersOf = (is: (wired: Node['carries'][number]['wired']) => boolean): readonly number[] =>
    carries.flatMap(({ drawer, wired }) => (is(wired) ? [drawer] : []))
  return {
    alone: drawersOf((wired) => wired === 'all' || ('on' in wired && wired.on === line)),
    next: drawersOf((wired) => wired !== 'all' && 'between' in wired && wired.between === line),
    last: drawersOf((wired) => wired !== 'all' && 'between' in wired && wired.between === before),
  }
}

/**
 * Lines of a node that have breakers of their own to heat, each with who draws on it. Of lines that carry the same one is
 * enough: a machine on all of them, or between two, heats them alike.
 */
function linesOf(node: Node): readonly OnLine[] {
  const { phases } = node
  const lines = (phases === 3 ? LINES : ([0, 1] as const)).map((line) => onLine(node, line))
  const keyOf = ({ alone, next, last }: OnLine): string =>
    [alone.join(), ...[next.join(), last.join()].sort()].join(' ')
  return lines.filter((line, at) => lines.findIndex((one) => keyOf(one) === keyOf(line)) === at)
}

/**
 * Current of one line, second by second. Two currents between lines meet in it at 60° (all lag alike); everything else is
 * added as if in step, which is on the safe side.
 */
function currentsOf({ alone, next, last }: OnLine, drawn: readonly Seconds[], space: Space): Float32Array {
  if (next.length === 0 || last.length === 0) return sumOf([...alone, ...next, ...last], drawn, space.line)
  const sums = sumOf(alone, drawn, space.line)
  const ofNext = sumOf(next, drawn, space.next)
  const ofLast = sumOf(last, drawn, space.last)
  for (let at = 0; at < sums.length; at += 1) {
    const [one, other] = [ofNext[at] as number, ofLast[at] as number]
    sums[at] = (sums[at] as number) + Math.sqrt(one * one + other * other + one * other)
  }
  return sums
}

interface Passed {
  readonly sumA: number
  readonly peakA: number
  readonly aboveS: number
  /** When it tripped, s; null where it held. */
  readonly atS: Readonly<Record<Band, number | null>>
}

const NEVER: Passed['atS'] = { early: null, nominal: null, late: null }

interface Heating {
  readonly level: number
  /** Share of its heat that is left after a second. */
  readonly decay: number
}

/** When the breakers of a line go, by the earliest, the usual and the latest: each heats in its own time. */
function tripsAt({ ratingA, stores }: Omit<Tripping, 'heldA'>, currents: Float32Array): Passed['atS'] {
  const atS: Record<Band, number | null> = { ...NEVER }
  const rating2 = ratingA ** 2
  // Spelled out for three breakers: this runs a million times a shift.
  const [early, nominal, late] = BANDS.map((band) => ({
    level: stores[band].tripsAt ** 2,
    decay: Math.exp(-1 / stores[band].constantS),
  })) as [Heating, Heating, Heating]
  let [hotEarly, hotNominal, hotLate] = [0, 0, 0]
  for (let at = 0; at < currents.length && atS.late === null; at += 1) {
    const currentA = currents[at] as number
    const drive = (currentA * currentA) / rating2
    hotEarly = drive + (hotEarly - drive) * early.decay
    hotNominal = drive + (hotNominal - drive) * nominal.decay
    hotLate = drive + (hotLate - drive) * late.decay
    if (atS.early === null && hotEarly > early.level) atS.early = at + 1
    if (atS.nominal === null && hotNominal > nominal.level) atS.nominal = at + 1
    if (hotLate > late.level) atS.late = at + 1
  }
  return atS
}
/** What is added in another order, in figures of seven digits, may come out a little higher. */
const ROUNDING = 1e-5
/** No breaker gets hotter than the greatest current would make it without end. */
const mayTrip = ({ ratingA, stores }: Omit<Tripping, 'heldA'>, peakA: number): boolean =>
  peakA / ratingA > Math.min(...BANDS.map((band) => stores[band].tripsAt))

/** @returns whether a line stays below what it holds even where all that hangs on it draws its most at once */
function isQuiet({ heldA, trips }: Node, { alone, next, last }: OnLine, peaksA: readonly number[]): boolean {
  const mostA =
    [...alone, ...next, ...last].reduce((sum, drawer) => sum + (peaksA[drawer] ?? 0), 0) * (1 + ROUNDING)
  return mostA <= heldA && !(trips && mayTrip(trips, mostA))
}
const QUIET: Passed = { sumA: 0, peakA: 0, aboveS: 0, atS: NEVER }

/** One line through one shift. */
function through({ heldA, trips }: Node, currents: Float32Array): Passed {
  let [sumA, peakA, aboveS] = [0, 0, 0]
  // eslint-disable-next-line @typescript-eslint/prefer-for-of -- an iterator takes twice as long, over a million seconds a shift
  for (let at = 0; at < currents.length; at += 1) {
    const currentA = currents[at] as number
    sumA += currentA
    if (currentA > peakA) peakA = currentA
    if (currentA > heldA) aboveS += 1
  }
  return { sumA, peakA, aboveS, atS: trips && mayTrip(trips, peakA) ? tripsAt(trips, currents) : NEVER }
}

const worse = (a: Passed, b: Passed): Passed => ({
  sumA: Math.max(a.sumA, b.sumA),
  peakA: Math.max(a.peakA, b.peakA),
  aboveS: Math.max(a.aboveS, b.aboveS),
  atS: {
    early: sooner(a.atS.early, b.atS.early),
    nominal: sooner(a.atS.nominal, b.atS.nominal),
    late: sooner(a.atS.late, b.atS.late),
  },
})
const sooner = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? (a ?? b) : Math.min(a, b)

const minutesFor = (length: number): NodeCurve => {
  const minutes = Math.ceil(length / MINUTE_S)
  return { meanA: new Float32Array(minutes), mostA: new Float32Array(minutes) }
}

/** Of several lines the one that carries most, minute by minute. */
function addCurve({ meanA, mostA }: NodeCurve, currents: Float32Array): void {
  for (let minute = 0; minute < meanA.length; minute += 1) {
    const part = currents.subarray(minute * MINUTE_S, (minute + 1) * MINUTE_S)
    let [sum, most] = [0, 0]
    for (const currentA of part) {
      sum += currentA
      if (currentA > most) most = currentA
    }
    meanA[minute] = Math.max(meanA[minute] ?? 0, sum / part.length)
    mostA[minute] = Math.max(mostA[minute] ?? 0, most)
  }
}

export interface HowLong {
  readonly hours: number
  /** Shifts that are tried. */
  readonly runs: number
  readonly seed: number
}

type Looked<N extends Node> = Pick<Together, 'drawers' | 'assumptions'> & { readonly nodes: readonly N[] }

/** @param isForTrips whether no more is asked than trips and time above: of means, peaks and curves nothing is known then */
function tried<N extends Node>(
  { drawers, nodes, assumptions }: Looked<N>,
  { hours, runs, seed }: HowLong,
  isForTrips: boolean,
): readonly Shifted<N>[] {
  const length = Math.round(hours * HOUR_S)
  const source = randomLcg(seed)
  const spread = spreadBy(assumptions.handSpreadPct / 100, source)
  const rhythm: Rhythm = { source, spread, startS: assumptions.motorStartS }
  // Of ten machines a pair has two: what hangs on none of the nodes is not laid out.
  const carried = new Set(nodes.flatMap(({ carries }) => carries.map(({ drawer }) => drawer)))
  const hands = drawers.map((drawer, at) => ({
    drawer,
    pieces: carried.has(at) ? piecesOf(drawer, assumptions.motorStartS) : [],
    seconds: new Float32Array(carried.has(at) ? length : 0),
  }))
  const drawn = hands.map(({ seconds }) => seconds)
  const space = spaceFor(length)
  const looked = nodes.map((node) => ({
    node,
    lines: linesOf(node),
    passed: [] as Passed[],
    curve: minutesFor(length),
  }))
  for (let run = 0; run < runs; run += 1) {
    const peaksA = hands.map(({ drawer, pieces, seconds }) => layOut(drawer, pieces, seconds, rhythm))
    for (const { node, lines, passed, curve } of looked) {
      const ofLines = lines.map((line) => {
        if (isForTrips && isQuiet(node, line, peaksA)) return QUIET
        const currents = currentsOf(line, drawn, space)
        if (run === 0 && !isForTrips) addCurve(curve, currents)
        return through(node, currents)
      })
      passed.push(ofLines.reduce(worse))
    }
  }
  return looked.map(({ node, passed, curve }) => ({ node, shift: summaryOf(node, passed, length), curve }))
}

/**
 * @returns for each node how often it trips, and how it went through the first shift
 * @example shiftOf(togetherOf(shop, shelf, [{ job, setUp }]), { hours: 8, runs: 40, seed: 1 })[0]?.shift.aboveShare
 */
export const shiftOf = <N extends Node>(of: Looked<N>, howLong: HowLong): readonly Shifted<N>[] =>
  tried(of, howLong, false)

/**
 * @returns for each node how often it trips, and how long it is above what it holds, no more: sooner than `shiftOf`
 * @example heldThrough(together, { hours: 8, runs: 8, seed: 1 })[0]?.aboveShare // 0
 */
export const heldThrough = <N extends Node>(
  of: Looked<N>,
  howLong: HowLong,
): readonly ({ readonly node: N } & Pick<NodeShift, 'aboveShare' | 'trips'>)[] =>
  tried(of, howLong, true).map(({ node, shift: { aboveShare, trips } }) => ({ node, aboveShare, trips }))

function summaryOf({ trips }: Node, passed: readonly Passed[], length: number): NodeShift {
  const seconds = Math.max(1, passed.length * length)
  const tripsOf = (band: Band): Chance =>
    chanceOf(passed.filter(({ atS }) => atS[band] !== null).length, passed.length)
  const went = passed.flatMap(({ atS }) => atS.nominal ?? []).sort((a, b) => a - b)
  return {
    meanA: passed.reduce((sum, { sumA }) => sum + sumA, 0) / seconds,
    peakA: Math.max(0, ...passed.map(({ peakA }) => peakA)),
    aboveShare: passed.reduce((sum, { aboveS }) => sum + aboveS, 0) / seconds,
    trips: trips && { early: tripsOf('early'), nominal: tripsOf('nominal'), late: tripsOf('late') },
    usuallyAfterS: went[Math.floor((went.length - 1) / 2)] ?? null,
  }
}
