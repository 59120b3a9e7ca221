/** The words of a weld line: what people write for joints, positions and patterns, and what is printed for them. */
import { FILLET_KINDS, type JointKind, type Position } from '../model/jointKinds.ts'
import type { Shop } from '../kinds/shop.ts'
import type { Joint } from '../kinds/job.ts'

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
  choice('tee', 'T-joint', ['t', 'tee', 't joint', 'fillet', 't-fillet', 'fw']),
  choice('lap', 'Lap', ['lap', 'lap joint']),
  choice('inside-corner', 'Inside corner', ['ic', 'inside', 'corner', 'inside corner']),
  choice('outside-corner', 'Outside corner', ['oc', 'outside', 'outside corner', 'open corner']),
  choice('square', 'Square butt', ['sq', 'square', 'butt', 'square butt', 'i', 'bw']),
  choice('v', 'V butt', ['v', 'single v', 'v butt', 'vee', 'y']),
  choice('double-v', 'Double V', ['x', 'double v', 'dv', 'dy']),
  choice('bevel', 'Bevel', ['bevel', 'single bevel', 'b', 'hv', 'hy']),
  choice('double-bevel', 'Double bevel', ['k', 'double bevel', 'db', 'dhv', 'dhy']),
  choice('u', 'U butt', ['u', 'u butt']),
  choice('j', 'J butt', ['j', 'j butt', 'hu']),
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
      'uphill',
      'uh',
      '3',
      '3f',
      '3g',
      'pf',
      '5',
      '5f',
      '5g',
      'ph',
      'pk',
      '6',
      '6f',
      '6g',
      '6gr',
      'h-l045',
      'hl045',
    ],
  ],
  [
    'vertical-down',
    'vertical down',
    ['vd', 'vertical down', 'down', 'downhill', 'dh', 'pg', 'pj', 'j-l045', 'jl045'],
  ],
  ['overhead', 'overhead', ['o', 'oh', 'overhead', '4', '4f', '4g', 'pd', 'pe']],
]

/**
 * The position that somebody names by a word or a number; null for none.
 * @example positionOf('3f') // 'vertical-up'
 */
export const positionOf = (words: string): Position | null =>
  POSITION_WORDS.find(([id, name, known]) => known.includes(words) || id === words || name === words)?.[0] ??
  null

/** Position by EN ISO 6947: the kind of weld parts PB from PC and PD from PE, a tube that is not turned PH from PF. */
const ISO_POSITION: Readonly<
  Record<Position, readonly [groove: string, fillet: string, fixedTube: string | null]>
> = {
  flat: ['PA', 'PA', null],
  horizontal: ['PC', 'PB', null],
  'vertical-up': ['PF', 'PF', 'PH'],
  'vertical-down': ['PG', 'PG', 'PJ'],
  overhead: ['PE', 'PD', null],
}

/**
 * The position of a weld as it is typed: by EN ISO 6947 where the shop works by EN, in words elsewhere.
 * @example printPosition({ kind: 'tee', around: false, position: 'horizontal' }, 'international') // 'PB'
 */
export function printPosition(
  { kind, around, position }: Pick<Joint, 'kind' | 'around' | 'position'>,
  ruleBook: Shop['ruleBook'] | undefined,
): string {
  if (ruleBook !== 'international') return positionName(position)
  const [groove, fillet, fixedTube] = ISO_POSITION[position]
  if (around && fixedTube !== null) return fixedTube
  return FILLET_KINDS.includes(kind) ? fillet : groove
}

/**
 * What a position is called.
 * @example positionName('vertical-up') // 'vertical up'
 */
export const positionName = (position: Position): string =>
  POSITION_WORDS.find(([id]) => id === position)?.[1] ?? position
