/** A fit with its sentences, for whoever has no words of his own: the API, and print. */
import type { Step } from '../calculation/step.ts'
import type { Assessment, Mend } from '../criteria/criterion.ts'
import type { Chain, ChainLink } from '../fit/chain.ts'
import type { Fit } from '../fit/fit.ts'
import { mendText } from './mends.ts'
import {
  cautionText,
  chainText,
  linkDetail,
  linkMissing,
  linkTitle,
  missingOf,
  sentenceOf,
  sourceText,
  type Speech,
  stepText,
  titleOf,
} from './speech.ts'

export interface SpokenMend extends Mend {
  readonly sentence: string
}
export interface SpokenCriterion extends Assessment {
  readonly title: string
  readonly sentence: string
  /** What is missing; empty where nothing is. */
  readonly missing: string
  readonly restsOn: string
  readonly mends: readonly SpokenMend[]
}
export interface SpokenLink extends Omit<ChainLink, 'kind' | 'detail' | 'missing'> {
  readonly title: string
  readonly detail: string
  readonly missing: string
}
export interface SpokenChain extends Omit<Chain, 'told' | 'links'> {
  readonly sentence: string
  readonly links: readonly SpokenLink[]
}
export interface SpokenStep extends Step {
  readonly formula: string
}
export interface SpokenFit extends Omit<Fit, 'criteria' | 'mends' | 'chains' | 'cautions'> {
  readonly criteria: readonly SpokenCriterion[]
  readonly chains: readonly SpokenChain[]
  readonly cautions: readonly { readonly topic: string; readonly text: string }[]
}

function spokenCriterion(speech: Speech, assessment: Assessment, mends: readonly Mend[]): SpokenCriterion {
  return {
    ...assessment,
    title: titleOf(speech, assessment),
    sentence: sentenceOf(speech, assessment),
    missing: missingOf(speech, assessment),
    restsOn: sourceText(speech, assessment.source),
    mends: mends.map((mend) => ({ ...mend, sentence: mendText(speech, mend) })),
  }
}

function spokenChain(speech: Speech, chain: Chain): SpokenChain {
  const { told: _told, links, ...figures } = chain
  return {
    ...figures,
    sentence: chainText(speech, chain),
    links: links.map((link) => ({
      ...link,
      title: linkTitle(speech, link),
      detail: linkDetail(speech, link),
      missing: linkMissing(speech, link),
    })),
  }
}

/**
 * A fit with its sentences, as the API answers it.
 * @example spokenFit(speechOf(shop), fitJob(input)).criteria[0].title // 'Supply voltage'
 */
export function spokenFit(speech: Speech, fit: Fit): SpokenFit {
  const { criteria, mends, chains, cautions, ...figures } = fit
  return {
    ...figures,
    criteria: criteria.map((one) => spokenCriterion(speech, one, mends[one.criterion] ?? [])),
    chains: chains.map((chain) => spokenChain(speech, chain)),
    cautions: cautions.map((caution) => cautionText(speech, caution)),
  }
}

/** The steps of a working, each with its formula as people write it. */
export const spokenSteps = (speech: Speech, steps: readonly Step[]): readonly SpokenStep[] =>
  steps.map((step) => ({ ...step, formula: stepText(speech, step).formula }))
