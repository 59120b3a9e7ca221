<script setup lang="ts">
import { type CouponProof, type Evidence, provenTight } from '@brannik/core'
import { computed } from 'vue'
import { useEvidence } from '../../shop/evidence.ts'
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

const { all } = useEvidence()
const evidence = computed((): readonly Evidence[] => all.value.map(({ body }) => body))

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
