/** A changeover in sentences. */
import type { ChangeStep, Hazard, Tool, Trap } from '../changeover/step.ts'
import { figure, message, type Message } from '../model/message.ts'
import { capital, filled, type Speech } from './speech.ts'

/**
 * @returns what to do at this step
 * @example changeStepText(speech, step) // 'Swap the two leads: gun on plus (+), work clamp on minus (−)'
 */
export const changeStepText = (speech: Speech, step: Message): string =>
  capital(filled(speech, speech.language.change, step))

export const trapText = (speech: Speech, trap: Trap): string =>
  filled(speech, speech.language.traps, message(trap))
export const hazardText = (speech: Speech, hazard: Hazard): string =>
  filled(speech, speech.language.hazards, message(hazard))
export const toolText = (speech: Speech, tool: Tool): string =>
  filled(speech, speech.language.tools, message(tool))
export const handOverText = (speech: Speech, code: string): string =>
  filled(speech, speech.language.handOver, message(code))

/** The other school of a step, with what it costs more; null where there is one way. */
export const otherWayText = (speech: Speech, { otherWay, waste }: ChangeStep): string | null =>
  otherWay &&
  filled(
    speech,
    speech.language.change,
    message(otherWay.code, { wire: figure(otherWay.waste.wireMm - (waste?.wireMm ?? 0), 'mm length') }),
  )
