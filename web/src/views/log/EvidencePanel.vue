<script setup lang="ts">
import { type Evidence, type Job, visualListName } from '@brannik/core'
import { computed, ref } from 'vue'
import { useEvidence } from '../../shop/evidence.ts'
import { useSession } from '../../shop/session.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWhen } from '../../stores/useWhen.ts'
import EvidenceDialog from './EvidenceDialog.vue'

/** What was looked at, cut and tested of a job's welds. It says what was seen; it approves nothing. */
const { job } = defineProps<{ job: Job }>()
const session = useSession()
const when = useWhen()
const { print } = usePrint()
const isWriting = ref(false)
const { all, failure, look } = useEvidence()
/** Of this job, the newest first. */
const own = computed(() =>
  all.value
    .filter(({ subject }) => subject.startsWith(`weld.${job.id}.`))
    .map(({ seq, subject, body }) => ({ seq, jointId: subject.split('.')[2] ?? '', body }))
    .toSorted((a, b) => b.body.takenAt.localeCompare(a.body.takenAt)),
)

const weldNumber = (jointId: string): number => job.joints.findIndex(({ id }) => id === jointId) + 1
function saidOf(body: Evidence): string {
  if (body.kind === 'visual') {
    const failed = Object.entries(body.items).filter(([, isMet]) => !isMet).length
    const looked = Object.keys(body.items).length
    return `${visualListName(body.list)}: ${looked} looked at, ${failed} not met`
  }
  if (body.kind === 'coupon') {
    const sizes = [
      body.legMm === null ? '' : `leg ${print(body.legMm, 'mm')}`,
      body.throatMm === null ? '' : `throat ${print(body.throatMm, 'mm')}`,
      body.isRootReached ? 'root reached' : 'root not reached',
    ]
    return sizes.filter(Boolean).join(', ')
  }
  return `${Math.abs(body.startKPa - body.endKPa).toPrecision(2)} kPa lost in ${body.minutes} min of ${body.volumeL} L`
}
const KINDS = { visual: 'Visual', coupon: 'Coupon', leak: 'Leak test' } as const
</script>

<template>
  <section class="evidence" aria-label="Evidence">
    <header>
      <h2>Evidence</h2>
      <button class="plain-button screen-only" :disabled="!session.mayRecord" @click="isWriting = true">
        Add evidence
      </button>
    </header>
    <p class="quiet">
      Seen and measured, not approved. A structural weld needs a qualified procedure and welder.
    </p>
    <p v-if="failure" class="problem" role="alert">Evidence cannot be read: {{ failure }}.</p>
    <ul v-if="own.length > 0">
      <li v-for="{ seq, jointId, body } in own" :key="seq">
        <strong>{{ KINDS[body.kind] }} {{ body.result }}</strong>
        <span>Weld {{ weldNumber(jointId) }} · {{ saidOf(body) }}</span>
        <span class="label">{{ body.by }}, {{ when(body.takenAt, 'day') }} · {{ body.setUpName }}</span>
        <span v-if="body.note" class="quiet">{{ body.note }}</span>
        <img
          v-if="body.kind === 'coupon' && body.picture"
          :src="body.picture"
          alt="Cut and etched section"
          height="72"
        />
      </li>
    </ul>
    <EvidenceDialog v-model="isWriting" :job="job" @saved="look" />
  </section>
</template>

<style scoped>
.evidence {
  display: grid;
  gap: 6px;
}
header {
  align-items: center;
  display: flex;
  gap: 12px;
}
li {
  align-items: center;
  border-top: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding: 6px 0;
}
</style>
