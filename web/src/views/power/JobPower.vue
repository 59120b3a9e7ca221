<script setup lang="ts">
import {
  type Circuit,
  isEngineDriven,
  type OnCircuit,
  type PatternOfWork,
  sentenceOf,
  titleOf,
  VERDICT_RANK,
} from '@brannik/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import TripChart from '../../charts/TripChart.vue'
import ChoiceField from '../../components/ChoiceField.vue'
import OnNow from '../../components/OnNow.vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import WorkingDrawer from '../../components/WorkingDrawer.vue'
import type { Opened } from '../../components/opened.ts'
import LoadBar from './LoadBar.vue'
import MendList from './MendList.vue'
import PowerCautions from './PowerCautions.vue'

/** A job with a machine on every circuit of the shop: will it run, will it trip, and after how many minutes. */
const workspace = useWorkspace()
const { print, spell } = usePrint()
const route = useRoute()
const router = useRouter()

const named = (key: string): string | null => {
  const value = route.query[key]
  return typeof value === 'string' ? value : null
}
const jobs = computed(() => workspace.jobs.filter(({ state }) => state !== 'archived'))
const job = computed(() => jobs.value.find(({ id }) => id === named('job')) ?? jobs.value[0] ?? null)
const setUps = computed(() => workspace.wholeSetUps)
const setUp = computed(
  () =>
    setUps.value.find(({ id }) => id === (named('set-up') ?? job.value?.setUpId)) ?? setUps.value[0] ?? null,
)
const choose = (change: Readonly<Record<string, string | null>>): void => {
  void router.replace({ query: { ...route.query, ...change } })
}
/** The circuit that is looked at; the set-up’s own until another is taken. */
const chosenId = ref<string | null>(null)
watch(setUp, () => (chosenId.value = null))
const drawnId = computed(() => chosenId.value ?? setUp.value?.circuitId ?? null)
const { answer, failure, isComputing } = useAnswer<'power'>(
  computed((): Question<'power'> | null =>
    job.value && setUp.value ? ['power', job.value.id, setUp.value.id, drawnId.value] : null,
  ),
)
const source = computed(() =>
  setUp.value ? workspace.get('power-sources', setUp.value.powerSourceId) : null,
)
const isOwnPower = computed(() => source.value !== null && isEngineDriven(source.value))

interface Row extends OnCircuit {
  readonly circuit: Circuit
}
/** Those that hold first; what the machine does not plug into at all stands last. */
const rows = computed((): readonly Row[] =>
  (answer.value?.circuits ?? [])
    .flatMap((one) => {
      const circuit = workspace.get('circuits', one.circuitId)
      return circuit ? [{ ...one, circuit }] : []
    })
    .sort(
      (a, b) =>
        Number(a.drawn === null) - Number(b.drawn === null) ||
        VERDICT_RANK[a.verdict] - VERDICT_RANK[b.verdict],
    ),
)
const usable = computed(() => rows.value.filter(({ drawn }) => drawn !== null))
const others = computed(() => rows.value.filter(({ drawn }) => drawn === null))

const chosen = computed(() => rows.value.find(({ circuitId }) => circuitId === drawnId.value) ?? null)
const pattern = ref<PatternOfWork>('shift')
const PATTERNS: readonly (readonly [PatternOfWork, string])[] = [
  ['job', 'once'],
  ['shift', 'all shift'],
  ['automatic', 'continuous'],
]
const trips = computed(() => chosen.value?.trips?.find((one) => one.pattern === pattern.value) ?? null)
const span = (seconds: number): string => print(seconds, 's')

