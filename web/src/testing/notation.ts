/** For tests: how figures are written in the United States, in either system. */
import type { Notation } from '@brannik/core'

export const IMPERIAL: Notation = { system: 'imperial', locale: 'en-US' }
export const METRIC: Notation = { system: 'metric', locale: 'en-US' }
