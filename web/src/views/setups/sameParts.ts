/** Whether two set-ups are the same to whoever chooses: process, circuit, machine, gun, wire and gas; small parts follow. */
import type { SetUp } from '@brannik/core'

const KEYS = ['process', 'circuitId', 'powerSourceId', 'gunId', 'wireId', 'gasId'] as const
type Chosen = Pick<SetUp, (typeof KEYS)[number]>

export const hasSameParts = (one: Chosen, other: Chosen): boolean =>
  KEYS.every((key) => one[key] === other[key])