/** When the breaker goes, in a few words. */
function tripWords({ trips: all }: OnCircuit, of: PatternOfWork): string {
  const found = all?.find((one) => one.pattern === of)
  if (!found) return '–'
  const { early, nominal, late } = found.afterS
  if (early === null) return 'holds'
  const usual = nominal === null ? 'typical holds' : `typical ${span(nominal)}`
  return `fastest ${span(early)}, ${usual}, ${late === null ? 'slowest holds' : `slowest ${span(late)}`}`
}
/** What the machine has on these volts, where the weld wants more. */
const short = computed(() => {
  const drawn = chosen.value?.drawn
  return drawn && drawn.outputMaxA < drawn.wantedA
    ? { ...drawn, isTooLittle: drawn.outputMaxA < drawn.leastA }
    : null
})
const headline = computed(() => {
  const own = chosen.value
  if (isOwnPower.value) return 'Makes its own power'
  if (!own) return ''
  const after = own.trips?.find((one) => one.pattern === 'shift')?.afterS ?? null
  if (own.drawn === null) return `${own.circuit.name} has the wrong voltage for this machine`
  if (after && after.nominal !== null) return `${own.circuit.name} trips after about ${span(after.nominal)}`
  if (own.verdict !== 'fails' && short.value?.isTooLittle)
    return `${own.circuit.name} holds, but the output of ${source.value?.name ?? 'the machine'} is too low`
  if (after && after.early !== null)
    return `${own.circuit.name} holds, but a fast breaker may trip after ${span(after.early)}`
  return own.verdict === 'fails'
    ? `${own.circuit.name} cannot do it`
    : `${own.circuit.name} holds${own.verdict === 'tight' ? ', close to its limit' : ''}`
})
const amiss = computed(() => (chosen.value?.findings ?? []).filter(({ verdict }) => verdict !== 'fits'))
const right = computed(() => (chosen.value?.findings ?? []).filter(({ verdict }) => verdict === 'fits'))
const breakers = computed(() => answer.value?.breakers ?? null)
const hasGenerator = computed(() =>
  (chosen.value?.findings ?? []).some(({ criterion }) => criterion === 'generator-runs'),
)
/** What the engine burns, in a sentence. */
const fuel = computed(() => {
  const burnt = answer.value?.fuel
  if (!burnt) return ''
  const all = burnt.jobL === null ? '' : `, ${print(burnt.jobL, 'L fuel')} for the job`
  return `The engine burns about ${print(burnt.lPerH, 'L/h')}${all}.`
})

/** The finding whose working is open. */
const openId = ref<string | null>(null)
const openFinding = computed(
  () => chosen.value?.findings.find(({ criterion }) => criterion === openId.value) ?? null,
)
const { answer: working } = useAnswer<'explain'>(
  computed((): Question<'explain'> | null =>
    openFinding.value && job.value && setUp.value && chosen.value
      ? [
          'explain',
          job.value.id,
          { of: 'criterion', id: openFinding.value.criterion },
          setUp.value.id,
          { kind: 'all-on', circuitId: chosen.value.circuitId },
        ]
      : null,
  ),
)
const opened = computed((): Opened | null => {
  const found = openFinding.value
  return (
    found && {
      key: found.criterion,
      title: titleOf(workspace.speech, found),
      verdict: found.verdict,
      sentence: sentenceOf(workspace.speech, found),
      mends: [],
      working: working.value,
    }
  )
})
const volts = ({ voltageV, phases }: { readonly voltageV: number; readonly phases: 1 | 3 }): string =>
  `${voltageV} V${phases === 3 ? ', three-phase' : ''}`
/** Where a circuit's outlet is, and what it is. */
const runWords = (circuit: Circuit): string =>
  [
    volts(circuit),
    circuit.generatorId === null ? print(circuit.lengthMm, 'mm length') : 'at the generator',
    circuit.outlet,
    circuit.held === 'candidate' ? 'new circuit needed' : null,
  ]
    .filter((one) => one !== null)
    .join(', ')
const amps = (value: number | null): string => (value === null ? '–' : print(value, 'A'))
const held = ({ findings, circuit }: Row): number =>
  findings.find(({ criterion }) => criterion === 'breaker-holds')?.capacity ?? circuit.breakerA
const heats = ({ findings }: Row): number | null =>
  findings.find(({ criterion }) => criterion === 'breaker-holds')?.demand ?? null
const arrives = ({ findings }: Row): string => {
  const arriving = findings.find(({ criterion }) => criterion === 'volts')?.capacity ?? null
  return arriving === null ? '–' : print(arriving, 'V')
}
</script>

