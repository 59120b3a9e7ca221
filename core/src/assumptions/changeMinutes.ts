/**
 * The steps of a changeover, each with its minutes by default, in the order in which hands do them. The order itself is a
 * rule: polarity before power, clamp off before feeding, gas before arc. Minutes are common practice, no source.
 */
export const CHANGE_MINUTES = {
  'power-off': 0.5,
  'gas-off': 0.5,
  'tip-off': 0.5,
  'wire-off': 2,
  'rods-away': 0.5,
  'gun-off': 1,
  'feeder-off': 3,
  'clean-grooves': 1.5,
  roll: 2,
  'roll-turn': 1,
  liner: 6,
  'feeder-on': 3,
  'gun-on': 1.5,
  leads: 2,
  'spool-on': 1,
  'torch-parts': 1.5,
  tungsten: 2.5,
  'stick-out': 0.3,
  links: 6,
  polarity: 1.5,
  'clamp-off': 0.2,
  supply: 1.5,
  'power-on': 0.3,
  process: 0.3,
  feed: 1.5,
  'tip-on': 0.7,
  tension: 0.7,
  'rods-out': 0.5,
  'gas-swap': 4,
  meter: 2,
  flow: 1,
  'arc-start': 0.2,
  settings: 0.7,
  scrap: 2,
} as const
export type ChangeStepCode = keyof typeof CHANGE_MINUTES

type Pascal<S extends string> = S extends `${infer First}-${infer Rest}`
  ? `${Capitalize<First>}${Pascal<Rest>}`
  : Capitalize<S>
export type ChangeMinutesKey = `change${Pascal<ChangeStepCode>}Min`

/** @example minutesKeyOf('wire-off') // 'changeWireOffMin' */
export const minutesKeyOf = (code: ChangeStepCode): ChangeMinutesKey =>
  `change${code.replaceAll(/(?:^|-)([a-z])/g, (_, letter: string) => letter.toUpperCase())}Min` as ChangeMinutesKey

/** In their order. */
export const CHANGE_STEPS = Object.keys(CHANGE_MINUTES) as [ChangeStepCode, ...ChangeStepCode[]]
