/** Settings in the words of the bench. Common practice, no source. */
import { beforeEach, describe, expect, it } from 'vitest'
import type { StartingSettings } from '@brannik/core'
import { demoWorkspace, fitFor } from '../../testing/demo.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { otherSettings } from './otherSettings.ts'
import { settingPrinters } from './settingWords.ts'

beforeEach(async () => {
  await demoWorkspace()
})

const ALSO = {
  money: (amount: number) => `$${amount.toFixed(2)}`,
  about: (mm: number) => `${(mm / 25.4).toFixed(3)} in`,
}
const printers = () => settingPrinters(usePrint())
const settingsOf = (jobId: string, part: Partial<StartingSettings> = {}): StartingSettings => {
  const [first] = fitFor(jobId).settings
  if (!first) throw new Error('no settings')
  return { ...first, ...part }
}
const wordsOf = (settings: StartingSettings, label: string): string =>
  otherSettings(settings, printers(), ALSO).find((one) => one.label === label)?.words ?? ''

describe('settings in words', () => {
  const pulse = { peakA: 100, baseA: 25, sharePct: 60, hz: 1 }
  it('60 % at 1 Hz is 0.6 s at the peak and 0.4 s at the base', () => {
    const words = wordsOf(settingsOf('pressing-tray', { pulse }), 'Or pulsed')
    expect(words).toContain('0.6 s at the peak, 0.4 s at the base')
  })
  it('a tap that is off tells by how much, and what wire suits it', () => {
    const [voltsDial, tap] = [
      { mark: '3', gives: 17, isBeyond: false },
      { mark: '3', offV: 0.6, currentA: 130, feedMmPerMin: 6350, feedByPct: 8.2 },
    ]
    const words = wordsOf(settingsOf('press-frame', { voltsDial, tap }), 'Voltage dial')
    expect(words).toBe('3, gives 17 V: 0.6 V hot; 252 in/min of wire suits it, 8 % more')
    const cold = { ...tap, offV: -0.6, feedByPct: -8.2 }
    expect(wordsOf(settingsOf('press-frame', { voltsDial, tap: cold }), 'Voltage dial')).toContain(
      'cold; 252 in/min of wire suits it, 8 % less',
    )
    const near = { ...tap, offV: 0.2 }
    expect(wordsOf(settingsOf('press-frame', { voltsDial, tap: near }), 'Voltage dial')).toBe('3, gives 17 V')
  })
  it('a post-flow of the machine’s own tells what it costs above what is needed', () => {
    const longFlow = { ownS: 14, neededS: 8, gasL: 56.6, cost: 1.4 }
    const words = wordsOf(settingsOf('pressing-tray', { postFlowS: 14, longFlow }), 'Post-flow')
    expect(words).toBe('14 s automatic. 8 s is enough and saves 2.01 ft³ of gas, $1.40')
    expect(wordsOf(settingsOf('pressing-tray', { postFlowS: 8, longFlow: null }), 'Post-flow')).toBe('8 s')
  })
  it('what a machine does by itself is said where it has it, and nowhere else', () => {
    const plain = settingsOf('press-frame', {
      range: null,
      program: null,
      burnBack: false,
      runIn: false,
      startAmpsA: null,
      endAmpsA: null,
    })
    const labels = [
      'Range switch',
      'Automatic program',
      'Burn-back',
      'Run-in',
      'Start current',
      'End current',
    ]
    expect(labels.filter((label) => wordsOf(plain, label) !== '')).toEqual([])
    const full = {
      ...plain,
      range: 'low',
      program: 'by-hand',
      burnBack: true,
      runIn: true,
      startAmpsA: 20,
      endAmpsA: 12,
    } as const
    expect(wordsOf(full, 'Range switch')).toBe('low')
    expect(wordsOf(full, 'Automatic program')).toContain('by hand')
    expect(wordsOf({ ...full, program: 'covered' }, 'Automatic program')).toContain('covers')
    expect(wordsOf(full, 'Start current')).toBe('20 A')
    expect(wordsOf(full, 'End current')).toContain('12 A')
    expect(wordsOf(full, 'Burn-back')).toContain('less if it burns to the tip')
    expect(wordsOf(full, 'Run-in')).toContain('half the wire speed')
  })
  it('a tip that cannot come near, or is set back, is told in amps', () => {
    const reach = { leastMm: 19.05, usualMm: 12.7, lostA: 17.4 }
    const label = 'Contact tip to work'
    expect(wordsOf(settingsOf('press-frame', { reach, setBackA: 22 }), label)).toBe(
      '3/8–1/2 in; in this corner 0.750 in at least: 17 A less at this wire speed',
    )
    expect(wordsOf(settingsOf('press-frame', { reach: null, setBackA: 22 }), label)).toContain(
      'a tip 0.375 in back in the nozzle takes 22 A',
    )
    expect(wordsOf(settingsOf('press-frame', { reach: null, setBackA: 2 }), label)).toBe('3/8–1/2 in')
  })
  it('step-over, a cold start and the schools of flow stand where they matter', () => {
    const plain = settingsOf('press-frame', { stepOverMm: null, warmFirst: false })
    expect([wordsOf(plain, 'Step-over'), wordsOf(plain, 'Cold start')]).toEqual(['', ''])
    expect(wordsOf({ ...plain, stepOverMm: 4 }, 'Step-over')).toContain('0.157 in from stringer to stringer')
    expect(wordsOf({ ...plain, warmFirst: true }, 'Cold start')).toContain('150–200 °F')
    expect(wordsOf(plain, 'Gas flow')).toContain('15 ft³/h in still air')
    expect(wordsOf(settingsOf('pressing-tray'), 'Gas flow')).not.toContain('still air')
  })
  it('a fast pulse is not told in seconds', () => {
    const words = wordsOf(settingsOf('pressing-tray', { pulse: { ...pulse, hz: 120 } }), 'Or pulsed')
    expect(words).toContain('60 % at 120 Hz')
    expect(words).not.toContain(' s ')
  })
  it('balance is told in both conventions, and frequency with both schools of thin sheet', () => {
    const ac = settingsOf('picking-platform', { alternating: { positivePct: 30, hz: 150 } })
    expect(wordsOf(ac, 'AC balance')).toContain(
      '30 % electrode positive, 70 % where the dial counts electrode negative',
    )
    expect(wordsOf(ac, 'AC frequency')).toContain('wide, at 60 Hz')
    const thick = settingsOf('picking-platform', { alternating: { positivePct: 30, hz: 100 } })
    expect(wordsOf(thick, 'AC frequency')).not.toContain('60 Hz')
  })
})