<template>
  <div class="job-power">
    <div class="choice">
      <ChoiceField
        label="Job"
        :items="jobs"
        :model-value="job?.id ?? null"
        @update:model-value="(id) => choose({ job: id, 'set-up': null })"
      />
      <ChoiceField
        label="Set-up"
        :items="setUps"
        :model-value="setUp?.id ?? null"
        @update:model-value="(id) => choose({ 'set-up': id })"
      />
      <OnNow v-if="setUp" :set-up-id="setUp.id" />
    </div>
    <p v-if="failure" role="alert" class="sheet pad">{{ failure }}</p>
    <p v-else-if="!job || !setUp" class="sheet pad">
      Nothing to calculate yet. Add a job and a set-up.
      <RouterLink class="link-button" :to="{ name: 'jobs' }">Jobs</RouterLink>,
      <RouterLink class="link-button" :to="{ name: 'set-up' }">Set-ups</RouterLink>
    </p>
    <p v-else-if="isOwnPower" class="sheet pad">
      {{ source?.name }} has its own engine. No circuit, no breaker.
      <template v-if="fuel">{{ fuel }}</template> Run it outdoors. Its exhaust kills.
    </p>
    <template v-else>
      <section class="sheet pad answer" :aria-busy="isComputing">
        <div class="said">
          <h2 v-show="headline" aria-live="polite">
            <VerdictMark
              v-if="chosen"
              :verdict="short?.isTooLittle ? 'fails' : chosen.verdict"
              :word="false"
            />
            {{ headline }}
          </h2>
          <dl v-if="chosen?.drawn" class="figures">
            <div>
              <dt>Input current</dt>
              <dd>{{ amps(chosen.drawn.jobA) }}</dd>
            </div>
            <div>
              <dt>Rated input current</dt>
              <dd>{{ amps(chosen.drawn.ratedA) }}</dd>
            </div>
            <div>
              <dt>Idle</dt>
              <dd>{{ amps(chosen.drawn.idleA) }}</dd>
            </div>
            <div>
              <dt>Continuous equivalent, cable</dt>
              <dd>{{ amps(chosen.drawn.heatsA) }}</dd>
            </div>
          </dl>
          <p v-if="short" class="short">
            The weld needs {{ amps(short.wantedA) }}. At this voltage {{ source?.name }} gives
            {{ amps(short.outputMaxA) }}, which is used here{{
              short.isTooLittle ? '. That is too low to fuse the joint' : ''
            }}.
          </p>
          <ul class="findings">
            <li v-for="one in amiss" :key="one.criterion">
              <VerdictMark :verdict="one.verdict" :word="false" />
              <span
                ><button class="link-button" @click="openId = one.criterion">
                  {{ titleOf(workspace.speech, one) }}
                </button>
                {{ sentenceOf(workspace.speech, one) }}</span
              >
            </li>
          </ul>
          <p v-if="right.length > 0" class="quiet well">
            <VerdictMark verdict="fits" :word="false" />
            <template v-for="(one, index) in right" :key="one.criterion"
              ><template v-if="index > 0">, </template
              ><button class="link-button" @click="openId = one.criterion">
                {{ titleOf(workspace.speech, one) }}
              </button></template
            >
          </p>
          <p v-if="breakers" class="quiet">
            Breaker for {{ source?.name }} by {{ answer?.ruleBook.name }}:
            <template v-if="breakers.smallestA !== null"
              >at least {{ print(breakers.smallestA, 'A') }},
            </template>
            usually {{ print(breakers.usualA, 'A')
            }}<template v-if="breakers.mostA !== null">, at most {{ print(breakers.mostA, 'A') }}</template>
          </p>
          <p v-if="fuel" class="quiet">{{ fuel }}</p>
          <MendList
            v-if="answer && answer.mends.length > 0"
            :mends="answer.mends"
            :job-id="job.id"
            @look="(id) => (chosenId = id)"
          />
          <p v-else-if="chosen && chosen.verdict !== 'fits'" class="quiet">
            No single change fixes this. Try it without the extension cord, or pick another set-up on the
            <RouterLink class="link-button" :to="{ name: 'board' }">board</RouterLink>.
          </p>
        </div>
        <figure v-if="chosen && trips && trips.curves.nominal.length > 0" class="trips">
          <figcaption>
            <strong>When the breaker trips</strong>
            <span class="label">{{ chosen.circuit.name }}, {{ chosen.breakerName }}: an estimate</span>
            <span class="patterns" role="group" aria-label="Work pattern">
              <button
                v-for="[id, words] in PATTERNS"
                :key="id"
                class="mode"
                :aria-pressed="pattern === id"
                @click="pattern = id"
              >
                {{ words }}
              </button>
            </span>
          </figcaption>
          <TripChart :trips="trips" :span="span" />
          <p class="label">
            Heat of the breaker over time. At the line it trips. Dotted: fastest breaker of this type. Solid:
            typical. Dashed: slowest.
          </p>
        </figure>
      </section>
      <section class="sheet pad">
        <h2>All circuits</h2>
        <div class="scroll" role="region" tabindex="0" aria-label="Circuits and machines">
          <table class="ruled">
            <thead>
              <tr>
                <th scope="col">Circuit</th>
                <th scope="col">Breaker</th>
                <th scope="col" class="number">Counts as</th>
                <th scope="col">Load</th>
                <th scope="col">Cable carries</th>
                <th scope="col" class="number">Voltage</th>
                <th scope="col">Once</th>
                <th scope="col">All shift</th>
                <th scope="col">Verdict</th>
              </tr>
            </thead>
            <tbody>
              <tr
                v-for="row in usable"
                :key="row.circuitId"
                :class="{ chosen: row.circuitId === chosen?.circuitId }"
              >
                <th scope="row">
                  <button class="link-button" @click="chosenId = row.circuitId">
                    {{ row.circuit.name }}
                  </button>
                  <span class="label">
                    {{ runWords(row.circuit) }}
                  </span>
                </th>
                <td>{{ print(row.circuit.breakerA, 'A') }}</td>
                <td class="number">{{ amps(heats(row)) }}</td>
                <td><LoadBar :load="heats(row) ?? 0" :holds="held(row)" :verdict="row.verdict" /></td>
                <td>
                  {{ amps(row.cableA) }} <span class="label">{{ row.circuit.conductorSize }}</span>
                </td>
                <td class="number">{{ arrives(row) }}</td>
                <td>{{ tripWords(row, 'job') }}</td>
                <td>{{ tripWords(row, 'shift') }}</td>
                <td><VerdictMark :verdict="row.verdict" /></td>
              </tr>
            </tbody>
          </table>
        </div>
        <p v-if="others.length > 0" class="quiet">
          Wrong voltage for {{ source?.name }}: {{ others.map(({ circuit }) => circuit.name).join(', ') }}.
        </p>
        <p class="quiet">By {{ answer?.ruleBook.name }}. {{ spell(answer?.ruleBook.note ?? '') }}</p>
      </section>
      <PowerCautions :has-cord="setUp.cordSize !== null" :has-generator="hasGenerator" />
    </template>
    <WorkingDrawer :opened="opened" @close="openId = null" />
  </div>
