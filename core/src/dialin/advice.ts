/**
 * One next change at the machine: the commonest cause that is not ruled out yet, with its test, its change and the way
 * back. What the arc window shows goes before the list: where volts and wire do not match, that is looked at first.
 */
import type { SettingKey } from '../events/weldRecorded.ts'
import { figure, message, type Message, word } from '../model/message.ts'
import type { ArcState, ArcWindow } from '../trade/arcWindow.ts'
import { type Cause, SIGNS_OF, type WeldClass } from './causes.ts'

/** One step of one setting, and what comes of it. */
export interface Move {
  readonly key: SettingKey
  readonly from: number
  readonly to: number
  readonly way: 'up' | 'down'
}

/** What is known at the machine; without it a change is said in words alone. */
export interface AtMachine {
  /** Null where no wire is fed, or the source keeps the volts itself. */
  readonly arc: ArcWindow | null
  /** The step of a setting; null where the machine ends there or the craft does: too cold, or burning through. */
  readonly moveOf: (key: SettingKey, way: 'up' | 'down') => Move | null
}

export interface NextChange {
  readonly cause: Cause
  /** How it is ruled out, in seconds. */
  readonly test: Message
  /** What to change where it is the cause. */
  readonly change: Message
  /** How to undo the change where it did not help. */
  readonly undo: Message
  /** What to set; null where the change is no setting. */
  readonly move: Move | null
  /** Of how many it is which. */
  readonly step: number
  readonly of: number
}

export interface Advice {
  /** Null: stop, and ask somebody. */
  readonly next: NextChange | null
  readonly stop: 'stop' | 'stop-floor' | 'stop-crack'
}

const KEY_OF: Readonly<Partial<Record<Cause, SettingKey>>> = {
  volts: 'voltsV',
  'wire-speed': 'feedMmPerMin',
  amps: 'currentA',
}
/** What moves a setting has its own way back; a part that was put right stays so. */
const SETTINGS: ReadonlySet<Cause> = new Set([
  'volts',
  'wire-speed',
  'inductance',
  'amps',
  'balance',
  'post-flow',
  'travel',
  'stick-out',
  'arc-length',
  'angle',
])

type Way = 'up' | 'down'
/** Which way a setting is turned by what is seen. Common practice, no source. */
const WAYS: Readonly<Record<string, Readonly<Partial<Record<Cause, Way>>>>> = {
  ropey: { volts: 'up' },
  stubs: { 'wire-speed': 'down', volts: 'up' },
  'burns-back': { 'wire-speed': 'up', volts: 'down' },
  'wide-spatter': { volts: 'down', amps: 'down' },
  'burns-through': { volts: 'down', 'wire-speed': 'down', amps: 'down' },
  'burns-through-end': { 'wire-speed': 'down' },
  'worm-tracks': { volts: 'down' },
  undercut: { volts: 'down', amps: 'down' },
  sticks: { amps: 'up' },
  porosity: { volts: 'down' },
  'slag-trapped': { volts: 'up', amps: 'up' },
  'cold-start': { 'wire-speed': 'up' },
  'tungsten-balls': { amps: 'down' },
  'dull-grey': { amps: 'down' },
  'sugar-root': { amps: 'down' },
}
/** Signs that a mismatch of volts and wire makes by itself. */
const SHOWN_BY: Readonly<Record<ArcState, readonly string[]>> = {
  'burns-back': ['burns-back', 'wide-spatter', 'worm-tracks', 'stutters'],
  spatters: ['wide-spatter', 'burns-back', 'worm-tracks'],
  stubs: ['stubs', 'ropey', 'cold-start'],
  runs: [],
}

/** Too hot by its travel is welded faster; undercut by its travel is not. */
const FASTER = new Set(['burns-through', 'burns-through-end', 'dull-grey', 'sugar-root'])

/** Causes in the order in which they are looked at. The leads come before all: a look settles them. */
function orderOf(weldClass: WeldClass, sign: string, arc: ArcWindow | null): readonly Cause[] {
  const causes = SIGNS_OF[weldClass][sign] ?? []
  if (!arc || !SHOWN_BY[arc.state].includes(sign)) return causes
  const shown = (['wire-speed', 'volts'] as const).find((one) => causes.includes(one))
  if (!shown) return causes
  const first = causes.filter((one) => one === 'polarity')
  return [...first, shown, ...causes.filter((one) => one !== 'polarity' && one !== shown)]
}

function changeOf(cause: Cause, sign: string, way: Way | undefined, move: Move | null): Message {
  if (cause === 'travel' && FASTER.has(sign)) return message('less-travel')
  if (!move) return message(way === 'down' ? `less-${cause}` : `change-${cause}`)
  return message(`turn-${move.way}`, {
    setting: word('settingName', move.key),
    to: figure(move.to, UNIT_OF[move.key]),
  })
}
export const UNIT_OF: Readonly<Record<SettingKey, string>> = {
  voltsV: 'V',
  feedMmPerMin: 'mm/min',
  currentA: 'A',
  flowLPerMin: 'L/min',
  travelMmPerMin: 'mm/min',
}

/**
 * The list only shortens: nothing is named twice, and it ends. A setting that would cross a floor of the craft is left
 * out.
 * @param ruledOut causes that a test has ruled out, or whose change did not help
 * @param at null where nothing is set yet
 * @example adviceOf('solid', 'porosity', ['gas']).next?.cause // 'draft'
 */
export function adviceOf(
  weldClass: WeldClass,
  sign: string,
  ruledOut: readonly Cause[],
  at: AtMachine | null = null,
): Advice {
  const causes = orderOf(weldClass, sign, at?.arc ?? null)
  let isAtFloor = false
  for (const [index, cause] of causes.entries()) {
    if (ruledOut.includes(cause)) continue
    const key = KEY_OF[cause]
    const way = WAYS[sign]?.[cause]
    const move = at && key !== undefined && way !== undefined ? at.moveOf(key, way) : null
    if (at && key !== undefined && way !== undefined && move === null) {
      isAtFloor = true
      continue
    }
    return {
      stop: 'stop',
      next: {
        cause,
        test: message(`test-${cause}`),
        change: changeOf(cause, sign, way, move),
        undo: move
          ? message('undo-turn', { from: figure(move.from, UNIT_OF[move.key]) })
          : message(SETTINGS.has(cause) ? 'undo-setting' : 'undo-none'),
        move,
        step: index + 1,
        of: causes.length,
      },
    }
  }
  return { next: null, stop: sign === 'cracks' ? 'stop-crack' : isAtFloor ? 'stop-floor' : 'stop' }
}
