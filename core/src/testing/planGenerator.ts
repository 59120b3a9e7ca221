/** Invented shops with their tasks, from a seed: for the search, its bounds and its checker. */
import { randomLcg } from 'd3-random'
import type { Interval, PlanProblem, SharedThing, Task, Way } from '../plan/problem.ts'

export interface Size {
  readonly tasks: number
  readonly setUps: number
  readonly machines: number
  readonly people: number
  /** Minutes of work over minutes of people until the last due day. */
  readonly load: number
  /** Longest task, min. */
  readonly longest?: number
}

const DAY_MIN = 1440
const MONDAY = 20_000 * DAY_MIN
/** 07:00 to 11:30 and 12:00 to 15:30, Monday to Friday. */
export const workWeeks = (days: number, from = MONDAY): readonly Interval[] =>
  Array.from({ length: days }, (_, day) => day)
    .filter((day) => day % 7 < 5)
    .flatMap((day) => [
      { startMin: from + day * DAY_MIN + 420, endMin: from + day * DAY_MIN + 690 },
      { startMin: from + day * DAY_MIN + 720, endMin: from + day * DAY_MIN + 930 },
    ])
const WORK_A_DAY = 480

/** @returns a problem in which due days are spread so that people have the given load */
export function inventedProblem(seed: number, size: Size): PlanProblem {
  const random = randomLcg(seed)
  const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1))
  const { setUps: setUpCount, machines, people, load, longest = 480 } = size
  const machineOf = Array.from({ length: setUpCount }, (_, at) =>
    at < machines ? at : whole(0, machines - 1),
  )
  const shared: SharedThing[] = [
    { id: 'gun', kind: 'gun', name: 'Gun', capacity: 1 },
    { id: 'panel', kind: 'panel', name: 'Panel', capacity: 100 },
  ]
  const usesOf = machineOf.map((_, at) => [
    ...(at % 5 === 1 ? [{ shared: 0, amount: 1 }] : []),
    { shared: 1, amount: whole(10, 40) },
  ])
  // Everybody may weld with most set-ups, and each set-up has somebody.
  const mayWeld = machineOf.map((_, at) => {
    const able = Array.from({ length: people }, (__, person) => person).filter(() => random() < 0.7)
    return able.length > 0 ? able : [at % people]
  })
  const raw = Array.from({ length: size.tasks }, () => {
    const workMin = whole(15, longest)
    const first = whole(0, setUpCount - 1)
    const others = Array.from({ length: whole(0, 2) }, () => whole(0, setUpCount - 1))
    const ways = [...new Set([first, ...others])].map((setUp): Way => ({
      setUp,
      workMin: setUp === first ? workMin : Math.round(workMin * (1 + random() * 0.4)),
      dislikedMin: 0,
      uses: usesOf[setUp] ?? [],
      people: mayWeld[setUp] ?? [0],
    }))
    return { workMin, ways }
  })
  const total = raw.reduce((sum, { workMin }) => sum + workMin, 0)
  const days = Math.max(1, total / load / (people * WORK_A_DAY))
  const tasks = raw.map(({ ways }, at): Task => {
    const day = Math.floor(((at + 0.5) / size.tasks) * days + random() * 2)
    const week = Math.floor(day / 5)
    return {
      id: `task-${at}`,
      ways,
      readyMin: MONDAY,
      dueMin: MONDAY + (week * 7 + (day % 5) + 1) * DAY_MIN,
      weight: random() < 0.15 ? 3 : 1,
      fixed: null,
      seen: null,
    }
  })
  return {
    fromMin: MONDAY + 420,
    tasks,
    setUps: machineOf.map((machine, at) => ({
      id: `set-up-${at}`,
      machine,
      changeFromNowMin: at < machines ? 0 : whole(4, 25),
    })),
    machines: Array.from({ length: machines }, (_, at) => `machine-${at}`),
    changeMin: machineOf.map((_, a) => machineOf.map((__, b) => (a === b ? 0 : 4 + ((a * 7 + b * 11) % 22)))),
    people: Array.from({ length: people }, (_, at) => ({ id: `person-${at}`, works: workWeeks(365) })),
    shared,
    calm: null,
  }
}
