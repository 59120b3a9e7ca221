/** A changeover in sentences. */
import type { ChangeStep, Trap } from '../changeover/step.ts'
import type { Hazard, Tool } from '../changeover/stepCare.ts'
import { figure, message, type Message } from '../model/message.ts'
import { benchSpeechOf } from './benchSpeech.ts'
import type { BenchLanguage } from './language.ts'
import { capital, filled, type Speech } from './speech.ts'

const said = (speech: Speech, texts: Exclude<keyof BenchLanguage, 'vocabulary'>, told: Message): string => {
  const spoken = benchSpeechOf(speech)
  return filled(spoken, spoken.bench[texts], told)
}

/**
 * @returns what to do at this step
 * @example changeStepText(speech, step) // 'Swap the two leads: gun on plus (+), work clamp on minus (−)'
 */
export const changeStepText = (speech: Speech, step: Message): string => capital(said(speech, 'change', step))

export const trapText = (speech: Speech, trap: Trap): string => said(speech, 'traps', message(trap))
export const hazardText = (speech: Speech, hazard: Hazard): string => said(speech, 'hazards', message(hazard))
export const toolText = (speech: Speech, tool: Tool): string => said(speech, 'tools', message(tool))
export const handOverText = (speech: Speech, code: string): string => said(speech, 'handOver', message(code))

/** The other school of a step, with what it costs more; null where there is one way. */
export const otherWayText = (speech: Speech, { otherWay, waste }: ChangeStep): string | null =>
  otherWay &&
  said(
    speech,
    'change',
    message(otherWay.code, { wire: figure(otherWay.waste.wireMm - (waste?.wireMm ?? 0), 'mm length') }),
  )
