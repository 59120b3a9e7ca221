/** The criterion of completeness: a place of the set-up that is needed and empty. */
import type { Capability } from '../capability/capability.ts'
import { needsOf, slotWord } from '../capability/slots.ts'
import type { Slot } from '../kinds/slots.ts'
import { list, message } from '../model/message.ts'
import type { Assessment, Criterion } from './criterion.ts'
import { notKnown, ofSetUp } from './grouped.ts'

/** Places that this set-up needs and that are empty. */
export const missingSlots = (capability: Capability): readonly Slot[] =>
  needsOf(capability)
    .filter(({ slot, required }) => required && capability[slot] === null)
    .map(({ slot }) => slot)

export const PARTS_CHOSEN: Criterion = ofSetUp('parts-chosen', 'together', [], (capability) => {
  const missing = missingSlots(capability)
  return missing.length === 0
    ? null
    : notKnown(
        message('not-chosen', { slots: list(missing.map((slot) => slotWord(slot, capability.process))) }),
      )
})

/** What is missing here is told elsewhere: a place is empty, or the source does not take the supply. */
const TOLD_ELSEWHERE = new Set([
  'not-chosen',
  'power-source',
  'gun',
  'wire',
  'rod',
  'gas',
  'tungsten',
  'gas-for-rating',
  'wire-for-arc',
  'wire-is-rod',
  'other-kind',
  'supply',
  'not-rated',
  'no-circuit',
  'other-supply',
])

/** Whether an unknown only follows from something that another criterion tells of. */
export const isConsequence = ({ verdict, code }: Pick<Assessment, 'verdict' | 'code'>): boolean =>
  verdict === 'unknown' && TOLD_ELSEWHERE.has(code)
