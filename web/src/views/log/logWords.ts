/** What is said of the log: settings, states, outcomes, in the shop's units. */
import {
  type Notation,
  printQuantity,
  printTenth,
  type RecordState,
  type SettingKey,
  SETTING_KEYS,
  type WeldOutcome,
  type WeldRecord,
  type WeldSettings,
} from '@brannik/core'

export const STATE_WORDS: Readonly<Record<RecordState, string>> = {
  planned: 'Saved',
  tried: 'Tried',
  done: 'Done',
}
export const OUTCOME_WORDS: Readonly<Record<WeldOutcome, string>> = {
  good: 'Good',
  usable: 'Usable',
  bad: 'Bad',
}
export const SETTING_TITLES: Readonly<Record<SettingKey, string>> = {
  voltsV: 'Volts',
  feedMmPerMin: 'Wire speed',
  currentA: 'Amps',
  flowLPerMin: 'Gas flow',
  travelMmPerMin: 'Travel',
}
/** How a setting is typed and printed; volts and amps are plain numbers. */
export const QUANTITY_OF = {
  feedMmPerMin: 'wireFeedSpeed',
  flowLPerMin: 'gasFlow',
  travelMmPerMin: 'travelSpeed',
} as const

/** @returns a setting with its unit: `19.5 V`, `320 in/min` */
export function settingText(key: SettingKey, value: number, notation: Notation): string {
  if (key === 'voltsV') return `${printTenth(value, notation.locale)} V`
  if (key === 'currentA') return `${Math.round(value)} A`
  return printQuantity(QUANTITY_OF[key], value, notation)
}

/** @returns what is set, in one line: `19.5 V, 320 in/min, 30 CFH`; empty where nothing is recorded */
export const settingsText = (settings: WeldSettings, notation: Notation): string =>
  SETTING_KEYS.flatMap((key) => {
    const value = settings[key]
    return value === null ? [] : [settingText(key, value, notation)]
  }).join(', ')

/** @returns who welded: the name in the row before the account that sent it */
export const welderOf = (who: string, { welder }: Pick<WeldRecord, 'welder'>): string => welder ?? who
