/** A card in sentences: what the screen, the print, the PDF and the JSON all show. */
import type { Card } from '../card/card.ts'
import type { CardFigureId } from '../card/figures.ts'
import type { CardPlace } from '../card/rows.ts'
import type { CardStepCode } from '../card/steps.ts'
import { type Message, message } from '../model/message.ts'
import type { Verdict } from '../model/verdict.ts'
import { benchSpeechOf } from './benchSpeech.ts'
import { hazardText } from './changeText.ts'
import type { Templates } from './language.ts'
import {
  capital,
  cautionText,
  filled,
  midSentence,
  sentenceOf,
  type Speech,
  titleOf,
  wordOf,
} from './speech.ts'

export interface SpokenFigure {
  readonly id: CardFigureId
  readonly title: string
  readonly value: string
  /** Of the value, where it has one: it stands in the title, so that the figure is large. */
  readonly unit: string
  readonly notes: readonly string[]
}
export interface SpokenRow {
  readonly place: CardPlace
  readonly title: string
  readonly text: string
  readonly isMissing: boolean
}
export interface SpokenCardStep {
  readonly code: CardStepCode
  readonly text: string
  readonly hazard: string | null
  readonly isKey: boolean
}
export interface SpokenCard {
  readonly heading: string
  readonly verdict: Verdict
  /** What is against this weld with this set-up; empty where nothing is. */
  readonly against: readonly string[]
  readonly figures: readonly SpokenFigure[]
  readonly leads: { readonly electrode: string; readonly text: string; readonly way: string }
  readonly hold: string
  readonly passes: string
  readonly passSettings: readonly string[]
  readonly rows: readonly SpokenRow[]
  readonly steps: readonly SpokenCardStep[]
  readonly pace: string
  readonly uses: string
  readonly symptoms: readonly { readonly code: string; readonly sign: string; readonly change: string }[]
  readonly cautions: readonly { readonly topic: string; readonly text: string }[]
}

/**
 * @returns every sentence of a card
 * @example spokenCard(speech, card).figures[0] // { id: 'volts', title: 'Volts', value: '20.2 V', notes: ['19.2–21.2 V'] }
 */
export function spokenCard(plain: Speech, card: Card): SpokenCard {
  const speech = benchSpeechOf(plain)
  const language = speech.bench
  const say = (templates: Templates, told: Message): string => filled(speech, templates, told)
  const one = (templates: Templates, code: string): string => say(templates, message(code))
  const { electrode } = card.leads
  const { travel, angleDeg, workAngleDeg } = card.settings
  const gun = wordOf(speech, 'holderOf', electrode)
  return {
    heading: capital(say(language.card, card.heading)),
    verdict: card.verdict,
    against: card.against.map((found) => `${titleOf(speech, found)}: ${sentenceOf(speech, found)}`),
    figures: card.figures.map(({ id, value, notes }) => ({
      id,
      title: one(language.cardFigures, id),
      ...valueAndUnit(bandOnce(say(language.card, value)), id),
      notes: notes.map((note) => bandOnce(say(language.card, note))),
    })),
    leads: {
      electrode: capital(gun),
      text: capital(say(language.card, card.leads.told)),
      way: card.leads.way === null ? '' : wordOf(speech, 'polarityHow', card.leads.way),
    },
    hold: `${gun} ${workAngleDeg}°, ${travel} ${angleDeg.low}–${angleDeg.high}°`,
    passes: say(language.card, card.passes),
    passSettings: card.passSettings.map((told) => say(language.card, told)),
    rows: card.rows.map(({ place, told, isMissing }) => ({
      place,
      title: one(language.cardPlaces, place),
      text: capital(say(language.card, told)),
      isMissing,
    })),
    steps: card.steps.map((step) => ({
      code: step.code,
      text: say(language.cardSteps, step),
      hazard: step.hazard && hazardText(speech, step.hazard),
      isKey: step.isKey,
    })),
    pace: say(language.card, card.pace),
    uses: card.uses.map((told) => say(language.card, told)).join(' '),
    symptoms: card.symptoms.map(({ sign, change }) => ({
      code: sign,
      sign: one(language.signs, sign),
      change: midSentence(one(language.signChanges, change)),
    })),
    cautions: card.cautions.map((caution) => cautionText(speech, caution)),
  }
}

/** `343 in/min` → `343` and `in/min`; words have no unit, and volts and amps say it in their name. */
function valueAndUnit(text: string, id: CardFigureId): Pick<SpokenFigure, 'value' | 'unit'> {
  const found = /^(\d\S*(?:–\S+)?) ([^\s\d]+)$/.exec(text)
  const isSaid = id === 'volts' || id === 'amps'
  return found ? { value: found[1] ?? '', unit: isSaid ? '' : (found[2] ?? '') } : { value: text, unit: '' }
}

/** `19.2 V–21.2 V` → `19.2–21.2 V`: the unit that both share stands once. */
function bandOnce(text: string): string {
  const found = /^(.+?) (\S+)–(.+) (\S+)$/.exec(text)
  return found && found[2] === found[4] ? `${found[1]}–${found[3]} ${found[4]}` : text
}
