<script setup lang="ts">
import type { NodePower } from '@brannik/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import OneLine from '../../charts/OneLine.vue'
import ShiftChart from '../../charts/ShiftChart.vue'
import type { Opened } from '../../components/opened.ts'
import VerdictMark from '../../components/VerdictMark.vue'
import WorkingDrawer from '../../components/WorkingDrawer.vue'
import type { JobOnSetUp } from '../../engine/snapshot.ts'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import AtWork from './AtWork.vue'
import LoadBar from './LoadBar.vue'
import PairsTable from './PairsTable.vue'
import PowerCautions from './PowerCautions.vue'
import { chanceWords } from './chanceWords.ts'
import { type Place, supplyTree } from './supplyTree.ts'

/** Everybody at once on the supply as it is drawn: what carries them through a shift, and which two go together. */
const workspace = useWorkspace()
const { print, spell } = usePrint()
const route = useRoute()
const router = useRouter()

/** `job.set-up` for each, in the address: a link shows the same. */
const asked = computed((): readonly JobOnSetUp[] | null => {
  const at = route.query['at']
  if (typeof at !== 'string') return null
  return at.split(',').flatMap((one) => {
    const [jobId = '', setUpId = ''] = one.split('.')
    return jobId === '' || setUpId === '' ? [] : [{ jobId, setUpId }]
  })
})
const { answer: likely } = useAnswer<'likely'>(computed(() => (asked.value === null ? ['likely'] : null)))
const atWork = computed((): readonly JobOnSetUp[] => asked.value ?? likely.value ?? [])
function change(now: readonly JobOnSetUp[]): void {
  const at = now.map(({ jobId, setUpId }) => `${jobId}.${setUpId}`).join(',')
  void router.replace({ query: { ...route.query, at } })
}
const { answer, failure, isComputing } = useAnswer<'shopPower'>(
  computed((): Question<'shopPower'> | null =>
    asked.value === null && likely.value === null ? null : ['shopPower', [...atWork.value]],
  ),
)
const nodes = computed((): readonly NodePower[] => answer.value?.nodes ?? [])
const roots = computed(() => supplyTree(workspace.shelf, nodes.value, workspace.notation.locale))
const keyOf = ({ kind, id }: Pick<NodePower, 'kind' | 'id'>): string => `${kind} ${id}`
const openKey = ref<string | null>(null)
const worst = computed(() => nodes.value.find(({ verdict }) => verdict === answer.value?.verdict) ?? null)
const open = computed(() => nodes.value.find((node) => keyOf(node) === openKey.value) ?? worst.value)
const amps = (value: number): string => print(value, 'A')
const span = (seconds: number): string => print(seconds, 's')
const headline = computed(() => {
  if (!answer.value) return failure.value || 'Simulating shifts…'
  const failing = nodes.value.filter(({ verdict }) => verdict === 'fails')
  const tight = nodes.value.filter(({ verdict }) => verdict === 'tight').map(({ name }) => name)
  if (failing.length === 0)
    return tight.length === 0
      ? 'Everyone can weld at once'
      : `Everyone can weld at once. Close to the limit: ${tight.join(', ')}`
  const [first] = failing
  return failing.length === 1 && first
    ? `Not everyone at once: ${first.name} is overloaded`
    : `${failing.length} of ${nodes.value.length} breakers are overloaded: ${failing.map(({ name }) => name).join(', ')}`
})
const look = (place: Place): void => {
  if (place.power) openKey.value = keyOf(place.power)
}
/** Whether the working of the rule is open. */
const isOpened = ref(false)
const { answer: working } = useAnswer<'explainGroup'>(
  computed((): Question<'explainGroup'> | null =>
    isOpened.value && open.value ? ['explainGroup', [...atWork.value], open.value.kind, open.value.id] : null,
  ),
)
const opened = computed((): Opened | null =>
  isOpened.value && open.value?.rule
    ? {
        key: keyOf(open.value),
        title: `Cable of ${open.value.name} by code`,
        verdict: open.value.rule.askedA > open.value.rule.carriesA ? 'fails' : 'fits',
        sentence: `For ${open.value.carries.join('; ')}.`,
        mends: [],
        working: working.value,
      }
    : null,
)
const hasGenerator = computed(() => nodes.value.some(({ kind }) => kind === 'generator'))
</script>

