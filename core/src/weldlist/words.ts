/** The words of a weld line: what people write for joints, positions and patterns, and what is printed for them. */
import { type JointKind, type Position } from '../model/jointKinds.ts'
import type { Joint } from '../model/job.ts'

/** A joint as it is chosen: a kind, and whether it goes round a tube. */
export interface JointChoice {
  readonly kind: JointKind
  readonly around: boolean
  readonly name: string
  /** Other words for it, lower case. */
  readonly words: readonly string[]
}

const choice = (kind: JointKind, name: string, words: readonly string[], around = false): JointChoice => ({
  kind,
  around,
  name,
  words,
})

export const JOINT_CHOICES: readonly JointChoice[] = [
  choice('tee', 'T-joint', ['t', 'tee', 't joint', 'fillet', 't-fillet']),
  choice('lap', 'Lap', ['lap', 'lap joint']),
  choice('inside-corner', 'Inside corner', ['ic', 'inside', 'corner', 'inside corner']),
  choice('outside-corner', 'Outside corner', ['oc', 'outside', 'outside corner', 'open corner']),
  choice('square', 'Square butt', ['sq', 'square', 'butt', 'square butt', 'i']),
  choice('v', 'V butt', ['v', 'single v', 'v butt', 'vee']),
  choice('double-v', 'Double V', ['x', 'double v', 'dv']),
  choice('bevel', 'Bevel', ['bevel', 'single bevel', 'b', 'hv']),
  choice('double-bevel', 'Double bevel', ['k', 'double bevel', 'db']),
  choice('u', 'U butt', ['u', 'u butt']),
  choice('j', 'J butt', ['j', 'j butt']),
  choice('flare-v', 'Flare V', ['fv', 'flare v', 'flare-v']),
  choice('flare-bevel', 'Flare bevel', ['fb', 'flare bevel', 'flare-bevel', 'tube to flat']),
  choice('edge', 'Edge', ['edge', 'e']),
  choice('plug', 'Plug', ['plug', 'p']),
  choice('slot', 'Slot', ['slot']),
  choice('tee', 'Tube to plate', ['tp', 'tube to plate', 'pipe to plate', 'flange'], true),
  choice('lap', 'Sleeve', ['sleeve', 'socket'], true),
  choice('square', 'Girth, square', ['gs', 'girth', 'girth square', 'tube butt'], true),
  choice('v', 'Girth, V', ['gv', 'girth v', 'pipe butt'], true),
  choice('saddle', 'Branch on tube', ['saddle', 'branch', 'branch on tube', 'br']),
]

/** The joint as it is chosen from a list; null for none of them. */
export const jointChoiceOf = ({ kind, around }: Pick<Joint, 'kind' | 'around'>): JointChoice | null =>
  JOINT_CHOICES.find((one) => one.kind === kind && one.around === around) ??
  JOINT_CHOICES.find((one) => one.kind === kind) ??
  null

/**
 * What a joint is called.
 * @example jointName({ kind: 'tee', around: true }) // 'Tube to plate'
 */
export const jointName = (joint: Pick<Joint, 'kind' | 'around'>): string =>
  jointChoiceOf(joint)?.name ?? joint.kind

/** Position by word, and by the AWS number before F (fillet) or G (groove). */
const POSITION_WORDS: readonly (readonly [Position, string, readonly string[]])[] = [
  ['flat', 'flat', ['f', 'flat', '1', '1f', '1g', '1gr', '1fr', 'pa']],
  ['horizontal', 'horizontal', ['h', 'horizontal', 'horiz', '2', '2f', '2g', 'pb', 'pc']],
  [
    'vertical-up',
    'vertical up',
    [
      'v',
      'vu',
      'vertical',
      'vertical up',
      'up',
      '3',
      '3f',
      '3g',
      'pf',
      '5',
      '5f',
      '5g',
      'ph',
      '6',
      '6f',
      '6g',
      'h-l045',
    ],
  ],
  ['vertical-down', 'vertical down', ['vd', 'vertical down', 'down', 'pg', 'pj', 'j-l045']],
  ['overhead', 'overhead', ['o', 'oh', 'overhead', '4', '4f', '4g', 'pd', 'pe']],
]

/**
 * The position that somebody names by a word or a number; null for none.
 * @example positionOf('3f') // 'vertical-up'
 */
export const positionOf = (words: string): Position | null =>
  POSITION_WORDS.find(([id, name, known]) => known.includes(words) || id === words || name === words)?.[0] ??
  null

/**
 * What a position is called.
 * @example positionName('vertical-up') // 'vertical up'
 */
export const positionName = (position: Position): string =>
  POSITION_WORDS.find(([id]) => id === position)?.[1] ?? position
