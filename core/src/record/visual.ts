/**
 * What is looked at on a finished weld, by the list that the quality follows: AWS D1.1 visual acceptance (table 8.1) and
 * ISO 5817 levels B, C and D. Figures from memory: a help for the eye, no acceptance.
 */
import type { VisualList } from '../events/evidenceTaken.ts'
import type { Joint } from '../kinds/job.ts'
import { figure, type Message, message } from '../model/message.ts'
import { isFillet, legsMm } from '../trade/geometry.ts'
import { thinnerMm } from '../trade/groove.ts'

export interface VisualItem {
  readonly code: string
  readonly told: Message
}

const item = (code: string, told: string, limitMm?: number): VisualItem => ({
  code,
  told: message(told, limitMm === undefined ? {} : { limit: figure(limitMm, 'mm') }),
})
const INCH = 25.4

/** Undersize that a fillet of the planned leg may have along a tenth of its length, mm (AWS D1.1, table 8.1). */
const undersizeMm = (legMm: number): number =>
  legMm <= 5 ? INCH / 16 : legMm <= 6.4 ? (3 * INCH) / 32 : INCH / 8

function d11(joint: Joint, isCyclic: boolean): readonly VisualItem[] {
  return [
    item('cracks', 'visual-cracks'),
    item('fusion', 'visual-fusion'),
    item('crater', 'visual-crater'),
    item('profile', 'visual-profile'),
    // Across the tension of a member under changing load; else 1/32 in.
    item('undercut', 'visual-undercut', isCyclic ? 0.01 * INCH : INCH / 32),
    item(
      'porosity',
      isCyclic ? 'visual-porosity-cyclic' : 'visual-porosity-static',
      isCyclic ? (3 * INCH) / 32 : (3 * INCH) / 8,
    ),
    ...(isFillet(joint) ? [item('undersize', 'visual-undersize', undersizeMm(legsMm(joint).a))] : []),
  ]
}

const LEVELS = {
  b: { undercut: [0.05, 0.5], pore: null, throat: 0, overlap: null, convexity: [0.1, 3], offset: [0.1, 3] },
  c: {
    undercut: [0.1, 0.5],
    pore: [0.2, 2],
    throat: 1,
    overlap: null,
    convexity: [0.15, 4],
    offset: [0.15, 4],
  },
  d: { undercut: [0.2, 1], pore: [0.3, 3], throat: 2, overlap: 0.2, convexity: [0.25, 5], offset: [0.25, 5] },
} as const

/** A share of a size, and no more than its most. */
const share = (of: number, [part, most]: readonly [number, number]): number =>
  rounded(Math.min(part * of, most))
const rounded = (mm: number): number => Number(mm.toPrecision(2))

function iso5817(joint: Joint, level: keyof typeof LEVELS): readonly VisualItem[] {
  const { undercut, pore, throat, overlap, convexity, offset } = LEVELS[level]
  const t = thinnerMm(joint)
  const widthMm = isFillet(joint) ? legsMm(joint).a * Math.SQRT2 : t
  const throatMm = isFillet(joint) ? legsMm(joint).a * Math.SQRT1_2 : t
  return [
    item('cracks', 'visual-cracks'),
    item('fusion', 'visual-fusion'),
    item('crater', 'visual-crater'),
    pore === null
      ? item('porosity', 'visual-no-pores')
      : item('porosity', 'visual-pores', share(throatMm, pore)),
    item('undercut', 'visual-undercut', share(t, undercut)),
    overlap === null
      ? item('overlap', 'visual-no-overlap')
      : item('overlap', 'visual-overlap', rounded(overlap * widthMm)),
    item('profile', 'visual-crown', rounded(Math.min(1 + convexity[0] * widthMm, convexity[1]))),
    ...(isFillet(joint)
      ? [
          throat === 0
            ? item('undersize', 'visual-no-undersize')
            : item('undersize', 'visual-throat', rounded(Math.min(0.3 + 0.1 * throatMm, throat))),
        ]
      : [item('offset', 'visual-offset', share(t, offset))]),
  ]
}

/**
 * @returns what is looked at, each with its limit for this joint
 * @example visualItems('d1.1-static', tee).map(({ code }) => code) // ['cracks', 'fusion', …]
 */
export function visualItems(list: VisualList, joint: Joint): readonly VisualItem[] {
  if (list === 'd1.1-static' || list === 'd1.1-cyclic') return d11(joint, list === 'd1.1-cyclic')
  return iso5817(joint, list === 'iso5817-b' ? 'b' : list === 'iso5817-c' ? 'c' : 'd')
}
