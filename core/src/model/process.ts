/** The names of the welding processes, of what a plate is rated for, and of polarities, as documents write them. */

export const PROCESS_IDS = [
  'gmaw-short',
  'gmaw-spray',
  'gmaw-pulse',
  'fcaw-s',
  'fcaw-g',
  'gtaw-dc',
  'gtaw-ac',
  'smaw',
] as const
export type ProcessId = (typeof PROCESS_IDS)[number]

/** What a power source is rated for; a transfer mode or a wave is chosen in the set-up. */
export const PROCESS_FAMILIES = ['gmaw', 'fcaw', 'gtaw', 'smaw'] as const
export type ProcessFamily = (typeof PROCESS_FAMILIES)[number]

export const POLARITIES = ['dcep', 'dcen', 'ac'] as const
export type Polarity = (typeof POLARITIES)[number]
