<script setup lang="ts">
import type { Could, SetUp } from '@brannik/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ChoiceField from '../../components/ChoiceField.vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { engines } from '../../engine/client.ts'
import type { Doable } from '../../engine/questions/doable.ts'
import { inShares } from '../../engine/inShares.ts'
import { askOfJobs } from '../../engine/manyJobs.ts'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { reasonOf } from '../../reason.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { useNotice } from '../../stores/notice.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import DecideDialog from './DecideDialog.vue'
import { listed } from './kitWords.ts'
import { useCould } from './useCould.ts'

/** Ways to do one job: whole set-ups of what is owned and what could be bought, the cheapest to get first; and of all jobs how many can be done. */
const workspace = useWorkspace()
const notice = useNotice()
const money = useMoney()
const { known, take: takeCould } = useCould()
const route = useRoute()
const router = useRouter()
const MOST = 60

const jobs = computed(() =>
  workspace.jobs.filter(({ state }) => state !== 'archived').map(({ id, name }) => ({ id, name })),
)
const jobId = computed(() => {
  const named = route.query['job']
  return typeof named === 'string' && workspace.get('jobs', named) ? named : (jobs.value[0]?.id ?? null)
})
const job = computed(() => (jobId.value ? workspace.get('jobs', jobId.value) : null))
const choose = (id: string | null): void => {
  if (id) void router.replace({ query: { job: id } })
}
const { answer, failure, isComputing } = useAnswer<'could'>(
  computed((): Question<'could'> | null => (jobId.value ? ['could', jobId.value, MOST] : null)),
  { by: inShares(engines) },
)

/** How many of all jobs can be done, as far as it is known. */
const doable = shallowRef<readonly Doable[]>([])
const doableFailure = ref('')
watch(
  () => [workspace.snapshot, jobs.value.map(({ id }) => id)] as const,
  async ([snapshot, ids], _before, onCleanup) => {
    const stop = new AbortController()
    onCleanup(() => stop.abort())
    doable.value = []
    doableFailure.value = ''
    try {
      await askOfJobs(engines, snapshot, 'doable', ids, [MOST], {
        signal: stop.signal,
        onPart: (part) => {
          doable.value = [...doable.value, ...part]
        },
      })
    } catch (error) {
      if (!stop.signal.aborted) doableFailure.value = reasonOf(error)
    }
  },
  { immediate: true },
)
const doableText = computed(() => {
  const all = jobs.value.length
  const checked = doable.value.length
  const count = (is: (one: Doable) => boolean): number => doable.value.filter(is).length
  const text = `Of ${checked === all ? `${all} jobs` : `${checked} jobs checked so far`}, ${count(({ isOwned }) => isOwned)} can be done with what you own, ${count(({ isDone }) => isDone)} with purchases.`
  return checked === 0 ? '' : text
})
const undoable = computed(() => doable.value.filter(({ isDone }) => !isDone))

const whole = (amount: number): string => money(Math.round(amount))
const cents = (amount: number): string => money(Math.round(amount * 100) / 100)
const nameOf = (
  path: 'circuits' | 'guns' | 'gases' | 'wires' | 'power-sources',
  id: string | null,
): string => (id === null ? '' : (workspace.get(path, id)?.name ?? id))
const chainOf = ({ setUp }: Could): string =>
  [
    nameOf('circuits', setUp.circuitId),
    nameOf('power-sources', setUp.powerSourceId),
    nameOf('guns', setUp.gunId),
    nameOf('wires', setUp.wireId),
    nameOf('gases', setUp.gasId),
  ]
    .filter((name) => name !== '')
    .join(' → ')
const lackText = ({ toBuy }: Could): string =>
  listed(toBuy.map(({ name, price }) => `${name} ${price === null ? '(no price)' : cents(price)}`))
const owned = computed(() => (answer.value?.best ?? []).filter(({ toBuy }) => toBuy.length === 0))
const toBuy = computed(() => (answer.value?.best ?? []).filter((one) => one.toBuy.length > 0))
const headline = computed(() => {
  if (!answer.value) return ''
  const [first] = answer.value.best
  if (!first) return 'Nothing in your lists does this job'
  return first.toBuy.length === 0
    ? `What you own does it in ${owned.value.length} ${owned.value.length === 1 ? 'way' : 'ways'}`
    : `Buy ${lackText(first)}`
})
function take(could: Could): void {
  const { value: now } = job
  if (!now) return
  const setUpId = takeCould(could)
  workspace.edit('jobs', now.id, { ...now, setUpId }, `set-up of ${now.name}`)
  notice.show(`${now.name} now uses ${could.setUp.name}`, true)
}
const deciding = ref(false)
const decided = ref<Could | null>(null)
function decide(could: Could): void {
  decided.value = could
  deciding.value = true
}
const NEW = 'could-new'
const choices = computed(() =>
  job.value && decided.value
    ? [{ job: job.value, setUp: known(decided.value) ?? ({ ...decided.value.setUp, id: NEW } as SetUp) }]
    : [],
)
</script>