<template>
  <div class="shop-power">
    <section class="sheet pad" :aria-busy="isComputing">
      <h2 v-show="headline" aria-live="polite">
        <VerdictMark v-if="answer" :verdict="answer.verdict" :word="false" /> {{ headline }}
      </h2>
      <p v-if="roots.length === 0" class="quiet">
        No panels yet.
        <RouterLink class="link-button" :to="{ name: 'equipment', params: { list: 'panels' } }"
          >Add a panel</RouterLink
        >, and set the panel of each circuit.
      </p>
      <OneLine v-slot="{ item }" :roots="roots" label="Supply from the utility to the machines">
        <component
          :is="item.power ? 'button' : 'div'"
          class="place"
          :class="[
            item.kind,
            item.power?.verdict,
            { open: open && item.power && keyOf(open) === keyOf(item.power) },
          ]"
          :aria-pressed="item.power ? open !== null && keyOf(open) === keyOf(item.power) : undefined"
          @click="look(item)"
        >
          <span class="name">
            <VerdictMark v-if="item.power" :verdict="item.power.verdict" :word="false" />
            <span class="words">{{ item.name }}</span>
          </span>
          <LoadBar
            v-if="item.power"
            class="flow"
            :load="item.power.shift.meanA"
            :holds="item.power.heldA"
            :verdict="item.power.verdict"
          />
          <span v-if="item.note" class="label note">{{ item.note }}</span>
        </component>
      </OneLine>
      <p class="label">
        Bar: average current over the shift. Mark: what the breaker holds continuously. Edit
        <RouterLink class="link-button" :to="{ name: 'equipment', params: { list: 'panels' } }"
          >panels</RouterLink
        >,
        <RouterLink class="link-button" :to="{ name: 'equipment', params: { list: 'circuits' } }"
          >circuits</RouterLink
        >,
        <RouterLink class="link-button" :to="{ name: 'equipment', params: { list: 'generators' } }"
          >generators</RouterLink
        >.
      </p>
    </section>
    <div class="two">
      <AtWork class="sheet pad" :at-work="atWork" :left-out="answer?.leftOut ?? []" @change="change" />
      <figure v-if="open && answer" class="sheet pad shift">
        <figcaption>
          <strong>{{ open.name }} through a shift</strong>
          <span class="label">one of {{ answer.runs }} simulated shifts</span>
        </figcaption>
        <ShiftChart :curve="open.curve" :held-a="open.heldA" :hours="answer.hours" :amps="amps" />
        <p>{{ chanceWords(open, span) }}</p>
        <p v-if="open.rule" class="quiet">
          By code ({{ open.rule.source }}) its cable must carry
          <button class="link-button" @click="isOpened = true">{{ amps(open.rule.askedA) }}</button>
          for all its loads. It carries {{ amps(open.rule.carriesA) }}.
        </p>
        <p class="label">
          {{ spell('Copper: peak of each minute. Grey: average. Simulated, work varies.') }}
        </p>
      </figure>
    </div>
    <section v-if="answer && answer.machines.length > 1" class="sheet pad">
      <h2>Who can weld at the same time</h2>
      <PairsTable :machines="answer.machines" :at-work="atWork" />
    </section>
    <section v-if="answer && nodes.length > 0" class="sheet pad">
      <h2>All breakers</h2>
      <div class="scroll" role="region" tabindex="0" aria-label="Work at once">
        <table class="ruled">
          <thead>
            <tr>
              <th scope="col">Breaker</th>
              <th scope="col" class="number">Holds</th>
              <th scope="col" class="number">Mean</th>
              <th scope="col" class="number">Most</th>
              <th scope="col" class="number">Time above limit</th>
              <th scope="col">In a shift</th>
              <th scope="col">Verdict</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="node in nodes" :key="keyOf(node)">
              <th scope="row">
                <button class="link-button" @click="openKey = keyOf(node)">{{ node.name }}</button>
                <span class="label">{{ node.carries.join('; ') }}</span>
              </th>
              <td class="number">{{ amps(node.heldA) }}</td>
              <td class="number">{{ amps(node.shift.meanA) }}</td>
              <td class="number">{{ amps(node.shift.peakA) }}</td>
              <td class="number">{{ print(node.shift.aboveShare * 100, '%') }}</td>
              <td>{{ chanceWords(node, span) }}</td>
              <td><VerdictMark :verdict="node.verdict" /></td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="quiet">
        Single-phase circuits alternate between the lines of a panel. Arcs and pauses come from the jobs and
        vary at random.
      </p>
    </section>
    <PowerCautions :has-generator="hasGenerator" />
    <WorkingDrawer :opened="opened" @close="isOpened = false" />
  </div>
</template>

<style scoped src="./tables.css" />
<style scoped>
.shop-power {
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr);
}
.pad {
  padding: 14px 16px;
}
h2 {
  font-size: var(--text-l);
  margin: 0 0 10px;
}
.two {
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
}
.place {
  background: var(--sheet);
  border: 1px solid var(--line);
  color: inherit;
  display: grid;
  font: inherit;
  gap: 0 8px;
  grid-template-columns: minmax(0, 1fr) auto;
  height: 100%;
  padding: 3px 8px;
  text-align: left;
  width: 100%;
}
button.place {
  cursor: pointer;
}
.place.fails {
  border-color: var(--fails);
}
.place.open {
  border-color: var(--copper);
  box-shadow: inset 0 0 0 1px var(--copper);
}
.place.drawer,
.place.supplier {
  align-content: center;
  border-style: dashed;
}
.name {
  grid-column: 1 / -1;
  align-items: center;
  display: flex;
  gap: 4px;
  min-width: 0;
}
.words {
  font-size: var(--text-s);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.drawer .words {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  line-height: 1.25;
  white-space: normal;
}
.note {
  white-space: nowrap;
}
.flow {
  align-self: center;
  height: 8px;
  min-width: 40px;
}
.shift {
  margin: 0;
}
.shift p {
  margin: 6px 0 0;
}
figcaption {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
}
@media screen and (max-width: 1000px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
