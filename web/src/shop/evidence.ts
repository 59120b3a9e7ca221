/** What was looked at, cut and tested of welds. Coupons have pictures: they are read once, then only what came since. */
import type { StoredEvent } from '@brannik/core'
import { ref, type Ref, shallowRef, watch } from 'vue'
import { ownerNow, RequestFailed } from '../api/client.ts'
import { reasonOf } from '../reason.ts'
import { eventsFrom } from './eventList.ts'
import { happenings } from './happenings.ts'
import { inTurn } from './inTurn.ts'

type Taken = StoredEvent<'evidence-taken'>

const all = shallowRef<readonly Taken[]>([])
const failure = ref('')
/** Of which shop and account it is, and where to go on. */
let [of, next] = ['', '0']

const look = inTurn(async () => {
  const now = ownerNow()
  if (now !== of) {
    ;[of, next] = [now, '0']
    all.value = []
  }
  try {
    const came = await eventsFrom('evidence-taken', next)
    all.value = next === '0' ? came.items : [...all.value, ...came.items]
    next = came.next
    failure.value = ''
  } catch (error) {
    // The numbers of another shop are refused: then all is read anew.
    if (error instanceof RequestFailed && !error.isPassing) next = '0'
    failure.value = reasonOf(error)
  }
})

interface KnownEvidence {
  readonly all: Ref<readonly Taken[]>
  /** Why it cannot be read; empty where it can. */
  readonly failure: Ref<string>
  readonly look: () => void
}

/** Read while somebody looks at it. */
export function useEvidence(): KnownEvidence {
  watch(happenings, look, { immediate: true })
  return { all, failure, look }
}
