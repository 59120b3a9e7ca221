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
const { print } = usePrint()
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
  if (!answer.value) return failure.value || 'Trying shifts …'
  const failing = nodes.value.filter(({ verdict }) => verdict === 'fails')
  const tight = nodes.value.filter(({ verdict }) => verdict === 'tight').map(({ name }) => name)
  if (failing.length === 0)
    return tight.length === 0
      ? 'The supply carries them all'
      : `The supply carries them all, ${tight.join(', ')} with little to spare`
  const [first] = failing
  return failing.length === 1 && first
    ? `${first.name} does not carry them`
    : `${failing.length} of ${nodes.value.length} breakers do not carry them: ${failing.map(({ name }) => name).join(', ')}`
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
        title: `Cable of ${open.value.name}, by the rule`,
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
        Nothing is drawn yet.
        <RouterLink class="link-button" :to="{ name: 'equipment', params: { list: 'panels' } }"
          >Draw a panel</RouterLink
        >, and say of each circuit in which panel its breaker is.
      </p>
      <OneLine v-slot="{ item }" :roots="roots" label="The supply, from the supplier to what is plugged in">
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
        A bar is the mean of the shift, its mark what the breaker holds without end. To change what is drawn:
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
          <span class="label">one shift of {{ answer.runs }} that were tried</span>
        </figcaption>
        <ShiftChart :curve="open.curve" :held-a="open.heldA" :hours="answer.hours" :amps="amps" />
        <p>{{ chanceWords(open, span) }}</p>
        <p v-if="open.rule" class="quiet">
          By the rule ({{ open.rule.source }}) its cable is to carry
          <button class="link-button" @click="isOpened = true">{{ amps(open.rule.askedA) }}</button>
          for all that hangs on it; it carries {{ amps(open.rule.carriesA) }}.
        </p>
        <p class="label">Copper: the most of each minute. Grey: its mean. An estimate, by chance of hand.</p>
      </figure>
    </div>
    <section v-if="answer && answer.machines.length > 1" class="sheet pad">
      <h2>Who can weld while another does</h2>
      <PairsTable :machines="answer.machines" :at-work="atWork" />
    </section>
    <section v-if="answer && nodes.length > 0" class="sheet pad">
      <h2>Every breaker</h2>
      <div class="scroll">
        <table class="ruled">
          <thead>
            <tr>
              <th scope="col">Breaker</th>
              <th scope="col" class="number">Holds</th>
              <th scope="col" class="number">Mean</th>
              <th scope="col" class="number">Most</th>
              <th scope="col" class="number">Above what it holds</th>
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
        Single-phase circuits are dealt to the lines of a panel in turn; what cannot be told apart is added as
        if in step. Arcs and pauses are those of the jobs, longer and shorter by chance of hand.
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
