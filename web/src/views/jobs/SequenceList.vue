<script setup lang="ts">
import {
  type Plan,
  HANDLINGS,
  type Job,
  type Joint,
  jointName,
  printParts,
  printValue,
  type SequenceLine,
  type Work,
} from '@brannik/core'
import type { SortableEvent } from 'sortablejs'
import { useSortable } from '@vueuse/integrations/useSortable'
import { computed, ref } from 'vue'
import ArcStrip from '../../charts/ArcStrip.vue'
import CountField from '../../components/CountField.vue'
import PickField from '../../components/PickField.vue'
import { useWorkspace } from '../../shop/workspace.ts'

/** The order of welding: drag a line, or move it by its buttons; its times make the arc-on pattern below. */
const { job, plan } = defineProps<{ job: Job; plan: Plan | null }>()
const emit = defineEmits<{
  move: [from: number, to: number]
  joint: [id: string, change: Partial<Joint>, what: string]
  job: [change: Partial<Job>, what: string]
}>()

const MOST_SHOWN = 200
const workspace = useWorkspace()
const list = ref<HTMLElement | null>(null)
useSortable(list, [], {
  handle: '.handle',
  animation: 0,
  onUpdate({ oldIndex, newIndex, item, from }: SortableEvent) {
    if (oldIndex === undefined || newIndex === undefined) return
    // The list is drawn anew from the job: the dragged element goes back to where it was first.
    from.removeChild(item)
    from.insertBefore(item, from.children[oldIndex] ?? null)
    emit('move', oldIndex, newIndex)
  },
})

const print = (value: number, unit: string): string => printValue(value, unit, workspace.notation)
const lines = computed(() =>
  job.joints
    .slice(0, MOST_SHOWN)
    .map((joint, index) => ({ joint, index, line: plan?.sequence[index] ?? null })),
)
const pieceS = computed(() => plan?.sequence.reduce((sum, line) => sum + line.pieceS, 0) ?? null)
const workS = ({ arcS, tackS, handlingS, changeoverS }: Work): number =>
  arcS + tackS + handlingS + changeoverS
/** Root and fill passes take each their own time. */
const oneArcWords = ({ arcs }: SequenceLine): string =>
  arcs.map(({ pass, arcS }) => `${pass === null ? '' : `${pass} `}${print(arcS, 's')}`).join(', ')
const HANDLING_WORDS = {
  bench: 'on the bench',
  turned: 'turned by hand',
  hoisted: 'turned with a hoist',
} as const
const ORDERS = [
  ['piece-by-piece', 'each piece finished before the next'],
  ['weld-by-weld', 'each weld on all pieces first'],
] as const
</script>

