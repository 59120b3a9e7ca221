/** A next change in sentences, and how the arc runs. */
import type { Advice, NextChange } from '../dialin/advice.ts'
import { figure, message } from '../model/message.ts'
import type { ArcWindow } from '../trade/arcWindow.ts'
import { benchSpeechOf } from './benchSpeech.ts'
import { filled, type Speech } from './speech.ts'

export interface SpokenChange {
  readonly cause: string
  readonly test: string
  readonly change: string
  readonly undo: string
}

/**
 * @returns what to look at, and what to do where that is it
 * @example changeToTryText(speech, change).test // 'Hold a thread at the joint. Does it hang still?'
 */
export function changeToTryText(speech: Speech, { cause, test, change, undo }: NextChange): SpokenChange {
  const spoken = benchSpeechOf(speech)
  const { causes, dialIn } = spoken.bench
  return {
    cause: filled(spoken, causes, message(cause)),
    test: filled(spoken, dialIn, test),
    change: filled(spoken, dialIn, change),
    undo: filled(spoken, dialIn, undo),
  }
}

/** What is said where nothing is left that is safe to try. */
export function stopText(speech: Speech, { stop }: Pick<Advice, 'stop'>): string {
  const spoken = benchSpeechOf(speech)
  return filled(spoken, spoken.bench.dialIn, message(stop))
}

/** @returns how the arc runs, and by how much the wire is off */
export function arcText(speech: Speech, { state, balancePct, balancedMmPerMin }: ArcWindow): string {
  const spoken = benchSpeechOf(speech)
  const said = filled(spoken, spoken.bench.arcStates, message(state))
  if (state === 'runs') return said
  const params = {
    balanced: figure(Number(balancedMmPerMin.toPrecision(2)), 'mm/min'),
    share: figure(Math.round(balancePct), '%'),
  }
  return `${said} ${filled(spoken, spoken.bench.dialIn, message('arc-says', params))}`
}

/** @returns what a sign is called: what is seen and heard */
export function signText(speech: Speech, sign: string): string {
  const spoken = benchSpeechOf(speech)
  return filled(spoken, spoken.bench.signs, message(sign))
}

/** @returns the name of a cause, or of a setting at the start of a line */
export function causeText(speech: Speech, cause: string): string {
  const spoken = benchSpeechOf(speech)
  return filled(spoken, spoken.bench.causes, message(cause))
}

/** Colors of a TIG bead on stainless, from shielded to spoilt. */
export const HEAT_SCALE = ['silver', 'gold', 'blue', 'grey'] as const

/** @returns what the color of a bead says */
export function heatColorText(speech: Speech, color: (typeof HEAT_SCALE)[number]): string {
  const spoken = benchSpeechOf(speech)
  return filled(spoken, spoken.bench.heatColors, message(color))
}