<template>
  <div class="could sheet">
    <header>
      <ChoiceField class="job" label="Job" :items="jobs" :model-value="jobId" @update:model-value="choose" />
      <div class="says" role="status">
        <h2>{{ headline || (isComputing ? 'Putting set-ups together…' : '') }}</h2>
        <p v-if="answer" class="label">
          {{ answer.count }}
          {{ answer.count === 1 ? 'power source with a wire does' : 'power sources with a wire do' }} this
          job. Each is shown with the cheapest parts to buy. Wire, gas and tungsten count as running cost.
          Unlisted small parts come from the generic library. Check them against yours.
        </p>
        <p v-if="doableText" class="label" data-testid="doable">
          {{ doableText }}
          <template v-if="undoable.length > 0">
            Not possible:
            <template v-for="(one, index) in undoable" :key="one.jobId"
              ><template v-if="index > 0">, </template
              ><RouterLink :to="{ query: { job: one.jobId } }">{{
                workspace.get('jobs', one.jobId)?.name
              }}</RouterLink></template
            >.
          </template>
        </p>
        <p v-if="doableFailure" class="problem" role="alert">
          The other jobs cannot be checked: {{ doableFailure }}
        </p>
      </div>
    </header>
    <p v-if="failure" class="problem" role="alert">This cannot be calculated: {{ failure }}</p>
    <p v-if="answer && answer.count === 0" class="quiet">
      Look at the job’s row on the <RouterLink :to="{ name: 'board' }">board</RouterLink> for the reason, or
      add machines, guns and circuits to buy under
      <RouterLink :to="{ name: 'equipment' }">Equipment</RouterLink>.
    </p>
    <table
      v-for="[title, rows] in [
        ['With what you own', owned],
        ['With purchases', toBuy],
      ] as const"
      v-show="rows.length > 0"
      :key="title"
      class="ruled"
    >
      <caption>
        {{
          title
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">Set-up</th>
          <th scope="col">To buy</th>
          <th scope="col" class="number">Purchase</th>
          <th scope="col" class="number">Cost per run</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in rows" :key="`${one.setUp.process} ${one.setUp.powerSourceId} ${one.setUp.wireId}`">
          <th scope="row">
            <VerdictMark :verdict="one.verdict" :word="false" />
            <span class="name">{{ one.setUp.name }}</span>
            <span class="label">{{ chainOf(one) }}</span>
          </th>
          <td>{{ lackText(one) || '–' }}</td>
          <td class="number">{{ whole(one.toGet) }}</td>
          <td class="number">{{ one.toRun === null ? '–' : cents(one.toRun) }}</td>
          <td class="acts">
            <button class="link-button" :aria-label="`Use ${one.setUp.name}`" @click="take(one)">
              {{ known(one)?.id === job?.setUpId && job?.setUpId ? 'In use' : 'Use' }}
            </button>
            <button class="link-button" :aria-label="`Decide for ${one.setUp.name}`" @click="decide(one)">
              Decide
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="label">
      Plan only, not approval. The data plate, the local code and licensed people decide what you may connect
      and weld.
    </p>
    <DecideDialog
      v-model="deciding"
      :choices="choices"
      :purchases="(decided?.toBuy ?? []).map(({ name, price }) => ({ name, price }))"
      :made-of="(id) => (id === NEW ? decided : null)"
    />
  </div>
</template>

<style scoped>
.could {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  padding: 14px 16px;
}
header {
  align-items: start;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
}
.job {
  flex: 0 1 280px;
}
.says {
  display: grid;
  flex: 1 1 360px;
  gap: 4px;
}
.says h2 {
  font-size: var(--text-l);
}
caption {
  font-weight: 600;
  text-align: left;
}
.ruled :is(th, td) {
  padding: 5px 8px 5px 0;
  vertical-align: top;
}
.ruled tbody th {
  font-weight: 600;
}
.ruled .number {
  text-align: right;
  white-space: nowrap;
}
.ruled th .label {
  display: block;
  font-weight: 400;
}
.name {
  margin-left: 6px;
}
.acts {
  white-space: nowrap;
}
.acts button + button {
  margin-left: 12px;
}
@media screen and (max-width: 420px) {
  .could {
    padding: 12px 10px;
  }
  .acts {
    white-space: normal;
  }
  .ruled :is(th, td) {
    overflow-wrap: anywhere;
    padding-right: 5px;
  }
}
</style>
