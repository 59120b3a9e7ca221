/** A card's figures with the settings that were saved for it: what is set stands large, the chart's beside it. */
import type { Notation, SettingKey, SpokenFigure, Trial } from '@brannik/core'
import { settingText } from '../log/logWords.ts'

const KEY_OF: Readonly<Partial<Record<SpokenFigure['id'], SettingKey>>> = {
  volts: 'voltsV',
  feed: 'feedMmPerMin',
  amps: 'currentA',
  gas: 'flowLPerMin',
  travel: 'travelMmPerMin',
}

/** @returns the same figures; one that was not saved is the chart's */
export const withSaved = (
  figures: readonly SpokenFigure[],
  { settings, chart, knobs, currentA }: Pick<Trial, 'settings' | 'chart' | 'knobs' | 'currentA'>,
  notation: Notation,
): readonly SpokenFigure[] =>
  figures.map((figure) => {
    // By wire the amps follow.
    if (figure.id === 'amps' && settings.currentA === null)
      return { ...figure, value: `${Math.round(currentA)}`, notes: figure.notes.slice(-1) }
    const key = KEY_OF[figure.id]
    const [now, was] = key ? [settings[key], chart[key]] : [null, null]
    if (!key || now === null || was === null) return figure
    const text = settingText(key, now, notation)
    if (text === settingText(key, was, notation)) return figure
    const mark = knobs.find((one) => one.key === key)?.mark
    const [value = text, ...unit] = text.split(' ')
    return {
      ...figure,
      // The unit stands in the title; volts and amps say theirs in their name.
      value,
      unit: figure.unit === '' ? '' : unit.join(' '),
      notes: ['saved here', ...(mark ? [`dial ${mark}`] : []), `chart ${settingText(key, was, notation)}`],
    }
  })
