/** One set-up as it is put together: what stands in each place, what the rules say, what the shelf offers. */
import {
  capital,
  assess,
  assessSlot,
  byWorst,
  type Capability,
  capabilityOf,
  changeSetUp,
  chosenOf,
  type Demand,
  demandOf,
  fitOut,
  inStockFor,
  isConsequence,
  missingSlots,
  needsOf,
  OF_USE,
  type Notation,
  pathOfSlot,
  PROCESSES,
  sentenceOf,
  type SetUp,
  type Shelf,
  type Slot,
  slotKey,
  type SlotItems,
  slotText,
  type Verdict,
  worstOf,
  worstVerdict,
} from '@brannik/core'
import { computed, type Ref, ref, watch } from 'vue'
import { holdingOf } from '../equipment/words.ts'
import { useNotice } from '../../stores/notice.ts'
import { useWorkspace } from '../../shop/workspace.ts'

export interface Place {
  readonly slot: Slot
  readonly title: string
  readonly required: boolean
  readonly name: string | null
  readonly verdict: Verdict
  /** The worst that is said of it. */
  readonly sentence: string
  /** What it costs where it is not in the shop; null where it is. */
  readonly toBuy: { readonly price: number | null } | null
}

/** A candidate, or a thing of which nothing is left. */
function toBuyOf<S extends Slot>(
  slot: S,
  item: SlotItems[S],
  stock: Shelf['stock'],
  notation: Notation,
): Place['toBuy'] {
  const amount = inStockFor(slot, stock, item)
  const { isHere, price } = holdingOf(pathOfSlot(slot), item as never, amount, notation)
  return isHere ? null : { price }
}

export function useAssembly(setUp: Ref<SetUp | null>) {
  const workspace = useWorkspace()
  const notice = useNotice()

  /** For which job the set-up is looked at; empty for none. */
  const jobId = ref('')
  watch(
    () => setUp.value?.id,
    (id) => {
      jobId.value = workspace.jobs.find((job) => job.setUpId === id)?.id ?? ''
    },
    { immediate: true },
  )
  const capability = computed<Capability | null>(() => {
    const { shop, shelf } = workspace
    return shop && setUp.value ? capabilityOf(shop, setUp.value, chosenOf(setUp.value, shelf)) : null
  })
  const demand = computed<Demand | null>(() => {
    const job = workspace.get('jobs', jobId.value)
    if (!capability.value || !workspace.shop || !job || job.joints.length === 0) return null
    return demandOf(job, capability.value.process.id, capability.value.wire, workspace.shop)
  })
  /** What is to be said of the set-up; what only follows from something else is left out. */
  const criteria = computed(() =>
    capability.value
      ? byWorst(
          assess(capability.value, demand.value).filter(
            // What the job uses up is told where the job is fitted.
            (one) => !isConsequence(one) && !OF_USE.has(one.criterion),
          ),
        )
      : [],
  )
  const missing = computed(() => (capability.value ? missingSlots(capability.value) : []))
  const verdict = computed<Verdict>(() =>
    worstVerdict([worstOf(criteria.value), ...(missing.value.length > 0 ? (['unknown'] as const) : [])]),
  )

  const places = computed<readonly Place[]>(() => {
    const whole = capability.value
    if (!whole) return []
    return needsOf(whole).map(({ slot, required }) => {
      const item = whole[slot]
      const title = capital(slotText(workspace.speech, slot, whole.process))
      if (!item) {
        return {
          slot,
          title,
          required,
          name: null,
          verdict: required ? 'unknown' : 'fits',
          sentence: required ? 'not chosen' : '',
          toBuy: null,
        }
      }
      const own = byWorst(assessSlot(slot, whole, demand.value))
      const [worst] = own
      return {
        slot,
        title,
        required,
        name: item.name,
        verdict: worstOf(own),
        sentence: worst && worst.verdict !== 'fits' ? sentenceOf(workspace.speech, worst) : '',
        toBuy: toBuyOf(slot, item, workspace.shelf.stock, workspace.notation),
      }
    })
  })

  function change(part: Partial<SetUp>, what: string, which: 'small' | 'all' = 'small'): void {
    const now = setUp.value
    const { shop, shelf } = workspace
    if (!now || !shop) return
    const { setUp: next, along } = changeSetUp(shop, shelf, now, part, demand.value, which)
    workspace.edit('set-ups', now.id, next, `${what} of ${now.name}`)
    notice.tellChangedAlong(along, next.process, workspace.speech)
  }
  function choose(slot: Slot, id: string | null): void {
    const words = slotText(workspace.speech, slot, PROCESSES[setUp.value?.process ?? 'gmaw-short'])
    change({ [slotKey(slot)]: id }, words)
  }
  /** Fills what is missing and replaces what does not go with the rest, from the shelf. */
  function complete(): void {
    const now = setUp.value
    if (!now || !capability.value) return
    const { change: changed, changed: slots } = fitOut(capability.value, workspace.shelf, {
      demand: demand.value,
    })
    if (slots.length === 0) {
      notice.show('Nothing on hand fits better')
      return
    }
    workspace.edit('set-ups', now.id, { ...now, ...changed }, `parts of ${now.name}`)
    notice.show(
      `Added: ${slots.map((slot) => slotText(workspace.speech, slot, PROCESSES[now.process])).join(', ')}`,
      true,
    )
  }

  return { jobId, capability, demand, criteria, missing, verdict, places, change, choose, complete }
}
