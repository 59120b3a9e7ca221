/**
 * Says what is wrong with a plan, minute by minute and by other means than those that made it: a plan that breaks a
 * constraint is worse than none.
 */
import type { Interval, Placed, PlanProblem } from '../plan/problem.ts'

/** So many minutes of work are within these hours between two minutes, counted one by one. */
export function countedMin(works: readonly Interval[], fromMin: number, untilMin: number): number {
  let counted = 0
  for (let minute = fromMin; minute < untilMin; minute += 1)
    if (works.some(({ startMin, endMin }) => minute >= startMin && minute < endMin)) counted += 1
  return counted
}

const overlap = (one: Placed, other: Placed): boolean =>
  one.startMin < other.endMin && other.startMin < one.endMin
const pairs = (list: readonly Placed[]): readonly (readonly [Placed, Placed])[] =>
  list.flatMap((one, at) => list.slice(at + 1).map((other) => [one, other] as const))

/** @returns sentences; none where all is well */
export function faultsOf(problem: PlanProblem, placed: readonly Placed[]): readonly string[] {
  const { tasks, setUps, people, changeMin, shared, fromMin } = problem
  const faults: string[] = []
  const counts = tasks.map((_, task) => placed.filter((one) => one.task === task).length)
  counts.forEach((count, task) => {
    if (count !== 1) faults.push(`task ${task} is in the plan ${count} times`)
  })
  const wayOf = ({ task, way }: Placed) => tasks[task]?.ways[way]
  const machineOf = (one: Placed): number => setUps[wayOf(one)?.setUp ?? -1]?.machine ?? -1
  const done = placed.filter(({ endMin }) => Number.isFinite(endMin))
  for (const one of done) {
    const [way, task] = [wayOf(one), tasks[one.task]]
    if (!way || !task) {
      faults.push(`task ${one.task} has no such way`)
      continue
    }
    if (!way.people.includes(one.person)) faults.push(`person ${one.person} may not do task ${one.task}`)
    if (one.startMin < Math.max(fromMin, task.readyMin)) faults.push(`task ${one.task} begins too soon`)
    const { works = [] } = people[one.person] ?? {}
    if (!works.some(({ startMin, endMin }) => one.startMin >= startMin && one.startMin < endMin))
      faults.push(`task ${one.task} begins outside hours`)
    const counted = countedMin(works, one.startMin, one.endMin)
    if (Math.abs(counted - one.changeMin - way.workMin) > 1)
      faults.push(`task ${one.task} has ${counted} minutes for ${one.changeMin} and ${way.workMin}`)
    if (task.fixed) {
      if (one.way !== task.fixed.way || one.person !== task.fixed.person)
        faults.push(`pin ${one.task} is elsewhere`)
      if (one.startMin < task.fixed.startMin) faults.push(`pin ${one.task} begins too soon`)
    }
    const before = done
      .filter((other) => machineOf(other) === machineOf(one) && other.endMin <= one.startMin && other !== one)
      .toSorted((a, b) => b.endMin - a.endMin)[0]
    const from = before && wayOf(before)
    const asked = task.fixed?.hasBegun
      ? 0
      : from
        ? (changeMin[from.setUp]?.[way.setUp] ?? NaN)
        : (setUps[way.setUp]?.changeFromNowMin ?? NaN)
    if (asked !== one.changeMin)
      faults.push(`task ${one.task} changes over in ${one.changeMin} instead of ${asked}`)
  }
  const hasBegun = ({ task }: Placed): boolean => tasks[task]?.fixed?.hasBegun ?? false
  for (const begun of done.filter(hasBegun))
    for (const one of done)
      if (
        !hasBegun(one) &&
        one.startMin < begun.startMin &&
        (machineOf(one) === machineOf(begun) || one.person === begun.person)
      )
        faults.push(`task ${one.task} comes before task ${begun.task}, which has begun`)
  for (const [one, other] of pairs(done)) {
    if (!overlap(one, other)) continue
    if (machineOf(one) === machineOf(other)) faults.push(`tasks ${one.task} and ${other.task} on one machine`)
    if (one.person === other.person) faults.push(`tasks ${one.task} and ${other.task} by one person`)
  }
  shared.forEach(({ id, capacity }, which) => {
    const using = done.filter((one) => wayOf(one)?.uses.some((use) => use.shared === which))
    for (const one of using) {
      const at = using.filter(({ startMin, endMin }) => startMin <= one.startMin && endMin > one.startMin)
      const amount = at.reduce(
        (sum, each) => sum + (wayOf(each)?.uses.find((use) => use.shared === which)?.amount ?? 0),
        0,
      )
      // What is too much by itself is told elsewhere; it has it alone.
      if (at.length > 1 && amount > capacity + 1e-6) faults.push(`${id} is used ${amount} of ${capacity}`)
    }
  })
  return faults
}
