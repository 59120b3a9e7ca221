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

const printers = () => settingPrinters(usePrint())
const settingsOf = (jobId: string, part: Partial<StartingSettings> = {}): StartingSettings => {
  const [first] = fitFor(jobId).settings
  if (!first) throw new Error('no settings')
  return { ...first, ...part }
}
const wordsOf = (settings: StartingSettings, label: string): string =>
  otherSettings(settings, printers()).find((one) => one.label === label)?.words ?? ''

describe('settings in words', () => {
  const pulse = { peakA: 100, baseA: 25, sharePct: 60, hz: 1 }
  it('60 % at 1 Hz is 0.6 s at the peak and 0.4 s at the base', () => {
    const words = wordsOf(settingsOf('pressing-tray', { pulse }), 'Or pulsed')
    expect(words).toContain('0.6 s at the peak, 0.4 s at the base')
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
