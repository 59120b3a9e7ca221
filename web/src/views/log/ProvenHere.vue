<script setup lang="ts">
import { type CouponProof, type Evidence, provenTight } from '@brannik/core'
import { computed, shallowRef, watch } from 'vue'
import { eventsFrom } from '../../shop/eventList.ts'
import { happenings } from '../../shop/happenings.ts'
import { inTurn } from '../../shop/inTurn.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useWhen } from '../../stores/useWhen.ts'

/** A tight current that a cut and etched coupon has shown to fuse, here: by whom and when. It stays tight, and no approval. */
const { jobId, setUpId, jointId, criteria } = defineProps<{
  jobId: string
  setUpId: string
  jointId: string
  criteria: Parameters<typeof provenTight>[0]
}>()
const workspace = useWorkspace()
const when = useWhen()

const evidence = shallowRef<readonly Evidence[]>([])
/** Coupons have pictures: only what came since is read when something happens. */
let from = '0'
const look = inTurn(async () => {
  try {
    const { items, next } = await eventsFrom('evidence-taken', from)
    const found = items.map(({ body }) => body)
    evidence.value = from === '0' ? found : [...evidence.value, ...found]
    from = next
  } catch {
    // The numbers of another shop are refused: then all is read anew.
    from = '0'
  }
})
watch(happenings, look, { immediate: true })

const proof = computed((): CouponProof | null => {
  const setUp = workspace.get('set-ups', setUpId)
  const joints = workspace.get('jobs', jobId)?.joints ?? []
  if (!setUp) return null
  const { process, wireId, gasId } = setUp
  const weldOf = (id: string) => {
    const joint = joints.find((one) => one.id === id)
    if (!joint) return null
    const thicknessMm = Math.min(joint.thicknessAMm, joint.thicknessBMm)
    return { setUpId, process, wireId, gasId, thicknessMm, position: joint.position }
  }
  return provenTight(criteria, evidence.value, weldOf, jointId)
})
</script>

<template>
  <p v-if="proof" class="proven">
    <strong>Proven here</strong> by a cut and etched coupon, {{ proof.by }}, {{ when(proof.takenAt, 'day') }}.
    Same set-up, thickness and position. Not an approval.
  </p>
</template>

<style scoped>
.proven {
  border-left: 3px solid var(--fits);
  padding: 2px 10px;
}
</style>
