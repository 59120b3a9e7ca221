/** Words that say of a weld where it is and how deep: both sides, CJP, PJP. They may follow any size. */
import type { Joint } from '../kinds/job.ts'
import { BUTT_KINDS, FILLET_KINDS } from '../model/jointKinds.ts'

type Penetration = Joint['penetration']

const WORDS: readonly (readonly [RegExp, Partial<Pick<Joint, 'bothSides' | 'penetration'>>])[] = [
  [/\b(?:both sides|each side|two sides|2 sides|b\/s)(?![\w/])/i, { bothSides: true }],
  [/\b(?:one side|1 side)\b/i, { bothSides: false }],
  [
    /\b(?:cjp|(?:complete|full)(?: joint)? pen(?:etration)?)(?!\w)/i,
    { penetration: 'complete' satisfies Penetration },
  ],
  [/\b(?:pjp|partial(?: joint)? pen(?:etration)?)(?!\w)/i, { penetration: 'partial' satisfies Penetration }],
]

export interface Flags {
  /** The text without them. */
  readonly rest: string
  readonly said: Partial<Pick<Joint, 'bothSides' | 'penetration'>>
}

/**
 * @param written with single spaces
 * @example takeFlags('3/16 both sides') // { rest: '3/16', said: { bothSides: true } }
 */
export function takeFlags(written: string): Flags {
  let rest = written
  let said: Flags['said'] = {}
  for (const [pattern, meaning] of WORDS) {
    if (!pattern.test(rest)) continue
    rest = rest.replace(pattern, ' ')
    said = { ...said, ...meaning }
  }
  return {
    rest: rest
      .replace(/\s+/g, ' ')
      .replace(/^[\s,;]+|[\s,;]+$/g, '')
      .replace(/\s*([,;])(?:\s*[,;])+/g, '$1'),
    said,
  }
}

/** @returns why a kind of joint has no such thing; null where it has */
export function flagProblem({ said }: Flags, kind: Joint['kind']): string | null {
  if (said.bothSides && !FILLET_KINDS.includes(kind))
    return 'Both sides is for a fillet. For a groove, choose double V or double bevel, or enter a back weld.'
  if (said.penetration !== undefined && !BUTT_KINDS.includes(kind))
    return 'CJP and PJP are for a groove weld. Choose for example V 60 or bevel 45 as the joint.'
  return null
}

/** Joint penetration as it is typed and printed; empty where the figures alone make it. */
export const PENETRATION_SHORT: Readonly<Record<Penetration, string>> = {
  'as-prepared': '',
  complete: 'CJP',
  partial: 'PJP',
}

/** What was said, as it is shown back. */
export const saidWords = ({ said }: Flags): readonly string[] => [
  ...(said.penetration === undefined ? [] : [PENETRATION_SHORT[said.penetration]]),
  ...(said.bothSides ? ['both sides'] : []),
]
