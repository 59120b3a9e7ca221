<script setup lang="ts">
import {
  lackingOf,
  type Met,
  isSameJson,
  MOST_WEIGHT,
  newRequirement,
  PROCESSES,
  type Ranked,
  type Requirement,
  REQUIREMENT_KINDS,
  REQUIREMENT_WORDS,
  type RequirementKind,
  type RequirementSheet,
  scoreOf,
  turnsOf,
  WEIGHT_STEP,
} from '@brannik/core'
import { watchDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ChoiceField from '../../components/ChoiceField.vue'
import TextField from '../../components/TextField.vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { engine } from '../../engine/client.ts'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { reasonOf } from '../../reason.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { useNotice } from '../../stores/notice.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { idFor } from '../jobs/idFor.ts'
import RequirementRow from './RequirementRow.vue'
import { requirementText } from './requirementText.ts'
import { useOwning } from './useOwning.ts'

/** What an owner must have of a machine and what he would like, and which of those thought of comes nearest. */
const workspace = useWorkspace()
const notice = useNotice()
const money = useMoney()
const { print, number } = usePrint()
const route = useRoute()
const router = useRouter()
const { owning, isSeeking, failure: owningFailure, seek } = useOwning()

const sheets = computed(() => workspace.requirementSheets)
const sheet = computed<RequirementSheet | null>(
  () => sheets.value.find(({ id }) => id === route.params['id']) ?? sheets.value[0] ?? null,
)
const goTo = (id: string): void => {
  void router.push({ name: 'buy', params: { part: 'requirements', id } })
}
function change(part: Partial<RequirementSheet>, what: string): void {
  const now = sheet.value
  if (now) workspace.edit('requirement-sheets', now.id, { ...now, ...part }, `${what} of ${now.name}`)
}
function add(name: string, requirements: readonly Requirement[]): void {
  const id = idFor(name, sheets.value)
  workspace.edit(
    'requirement-sheets',
    id,
    { id, name, note: '', requirements: [...requirements] },
    `sheet ${name}`,
  )
  goTo(id)
}
function remove(): void {
  const now = sheet.value
  if (!now) return
  workspace.edit('requirement-sheets', now.id, null, `deletion of ${now.name}`)
  notice.show(`${now.name} deleted`, true)
}
const planned = computed(() => workspace.jobs.filter(({ state }) => state === 'planned'))
const problem = ref('')
/** What stands keeps its must and its weight: only what the jobs ask is written anew. */
async function derive(): Promise<void> {
  problem.value = ''
  try {
    const found = await engine.ask(
      workspace.snapshot,
      'requirements',
      planned.value.map(({ id }) => id),
    )
    if (found.length === 0) {
      problem.value = 'No planned job can be done yet. Give the jobs set-ups, or add machines.'
      return
    }
    const now = sheet.value
    if (!now) {
      add('Next machine', found)
      return
    }
    const derived = now.requirements.filter(({ because }) => because !== null)
    const byHand = now.requirements.filter(({ because }) => because === null)
    const kept = found
      .filter((one) => one.because !== null || !byHand.some(({ what }) => what === one.what))
      .map((one) => {
        const before = derived.find(({ what, process }) => what === one.what && process === one.process)
        return before ? { ...one, must: before.must, weight: before.weight, worst: before.worst } : one
      })
    change({ requirements: [...kept, ...byHand] }, 'requirements')
    notice.show(`${kept.length} requirements filled in from ${planned.value.length} jobs`, true)
  } catch (error) {
    problem.value = reasonOf(error)
  }
}

const requirements = computed(() => sheet.value?.requirements ?? [])
/** A slider is stored as it moves: it is saved when it rests, and undoes as one step. */
const put = (at: number, part: Partial<Requirement>, what: string): void => {
  change(
    { requirements: requirements.value.map((one, index) => (index === at ? { ...one, ...part } : one)) },
    what,
  )
}
const without = (at: number): void => {
  change({ requirements: requirements.value.filter((_, index) => index !== at) }, 'requirements')
}
const KINDS = REQUIREMENT_KINDS.map((id) => ({ id, name: REQUIREMENT_WORDS[id].title }))
function addKind(id: string | null): void {
  const what = id as RequirementKind | null
  if (!what) return
  const process = REQUIREMENT_WORDS[what].process === 'must' ? ('gmaw-short' as const) : null
  const made = newRequirement(what, { process })
  change({ requirements: [...requirements.value, made] }, 'requirements')
}

const withOwned = ref(false)
const sources = computed(() =>
  workspace.shelf.powerSources.filter(({ held }) => withOwned.value || held === 'candidate'),
)
/** Weights move without asking anew. */
const asked = computed(() => requirements.value.map((one) => ({ ...one, weight: 1 })))
const { answer: ranked, failure } = useAnswer<'ranked'>(
  computed((): Question<'ranked'> | null =>
    sheet.value ? ['ranked', asked.value, sources.value.map(({ id }) => id)] : null,
  ),
)
const limitProblem = ref('')
/** Writes the best and the worst of the machines that have every must where the owner has set none. */
async function suggestLimits(): Promise<void> {
  limitProblem.value = ''
  try {
    const limits = await engine.ask(
      workspace.snapshot,
      'limits',
      requirements.value,
      sources.value.map(({ id }) => id),
    )
    const next = requirements.value.map((one, at) => {
      const found = limits[at]
      return found ? { ...one, amount: one.amount ?? found.good, worst: one.worst ?? found.worst } : one
    })
    if (next.every((one, at) => isSameJson(one, requirements.value[at]))) {
      limitProblem.value = 'No limits to suggest. Machines that have every must do not differ.'
      return
    }
    change({ requirements: next }, 'limits')
    notice.show('Limits are set. Check them against what you need.', true)
  } catch (error) {
    limitProblem.value = reasonOf(error)
  }
}
const sourceName = (id: string): string => workspace.get('power-sources', id)?.name ?? id
const jobName = (id: string): string => workspace.get('jobs', id)?.name ?? id
const ranking = computed((): readonly Ranked[] => {
  // What was asked before a line was added or taken out has other lines.
  if (!ranked.value?.every(({ met }) => met.length === requirements.value.length)) return []
  return ranked.value
    .map((one) => ({ ...one, score: scoreOf(requirements.value, one.met) }))
    .toSorted((a, b) => lackingOf(a) - lackingOf(b) || (b.score ?? 0) - (a.score ?? 0))
})
const valueText = (one: Requirement, value: number | null): string => {
  const { unit, better } = REQUIREMENT_WORDS[one.what]
  if (value === null) return 'not recorded'
  if (better === 'there') return value > 0 ? 'yes' : 'no'
  return one.what === 'price' ? money(value) : print(value, unit)
}
const MOST_LACKS = 3
/** Of a process that it has not, nothing else is worth a word. */
function lacks({ met }: Ranked): string {
  const without = new Set(
    met.flatMap(({ verdict }, at) => {
      const one = requirements.value[at]
      return one?.what === 'process' && verdict === 'fails' && one.process ? [one.process] : []
    }),
  )
  const all = met.flatMap(({ verdict, value }, at) => {
    const one = requirements.value[at]
    if (!one || verdict === null || verdict === 'fits') return []
    if (one.what === 'process') return [one.process ? PROCESSES[one.process].workshopWord : 'a process']
    if (one.process && without.has(one.process)) return []
    return [`${requirementText(one, print, money)} (${valueText(one, value)})`]
  })
  const more = all.length - MOST_LACKS
  return all.slice(0, MOST_LACKS).join('; ') + (more > 0 ? `; and ${more} more` : '')
}
/** Weight times part, wish by wish, as it is added up. */
const arithmetic = ({ met }: Ranked): string => {
  const terms = met.flatMap(({ part }: Met, at) => {
    const one = requirements.value[at]
    return one && part !== null ? [`${number(one.weight, 1)} × ${number(part, 2)}`] : []
  })
  const all = requirements.value.reduce((sum, { must, weight }) => sum + (must ? 0 : weight), 0)
  return terms.length === 0 ? '' : `(${terms.join(' + ')}) / ${number(all, 1)}`
}
const turns = computed(() =>
  turnsOf(requirements.value, ranking.value, MOST_WEIGHT, WEIGHT_STEP).map(({ at, weight, sourceId }) => {
    const one = requirements.value[at]
    return {
      key: `${at}`,
      title: one ? REQUIREMENT_WORDS[one.what].title : '',
      from: number(one?.weight ?? 0, 1),
      to: number(weight, 1),
      name: sourceName(sourceId),
    }
  }),
)
watchDebounced(
  () => [sources.value, planned.value, sheet.value?.id] as const,
  () => {
    if (sheet.value)
      seek({
        jobIds: planned.value.map(({ id }) => id),
        sourceIds: sources.value.map(({ id }) => id),
      })
  },
  { debounce: 400, immediate: true },
)
const costs = computed(() =>
  owning.value.toSorted((a, b) => a.undone.length - b.undone.length || a.total - b.total),
)
</script>

<template>
  <section v-if="!sheet" class="sheet none">
    <h2>Requirements for the next machine</h2>
    <p>
      List what the machine must have and what you would like. Brannik then ranks the machines and shows the
      arithmetic. Most requirements follow from the planned jobs.
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <span class="end">
      <button class="plain-button main" :disabled="planned.length === 0" @click="derive">
        Fill in from {{ planned.length }} planned jobs
      </button>
      <button class="plain-button" @click="add('Next machine', [])">Start with an empty sheet</button>
    </span>
  </section>
  <div v-else class="asking">
    <section class="sheet" aria-label="Requirements">
      <header>
        <TextField
          class="name"
          label="Sheet"
          empty="The name is empty. Enter a name for the sheet."
          :model-value="sheet.name"
          @update:model-value="(name) => change({ name }, 'name')"
        />
        <ChoiceField
          v-if="sheets.length > 1"
          label="Other sheets"
          :items="sheets"
          :model-value="sheet.id"
          @update:model-value="(id) => id && goTo(id)"
        />
        <span class="end screen-only">
          <button class="plain-button" :disabled="planned.length === 0" @click="derive">
            Fill in from {{ planned.length }} planned jobs
          </button>
          <VMenu location="bottom end" :transition="false">
            <template #activator="{ props: activator }">
              <button class="plain-button" v-bind="activator">More</button>
            </template>
            <VList>
              <VListItem title="New sheet" @click="add('Another machine', [])" />
              <VListItem title="Delete sheet" @click="remove" />
            </VList>
          </VMenu>
        </span>
      </header>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p v-if="requirements.length === 0" class="quiet">
        No requirements yet. Add what the machine must have and what would help.
      </p>
      <ul class="lines">
        <RequirementRow
          v-for="(one, at) in requirements"
          :key="`${sheet.id} ${at}`"
          :requirement="one"
          :name="`${at + 1}`"
          @put="(part, what) => put(at, part, what)"
          @remove="without(at)"
        />
      </ul>
      <ChoiceField
        class="screen-only"
        label="Add"
        :items="KINDS"
        placeholder="requirement"
        :model-value="null"
        @update:model-value="addKind"
      />
    </section>
    <section class="sheet" aria-label="Ranking">
      <header>
        <h2>Ranking</h2>
        <VCheckbox v-model="withOwned" class="screen-only" label="Include owned" />
      </header>
      <p v-if="sources.length === 0" class="quiet">
        No machine to buy is listed. Add some under
        <RouterLink :to="{ name: 'equipment', params: { list: 'power-sources' } }">Equipment</RouterLink>: to
        buy, new or used, each with its price.
      </p>
      <p v-if="failure" class="problem" role="alert">The ranking cannot be calculated: {{ failure }}</p>
      <div class="schools">
        <section>
          <h3>Musts first, then the weighted sum</h3>
          <ol>
            <li v-for="one in ranking" :key="one.sourceId" :class="{ out: !one.isIn }">
              <span class="line">
                <VerdictMark :verdict="one.isIn ? 'fits' : 'fails'" :word="false" />
                <strong>{{ sourceName(one.sourceId) }}</strong>
                <span v-if="one.score !== null" class="score">{{ print(one.score * 100, '%') }}</span>
              </span>
              <span v-if="one.score !== null" class="bar" aria-hidden="true"
                ><span :style="{ width: `${one.score * 100}%` }"></span
              ></span>
              <span v-if="one.score !== null" class="label">{{ arithmetic(one) }}</span>
              <span v-if="!one.isIn" class="label">lacks {{ lacks(one) }}</span>
            </li>
          </ol>
        </section>
        <section :aria-busy="isSeeking">
          <h3>Lowest cost of ownership that does every job</h3>
          <p v-if="owningFailure" class="problem" role="alert">{{ owningFailure }}</p>
          <ol>
            <li v-for="one in costs" :key="one.sourceId" :class="{ out: one.undone.length > 0 }">
              <span class="line">
                <VerdictMark :verdict="one.undone.length === 0 ? 'fits' : 'fails'" :word="false" />
                <strong>{{ sourceName(one.sourceId) }}</strong>
                <span v-if="one.undone.length < planned.length" class="score">{{
                  money(Math.round(one.total))
                }}</span>
              </span>
              <span v-if="one.undone.length < planned.length" class="label">
                {{ money(Math.round(one.purchases)) }} to buy, with accessories
              </span>
              <span v-if="one.undone.length > 0" class="label"
                >does not do {{ one.undone.map(jobName).join(', ') }}</span
              >
            </li>
          </ol>
          <p v-if="isSeeking" class="label" role="status">Calculating, machine by machine…</p>
        </section>
      </div>
      <section v-if="ranking.some(({ isIn }) => isIn)" class="sure">
        <h3>How sure is the ranking?</h3>
        <p v-if="turns.length === 0" class="quiet">
          No single weight from 0 to 10 puts another machine first.
        </p>
        <ul>
          <li v-for="turn in turns" :key="turn.key">
            <strong>{{ turn.title }}</strong>: at {{ turn.to }} instead of {{ turn.from }}, {{ turn.name }}
            leads
          </li>
        </ul>
      </section>
      <p class="label">
        A wish scores 1 at good enough and 0 at the worst acceptable. Without a worst, it scores by the share
        of good enough. Without either, by the best machine that has every must. A figure that is not recorded
        scores 0 and fails a must.
      </p>
      <p v-if="limitProblem" class="problem" role="alert">{{ limitProblem }}</p>
      <button v-if="sources.length > 1" class="plain-button screen-only limits" @click="suggestLimits">
        Suggest limits
      </button>
    </section>
  </div>
</template>

<style scoped>
.none {
  display: grid;
  gap: 12px;
  justify-items: start;
  max-width: 640px;
  padding: 20px;
}
.asking {
  align-items: start;
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr);
}
.asking > .sheet {
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr);
  padding: 12px 14px;
}
header {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
}
.name {
  flex: 1 1 160px;
}
.end {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
h3 {
  font-size: var(--text-m);
  font-weight: 600;
}
.schools {
  display: grid;
  gap: 12px 24px;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
}
.schools section,
.sure {
  align-content: start;
  display: grid;
  gap: 8px;
}
.schools ol,
.sure ul {
  display: grid;
  gap: 8px;
}
.schools li {
  display: grid;
  gap: 2px;
}
.line {
  align-items: baseline;
  display: flex;
  gap: 6px;
}
.score {
  margin-left: auto;
  white-space: nowrap;
}
.out strong {
  font-weight: 400;
}
.bar {
  background: var(--sunk);
  height: 4px;
}
.bar span {
  background: var(--copper);
  display: block;
  height: 4px;
}
.limits {
  justify-self: start;
}
@media (max-width: 1100px) {
  .asking {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