<template>
  <section class="sequence">
    <div class="settings">
      <PickField
        class="handling"
        label="Handling"
        :items="HANDLINGS.map((one) => [one, HANDLING_WORDS[one]] as const)"
        :model-value="job.handling"
        @update:model-value="(now) => now && emit('job', { handling: now }, 'handling')"
      />
      <PickField
        class="order"
        label="Order"
        :items="ORDERS"
        :model-value="job.order"
        @update:model-value="(now) => now && emit('job', { order: now }, 'order')"
      />
      <CountField
        class="pause"
        label="Rest after each weld, s"
        :least="0"
        :most="3600"
        optional="from handling"
        :model-value="job.pauseS"
        @update:model-value="(value) => emit('job', { pauseS: value }, 'rest between welds')"
      />
      <p v-if="pieceS !== null && plan?.work" class="total">
        <strong>{{ print(pieceS, 's') }}</strong> a piece. The job takes
        <strong>{{ print(workS(plan.work), 's') }}</strong>: {{ print(plan.work.arcS, 's') }} arc,
        {{ print(plan.work.tackS, 's') }} tacking, {{ print(plan.work.handlingS, 's') }} handling,
        <RouterLink v-if="job.setUpId" :to="{ name: 'change-over', params: { id: job.setUpId } }"
          >{{ print(plan.work.changeoverS, 's') }} changeover</RouterLink
        ><template v-else>{{ print(plan.work.changeoverS, 's') }} changeover</template>
        <template v-if="plan.dutyPct !== null"> · worst ten minutes {{ print(plan.dutyPct, '%') }}</template>
      </p>
    </div>
    <ArcStrip v-if="plan" :sequence="plan.sequence" :joints="job.joints" />
    <div class="row head label">
      <span></span><span>No</span><span>Weld</span><span class="number">Tack, s</span
      ><span class="number">One arc</span><span class="number">Arcs</span
      ><span class="number">Handling, s</span><span class="number">A piece</span><span></span>
    </div>
    <ol ref="list" aria-label="Order of welding">
      <li v-for="{ joint, index, line } in lines" :key="joint.id" class="row">
        <span v-tip="'Drag to move'" class="handle" aria-hidden="true">⋮⋮</span>
        <span class="quiet">{{ index + 1 }}</span>
        <span class="clip"
          >{{ jointName(joint) }}, {{ joint.count }} ×, {{ printParts(joint, workspace.notation) }}</span
        >
        <CountField
          label=""
          class="small"
          :name="`Tack time of weld ${index + 1}, s`"
          :least="0"
          :most="36000"
          decimals
          :optional="line ? `${Math.round(line.tackS)}` : 'auto'"
          :model-value="joint.tackS"
          @update:model-value="(value) => emit('joint', joint.id, { tackS: value }, 'tacking')"
        />
        <span class="number">{{ line ? oneArcWords(line) : '–' }}</span>
        <span class="number">{{ line ? line.arcs.map(({ times }) => times).join(' + ') : '–' }}</span>
        <CountField
          label=""
          class="small"
          :name="`Handling after weld ${index + 1}, s`"
          :least="0"
          :most="36000"
          decimals
          :optional="line ? `${Math.round(line.repositionS)}` : 'auto'"
          :model-value="joint.repositionS"
          @update:model-value="(value) => emit('joint', joint.id, { repositionS: value }, 'repositioning')"
        />
        <span class="number">{{ line ? print(line.pieceS, 's') : '–' }}</span>
        <span class="moves">
          <button
            :disabled="index === 0"
            :aria-label="`Weld ${index + 1} earlier`"
            @click="emit('move', index, index - 1)"
          >
            ↑
          </button>
          <button
            :disabled="index === job.joints.length - 1"
            :aria-label="`Weld ${index + 1} later`"
            @click="emit('move', index, index + 1)"
          >
            ↓
          </button>
        </span>
      </li>
    </ol>
    <p v-if="job.joints.length > MOST_SHOWN" class="quiet">
      The first {{ MOST_SHOWN }} of {{ job.joints.length }} welds are listed. Move the others under Welds with
      Alt ↑↓.
    </p>
  </section>
</template>

<style scoped>
.sequence {
  align-content: start;
  display: grid;
  gap: 10px;
  overflow-y: auto;
  padding: 12px 16px;
}
.settings {
  align-items: end;
  display: flex;
  flex-wrap: wrap;
  gap: 12px 20px;
}
.handling {
  width: 190px;
}
.order {
  width: 290px;
}
.pause {
  width: 170px;
}
.total {
  margin-left: auto;
  padding-bottom: 5px;
}
.row {
  align-items: center;
  border-bottom: 1px solid var(--line);
  display: grid;
  gap: 8px;
  grid-template-columns: 18px 26px minmax(0, 1fr) 72px 84px 48px 96px 96px 56px;
  min-height: 38px;
}
.head {
  min-height: 24px;
}
.handle {
  color: var(--ink-3);
  cursor: grab;
  letter-spacing: -3px;
}
.clip {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.moves button {
  background: none;
  border: 1px solid var(--line);
  border-radius: 3px;
  color: var(--ink);
  cursor: pointer;
  height: 26px;
  width: 26px;
}
.moves button:disabled {
  opacity: 0.35;
}
@media screen and (max-width: 900px) {
  .row {
    grid-template-columns: 18px 26px minmax(0, 1fr) 72px 96px 56px;
  }
  .row > .number:not(:nth-child(3)) {
    display: none;
  }
  .head {
    display: none;
  }
}
</style>
