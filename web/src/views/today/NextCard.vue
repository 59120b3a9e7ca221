<script setup lang="ts">
import { spokenCard, type WeekBlock } from '@brannik/core'
import { useNow } from '@vueuse/core'
import { computed } from 'vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { durationText, usePlanWords } from '../week/planWords.ts'

/** The next job of a machine: what is on it, what to change, the figures to set, and the press that starts it. */
const { block } = defineProps<{ block: WeekBlock }>()
const emit = defineEmits<{ start: []; pause: []; done: [] }>()
const workspace = useWorkspace()
const session = useSession()
const { clock, day, lateText, nameOf } = usePlanWords()

const source = computed(() => workspace.get('power-sources', block.sourceId))
const present = computed(() => workspace.get('present-set-ups', block.sourceId))
const { answer: card } = useAnswer<'card'>(
  computed((): Question<'card'> => ['card', block.jobId, block.setUpId, '']),
)
const spoken = computed(() => card.value && spokenCard(workspace.speech, card.value))
const MOST_FIGURES = 5
const now = useNow({ interval: 1000 })
const MS_PER_MIN = 60_000
const worked = computed(() => {
  const { work } = block
  if (!work) return ''
  const more = work.state === 'running' ? Math.max(0, now.value.getTime() - Date.parse(work.lastAt)) : 0
  return durationText((work.workedMs + more) / MS_PER_MIN)
})
const state = computed(() => block.work?.state ?? 'next')
</script>

<template>
  <article class="sheet next">
    <header class="head">
      <div>
        <p class="when">
          {{ state === 'running' ? 'Running' : state === 'paused' ? 'Paused' : 'Next' }} · {{ source?.name }}
        </p>
        <h2>{{ nameOf(block) }}</h2>
      </div>
      <div class="acts">
        <template v-if="session.mayRecord">
          <button v-if="state !== 'running'" class="plain-button main" @click="emit('start')">
            {{ state === 'paused' ? 'Resume' : 'Start' }}
          </button>
          <template v-else>
            <button class="plain-button" @click="emit('pause')">Pause</button>
          </template>
          <button
            v-if="state !== 'next'"
            class="plain-button"
            :class="{ main: state === 'running' }"
            @click="emit('done')"
          >
            Done
          </button>
        </template>
        <RouterLink
          v-if="block.changeMin > 0"
          class="plain-button"
          :to="{ name: 'change-over', params: { id: block.setUpId } }"
          >Change over · {{ durationText(block.changeMin) }}</RouterLink
        >
        <RouterLink
          class="plain-button"
          :to="{ name: 'card', params: { jobId: block.jobId }, query: { 'set-up': block.setUpId } }"
          >Card</RouterLink
        >
      </div>
    </header>
    <p>
      On the machine now: <strong>{{ present?.name ?? 'not recorded' }}</strong>.
      <template v-if="present?.setUpId === block.setUpId">Nothing to change.</template>
      <template v-else
        >The job needs <strong>{{ block.setUpName }}</strong>.</template
      >
    </p>
    <dl v-if="spoken" class="figures">
      <div v-for="figure in spoken.figures.slice(0, MOST_FIGURES)" :key="figure.id">
        <dt>{{ figure.unit ? `${figure.title}, ${figure.unit}` : figure.title }}</dt>
        <dd>{{ figure.value }}</dd>
      </div>
    </dl>
    <p v-if="spoken" class="quiet">{{ spoken.leads.text }}. {{ spoken.pace }}</p>
    <p v-if="block.lateMin > 0 && block.dueOn !== null" class="bad">
      Due {{ day(block.dueOn) }}: {{ lateText(block.lateMin) }}.
    </p>
    <p class="quiet">
      <template v-if="worked"
        >{{ worked }} at work so far. About {{ durationText(block.workMin) }} left.</template
      >
      <template v-else
        >{{ block.welderName }} starts {{ clock(block.startMin) }}, done {{ clock(block.endMin) }}.
        {{ durationText(block.workMin) }} of work.</template
      >
      <template v-if="block.pace.runs > 0">
        From {{ block.pace.runs }} {{ block.pace.runs === 1 ? 'run' : 'runs' }} that you did.
      </template>
    </p>
  </article>
</template>

<style scoped>
.next {
  align-content: start;
  display: grid;
  gap: 10px;
  padding: 14px 16px;
}
.head {
  align-items: start;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  justify-content: space-between;
}
.when {
  color: var(--copper);
  font-size: var(--text-s);
  font-weight: 700;
}
h2 {
  font-size: var(--text-xxl);
  line-height: 1.15;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.acts > * {
  min-height: 40px;
}
.bad {
  color: var(--fails);
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 28px;
}
dt {
  color: var(--ink-2);
  font-size: var(--text-s);
}
dd {
  font-size: var(--text-xl);
  font-weight: 700;
}
@media (pointer: coarse) {
  .acts > * {
    min-height: 48px;
  }
}
</style>
