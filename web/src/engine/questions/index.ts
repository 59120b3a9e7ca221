/**
 * Every question that the page can ask its engine. A new one is a file beside this one, and a line here: it is fetched when
 * it is asked first. The answer of the first view is fetched with the engine.
 */
import type { Snapshot } from '../snapshot.ts'
import * as fit from './fit.ts'

export const QUESTIONS = {
  fit: () => fit,
  board: () => import('./board.ts'),
  capacities: () => import('./capacities.ts'),
  card: () => import('./card.ts'),
  cell: () => import('./cell.ts'),
  changeMinutes: () => import('./changeMinutes.ts'),
  changeover: () => import('./changeover.ts'),
  changeSetUp: () => import('./changeSetUp.ts'),
  cheapest: () => import('./cheapest.ts'),
  claims: () => import('./claims.ts'),
  could: () => import('./could.ts'),
  decided: () => import('./decided.ts'),
  doable: () => import('./doable.ts'),
  ease: () => import('./ease.ts'),
  explain: () => import('./explain.ts'),
  explainCapacity: () => import('./explainCapacity.ts'),
  explainGroup: () => import('./explainGroup.ts'),
  glance: () => import('./glance.ts'),
  held: () => import('./held.ts'),
  leverage: () => import('./leverage.ts'),
  likely: () => import('./likely.ts'),
  limits: () => import('./limits.ts'),
  machines: () => import('./machines.ts'),
  machineWays: () => import('./machineWays.ts'),
  made: () => import('./made.ts'),
  offers: () => import('./offers.ts'),
  pairs: () => import('./pairs.ts'),
  plan: () => import('./plan.ts'),
  plateMeaning: () => import('./plateMeaning.ts'),
  power: () => import('./power.ts'),
  priced: () => import('./priced.ts'),
  procedure: () => import('./procedure.ts'),
  proposals: () => import('./proposals.ts'),
  quicker: () => import('./quicker.ts'),
  ranked: () => import('./ranked.ts'),
  readEquipment: () => import('./readEquipment.ts'),
  readWelds: () => import('./readWelds.ts'),
  requirements: () => import('./requirements.ts'),
  runsOut: () => import('./runsOut.ts'),
  setUpsFor: () => import('./setUpsFor.ts'),
  shopPower: () => import('./shopPower.ts'),
  suggest: () => import('./suggest.ts'),
  taught: () => import('./taught.ts'),
  trial: () => import('./trial.ts'),
  week: () => import('./week.ts'),
} as const

export type QuestionName = keyof typeof QUESTIONS
type Asked<K extends QuestionName> = Awaited<ReturnType<(typeof QUESTIONS)[K]>>['answer']
/** What is asked beside the shop. */
export type Arguments<K extends QuestionName> =
  Parameters<Asked<K>> extends [snapshot: Snapshot, ...rest: infer R] ? R : never
export type Answer<K extends QuestionName> = Awaited<ReturnType<Asked<K>>>
