/** One set-up as it is put together: what stands in each place, what the rules say, what the shelf offers. */
import {
  type Assembly,
  assemblyOf,
  byWorst,
  changeSetUp,
  chosenOf,
  fitOut,
  jobDemands,
  judgeAll,
  judgeSlot,
  missingSlots,
  needsOf,
  partsOf,
  PROCESSES,
  type SetUp,
  type Slot,
  SLOT_KEYS,
  type SlotItems,
  slotWords,
  type Verdict,
  worstOf,
  worstVerdict,
} from '@brannik/core'
import { computed, type Ref, ref, watch } from 'vue'
import { holdingOf, SLOT_PATHS } from '../equipment/words.ts'
import { useNotice } from '../../stores/notice.ts'
import { useWorkspace } from '../../stores/workspace.ts'

export interface Place {
  readonly slot: Slot
  readonly title: string
  readonly required: boolean
  readonly name: string | null
  readonly verdict: Verdict
  /** The worst that is said of it. */
  readonly says: string
  /** What it costs where it is not in the shop; null where it is. */
  readonly toBuy: { readonly price: number | null } | null
}

/** A candidate, or a thing of which nothing is left. */
function toBuyOf<S extends Slot>(slot: S, item: SlotItems[S]): Place['toBuy'] {
  const { isHere, price } = holdingOf(SLOT_PATHS[slot], item as never, 'metric')
  return isHere ? null : { price }
}

const capital = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}`

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
  const demands = computed(() => {
    const { shop, shelf } = workspace
    const job = workspace.get('jobs', jobId.value)
    if (!shop || !job || !setUp.value || job.joints.length === 0) return null
    const answer = partsOf(setUp.value, shelf)
    return answer.ok ? jobDemands({ shop, job, setUp: setUp.value, ...answer.parts }) : null
  })
  const assembly = computed<Assembly | null>(() => {
    const { shop, shelf } = workspace
    if (!shop || !setUp.value) return null
    return assemblyOf(shop, setUp.value, chosenOf(setUp.value, shelf), demands.value)
  })
  const findings = computed(() => (assembly.value ? byWorst(judgeAll(assembly.value)) : []))
  const missing = computed(() => (assembly.value ? missingSlots(assembly.value) : []))
  const verdict = computed<Verdict>(() =>
    worstVerdict([worstOf(findings.value), ...(missing.value.length > 0 ? (['unknown'] as const) : [])]),
  )

  const places = computed<readonly Place[]>(() => {
    const whole = assembly.value
    if (!whole) return []
    return needsOf(whole).map(({ slot, required }) => {
      const item = whole[slot]
      const title = capital(slotWords(slot, whole.process))
      if (!item) {
        return {
          slot,
          title,
          required,
          name: null,
          verdict: required ? 'unknown' : 'fits',
          says: required ? 'not chosen' : '',
          toBuy: null,
        }
      }
      const own = byWorst(judgeSlot(slot, whole))
      const [worst] = own
      const bad = worst && worst.judgement.verdict !== 'fits'
      return {
        slot,
        title,
        required,
        name: item.name,
        verdict: worstOf(own),
        says: bad ? worst.judgement.says : '',
        toBuy: toBuyOf(slot, item),
      }
    })
  })

  function change(part: Partial<SetUp>, what: string, which: 'small' | 'all' = 'small'): void {
    const now = setUp.value
    const { shop, shelf } = workspace
    if (!now || !shop) return
    const { setUp: next, along } = changeSetUp(shop, shelf, now, part, demands.value, which)
    workspace.edit('set-ups', now.id, next, `${what} of ${now.name}`)
    notice.tellChangedAlong(along, next.process)
  }
  function choose(slot: Slot, id: string | null): void {
    const words = slotWords(slot, PROCESSES[setUp.value?.process ?? 'gmaw-short'])
    change({ [SLOT_KEYS[slot]]: id }, words)
  }
  /** Fills what is missing and replaces what does not go with the rest, from the shelf. */
  function complete(): void {
    const now = setUp.value
    if (!now || !assembly.value) return
    const { change: changed, changed: slots } = fitOut(assembly.value, workspace.shelf, 'small')
    if (slots.length === 0) {
      notice.show('Nothing on the shelf goes better with it')
      return
    }
    workspace.edit('set-ups', now.id, { ...now, ...changed }, `parts of ${now.name}`)
    notice.show(
      `Taken from the shelf: ${slots.map((slot) => slotWords(slot, PROCESSES[now.process])).join(', ')}`,
      true,
    )
  }

  return { jobId, assembly, findings, missing, verdict, places, change, choose, complete }
}
