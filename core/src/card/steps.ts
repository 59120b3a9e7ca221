/** The order of work at the machine, each hazard at its step. */
import type { Capability } from '../capability/capability.ts'
import type { Changeover } from '../changeover/changeover.ts'
import type { Hazard } from '../changeover/stepCare.ts'
import { figure, type Message, message, word } from '../model/message.ts'
import type { StartingSettings } from '../fit/settings.ts'

export const CARD_STEPS = [
  'change-over',
  'unplug',
  'parts',
  'leads',
  'spool',
  'feed',
  'tension',
  'torch',
  'rods',
  'gas',
  'prepare',
  'dial',
  'coupon',
] as const
export type CardStepCode = (typeof CARD_STEPS)[number]

export interface CardStep extends Message {
  readonly code: CardStepCode
  readonly hazard: Hazard | null
  /** Where people forget. */
  readonly isKey: boolean
}

const step = (
  code: CardStepCode,
  params: Message['params'] = {},
  more: Partial<Pick<CardStep, 'hazard' | 'isKey'>> = {},
): CardStep => ({ ...message(code, params), code, hazard: null, isKey: false, ...more })

/**
 * @returns the steps in order; unplug before hands go in, leads before power, clamp off before feeding, gas before the arc
 * @example stepsOf(capability, settings, changeover).map(({ code }) => code) // ['unplug', 'parts', 'leads', …, 'coupon']
 */
export function stepsOf(
  capability: Capability,
  settings: StartingSettings,
  changeover: Changeover,
): readonly CardStep[] {
  const { process, circuit, powerSource, flowLPerMin } = capability
  const { electrode } = process
  const volts = circuit ? figure(circuit.voltageV, 'V') : ''
  return [
    ...(changeover.steps.length > 0
      ? [
          step('change-over', {
            count: figure(changeover.steps.length, ''),
            time: figure(Math.round(changeover.minutes * 60), 's'),
          }),
        ]
      : []),
    step('unplug', { source: powerSource?.name ?? '', volts }, { hazard: 'unplug' }),
    ...(electrode === 'wire' ? [step('parts')] : []),
    step('leads', { leads: word('leadsOf', `${settings.polarity}-${electrode}`) }, { isKey: true }),
    ...(electrode === 'wire'
      ? [
          step('spool', {}, { hazard: 'wire-end' }),
          step('feed', {}, { hazard: 'wire-live', isKey: true }),
          step('tension'),
        ]
      : []),
    ...(electrode === 'tungsten' ? [step('torch', {}, { hazard: 'torch-live' })] : []),
    ...(electrode === 'covered' ? [step('rods')] : []),
    ...(process.shielded
      ? [step('gas', { flow: figure(flowLPerMin, 'L/min') }, { hazard: 'stand-aside' })]
      : []),
    step('prepare'),
    step('dial'),
    step('coupon'),
  ]
}