</template>

<style scoped src="./tables.css" />
<style scoped>
.job-power {
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr);
}
.choice {
  display: grid;
  gap: 16px;
  grid-template-columns: minmax(180px, 300px) minmax(180px, 300px);
}
.short {
  margin: 0 0 8px;
}
.pad {
  padding: 14px 16px;
}
.answer {
  display: grid;
  gap: 24px;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
}
.job-power > *,
.answer > * {
  min-width: 0;
}
h2 {
  font-size: var(--text-l);
  margin: 0 0 8px;
}
.well .verdict {
  margin-right: 4px;
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  margin: 0 0 10px;
}
.figures dt {
  color: var(--ink-2);
  font-size: var(--text-s);
}
.figures dd {
  font-weight: 700;
  margin: 0;
}
.findings {
  display: grid;
  gap: 6px;
  list-style: none;
  margin: 0;
  padding: 0;
}
.findings li {
  display: grid;
  gap: 8px;
  grid-template-columns: auto 1fr;
}
.trips {
  margin: 0;
}
figcaption {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
}
.patterns {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.mode {
  background: none;
  border: 1px solid var(--line-strong);
  border-radius: 3px;
  color: var(--ink);
  cursor: pointer;
  font-size: var(--text-s);
  min-height: 26px;
  padding: 2px 8px;
}
.mode[aria-pressed='true'] {
  border-color: var(--copper);
  box-shadow: inset 0 0 0 1px var(--copper);
  font-weight: 700;
}
tr.chosen th {
  box-shadow: inset 3px 0 0 var(--copper);
  padding-left: 10px;
}
@media screen and (max-width: 1000px) {
  .answer,
  .choice {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
