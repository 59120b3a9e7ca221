<script setup lang="ts">
import {
  assumptionsOf,
  jointName,
  PROCESSES,
  printQuantity,
  savedAs,
  spokenCard,
  type SpokenCard,
  weldSymbolOf,
  type WeldSettings,
} from '@brannik/core'
import { computed, ref, toRaw } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { renderSVG } from 'uqr'
import { weldSymbolDrawing } from '../../charts/weldSymbol.ts'
import MarksDrawing from '../../charts/MarksDrawing.vue'
import ChoiceField from '../../components/ChoiceField.vue'
import PlaceTabs from '../../components/PlaceTabs.vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { engine } from '../../engine/client.ts'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { download } from '../../files/download.ts'
import { useSession } from '../../shop/session.ts'
import { useTicks } from '../../shop/ticks.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { useWhen } from '../../stores/useWhen.ts'
import { useJobTabs } from '../jobs/jobTabs.ts'
import { settingsText, welderOf } from '../log/logWords.ts'
import { useWeldRows } from '../log/useWeldRows.ts'
import ProvenHere from '../log/ProvenHere.vue'
import WeldHistory from '../log/WeldHistory.vue'
import { leadsDrawing, sectionDrawing } from './cardDrawings.ts'
import BeadPictures from './BeadPictures.vue'
import LargeFigures from './LargeFigures.vue'
import OwnNotes from './OwnNotes.vue'
import { makePdf } from './makePdf.ts'
import TrialPanel from './TrialPanel.vue'
import { withSaved } from './withSaved.ts'

/** One printed page for one weld at one machine, or the same on a tablet beside it. */
const route = useRoute()
const router = useRouter()
const workspace = useWorkspace()
const session = useSession()
const notice = useNotice()
const when = useWhen()

const jobId = computed(() => String(route.params['jobId'] ?? ''))
const tabs = useJobTabs(() => jobId.value)
const job = computed(() => workspace.get('jobs', jobId.value))
const setUp = computed(() => {
  const named = route.query['set-up']
  const id = typeof named === 'string' ? named : job.value?.setUpId
  return id ? workspace.get('set-ups', id) : null
})
const weldId = computed(() => {
  const named = String(route.query['weld'] ?? '')
  const joints = job.value?.joints ?? []
  return (joints.find(({ id }) => id === named) ?? joints[0])?.id ?? ''
})
const { answer: card, failure } = useAnswer<'card'>(
  computed((): Question<'card'> | null =>
    job.value && setUp.value ? ['card', jobId.value, setUp.value.id, weldId.value] : null,
  ),
)
const spoken = computed((): SpokenCard | null => {
  if (!card.value) return null
  const plain = spokenCard(workspace.speech, card.value)
  return saved.value && atMachine.value
    ? { ...plain, figures: withSaved(plain.figures, atMachine.value.trial, workspace.notation) }
    : plain
})
const source = computed(() => setUp.value && workspace.get('power-sources', setUp.value.powerSourceId))
const weldNumber = computed(() => (job.value?.joints.findIndex(({ id }) => id === weldId.value) ?? 0) + 1)
const mm = (value: number): string => printQuantity('thickness', value, workspace.notation)

const leads = computed(
  () =>
    card.value &&
    spoken.value &&
    leadsDrawing(card.value.leads, {
      source: source.value?.name.slice(0, 18) ?? '',
      electrode: spoken.value.leads.electrode,
      way: spoken.value.leads.way,
    }),
)
const section = computed(
  () =>
    card.value &&
    spoken.value &&
    sectionDrawing(
      card.value.joint,
      assumptionsOf({ assumptions: workspace.shop?.assumptions ?? {} }),
      { words: spoken.value.hold, workAngleDeg: card.value.settings.workAngleDeg },
      {
        a: mm(card.value.joint.thicknessAMm),
        b: mm(card.value.joint.thicknessBMm),
        weld: card.value.joint.legMm === null ? '' : `leg ${mm(card.value.joint.legMm)}`,
      },
    ),
)
const symbol = computed(
  () =>
    card.value &&
    setUp.value &&
    weldSymbolOf(
      card.value.joint,
      workspace.notation,
      workspace.shop?.ruleBook === 'international' ? 'iso-2553' : 'aws-a2.4',
      workspace.shop?.ruleBook === 'international'
        ? PROCESSES[setUp.value.process].iso4063
        : (PROCESSES[setUp.value.process].name.split(',')[0] ?? ''),
    ),
)
const address = computed(() => `${location.origin}${route.fullPath}`)
const qr = computed(
  () => `data:image/svg+xml;utf8,${encodeURIComponent(renderSVG(address.value, { border: 0 }))}`,
)
const eyes = computed(() => spoken.value?.cautions.find(({ topic }) => topic === 'Eyes')?.text ?? '')
const other = computed(() => (spoken.value?.cautions ?? []).filter(({ topic }) => topic !== 'Eyes'))

const ticks = useTicks(computed(() => `card.${jobId.value}.${weldId.value}`))
const done = computed(() => ticks.run.value?.done ?? new Map<string, { who: string; at: string }>())
function tick(code: string): void {
  if (ticks.run.value === null || ticks.run.value.isOver) ticks.press('begin', '', setUp.value?.id ?? '')
  ticks.press(done.value.has(code) ? 'untick' : 'tick', code)
}
const log = useWeldRows(jobId, weldId)
const saved = computed(() => (setUp.value ? log.savedWith(setUp.value.id) : null))
/** The saved settings with their marks, and what the arc makes of them. */
const { answer: atMachine } = useAnswer<'trial'>(
  computed((): Question<'trial'> | null =>
    setUp.value && saved.value
      ? [
          'trial',
          jobId.value,
          setUp.value.id,
          weldId.value,
          { settings: { ...saved.value.body.settings }, sign: null, ruledOut: [] },
        ]
      : null,
  ),
)
/** Of the settings that are used: those that were saved for this card, else the latest that were good. */
const worked = computed(() => {
  const row =
    saved.value ??
    log.rows.value.find(({ body }) => body.outcome === 'good' && body.setUpId === setUp.value?.id)
  if (!row) return ''
  const by = `${welderOf(row.who, row.body)}, ${when(row.body.weldedAt, 'day')}`
  return `${settingsText(row.body.settings, workspace.notation)} (${by})`
})
const mode = computed(() => (route.query['at'] === 'trial' ? 'trial' : isLarge.value ? 'large' : 'card'))
const firstSign = computed(() => String(route.query['sign'] ?? ''))
const isLarge = ref(false)
const weldItems = computed(() =>
  (job.value?.joints ?? []).map((one, index) => ({ id: one.id, name: `${index + 1} ${jointName(one)}` })),
)
const setUpItems = computed(() => workspace.setUps.map(({ id, name }) => ({ id, name })))
const show = (query: Record<string, string>): void =>
  void router.replace({ query: { ...route.query, ...query } })
const fileName = computed(() => `card-${jobId.value}-${weldId.value}`)

const paper = computed(() => (workspace.notation.system === 'imperial' ? 'LETTER' : 'A4'))
const isMaking = ref(false)
/** Only plain data cross to the thread. */
const plain = <T,>(value: T): T => structuredClone(toRaw(value))
async function makingPdf(make: Parameters<typeof makePdf>[0], name: string): Promise<void> {
  isMaking.value = true
  try {
    await makePdf(make, name)
  } catch {
    notice.refuse('The PDF could not be made. Reload the page and try again.')
  } finally {
    isMaking.value = false
  }
}
async function pdf(): Promise<void> {
  if (!spoken.value || !leads.value || !section.value) return
  const page = {
    title: `${job.value?.name ?? ''} · weld ${weldNumber.value} · ${setUp.value?.name ?? ''}`,
    card: plain(spoken.value),
    leads: plain(leads.value),
    section: plain(section.value),
    address: address.value,
    worked: worked.value,
    paper: paper.value,
  } as const
  await makingPdf((maker) => maker.card(page), `${fileName.value}.pdf`)
}
function json(): void {
  const whole = { format: 'brannik-card', version: 1, card: spoken.value, data: card.value }
  download(`${fileName.value}.json`, JSON.stringify(whole, null, 2), 'application/json')
}
/** The preliminary procedure sheet of the same weld. */
async function procedure(as: 'pdf' | 'json'): Promise<void> {
  if (!setUp.value || !section.value || !symbol.value) return
  const sheet = await engine.ask(workspace.snapshot, 'procedure', jobId.value, setUp.value.id, weldId.value)
  if (!sheet) return
  const name = `procedure-${jobId.value}-${weldId.value}`
  if (as === 'json') {
    download(
      `${name}.json`,
      JSON.stringify({ format: 'brannik-procedure', version: 1, sheet }, null, 2),
      'application/json',
    )
    return
  }
  const drawings = { section: plain(section.value), symbol: plain(weldSymbolDrawing(symbol.value)) }
  await makingPdf((maker) => maker.procedure(plain(sheet), drawings, paper.value), `${name}.pdf`)
}
/** The old settings come back by a press: saved anew, with what was saved before still in the log. */
function useAgain(settings: WeldSettings): void {
  const row = log.rows.value.find(({ body }) => body.settings === settings)
  if (!row || !setUp.value) return
  log.record({
    ...savedAs(structuredClone(toRaw(row.body)), settings),
    setUpId: setUp.value.id,
    setUpName: setUp.value.name,
    weldedAt: new Date().toISOString(),
    welder: session.me?.who ?? null,
  })
  notice.show('These settings are on the card now')
}
const print = (): void => window.print()
</script>

<template>
  <section v-if="!job" class="empty">
    <h1>No such job</h1>
    <p>It may have been deleted.</p>
    <RouterLink class="plain-button main" :to="{ name: 'jobs' }">Go to Jobs</RouterLink>
  </section>
  <div v-else class="card-view">
    <div class="title screen-only">
      <h1>{{ job.name }}</h1>
      <PlaceTabs :tabs="tabs" label="Job" />
      <label v-if="job.joints.length > 1" class="chip"
        ><span class="label">Weld</span>
        <ChoiceField
          class="which"
          bare
          label="Weld"
          :items="weldItems"
          :model-value="weldId"
          @update:model-value="(id) => id && show({ weld: id })"
      /></label>
      <label class="chip"
        ><span class="label">Set-up</span>
        <ChoiceField
          class="which"
          bare
          label="Set-up"
          :items="setUpItems"
          :model-value="setUp?.id ?? null"
          @update:model-value="(id) => id && show({ 'set-up': id })"
      /></label>
      <span class="acts">
        <button class="plain-button main" @click="print">Print</button>
        <RouterLink
          class="plain-button"
          :to="{
            query:
              mode === 'trial'
                ? { ...route.query, at: undefined, sign: undefined }
                : { ...route.query, at: 'trial' },
          }"
          >{{ mode === 'trial' ? 'Whole card' : 'Dial in' }}</RouterLink
        >
        <button v-if="mode !== 'trial'" class="plain-button" @click="isLarge = true">Large figures</button>
        <button class="plain-button" :disabled="isMaking || !spoken" @click="pdf">PDF</button>
        <button class="plain-button" :disabled="!spoken" @click="json">JSON</button>
        <button class="plain-button" :disabled="isMaking || !spoken" @click="procedure('pdf')">
          Procedure PDF
        </button>
        <button class="plain-button" :disabled="!spoken" @click="procedure('json')">Procedure JSON</button>
      </span>
    </div>
    <p v-if="!setUp" class="sheet note">Choose a set-up to see the card.</p>
    <p v-else-if="failure" class="sheet note" role="alert">This card cannot be calculated. {{ failure }}</p>
    <p v-else-if="!card || !spoken" class="sheet note">
      {{ setUp ? 'Calculating… If this stays, a part of the set-up is missing.' : '' }}
    </p>
    <TrialPanel
      v-else-if="mode === 'trial'"
      :key="`${weldId} ${setUp.id}`"
      :job-id="job.id"
      :set-up-id="setUp.id"
      :weld-id="weldId"
      :first-sign="firstSign"
    />
    <LargeFigures v-else-if="mode === 'large'" :card="spoken" :title="job.name" @close="isLarge = false" />
    <article v-else class="sheet card">
      <header class="head">
        <div>
          <p class="quiet">{{ job.name }} · weld {{ weldNumber }} · {{ setUp.name }}</p>
          <h2>Set-up card</h2>
          <p class="small">{{ spoken.heading }}</p>
          <p class="small now">
            On {{ source?.name }} now: <strong>{{ card.onMachineNow ?? 'not recorded' }}</strong><template
              v-if="card.changeover.steps.length > 0"
            >
              ·
              <RouterLink :to="{ name: 'change-over', params: { id: setUp.id } }"
                >Change over</RouterLink
              ></template
            >
          </p>
        </div>
        <img :src="qr" alt="QR code of this card’s address" width="84" height="84" />
      </header>
      <p v-if="spoken.against.length > 0" class="against" role="note">
        <VerdictMark :verdict="spoken.verdict" />
        <span>{{ spoken.against.slice(0, 2).join(' ') }}</span>
        <RouterLink class="screen-only" :to="{ name: 'fit', params: { jobId: job.id } }">Open fit</RouterLink>
      </p>
      <ProvenHere
        v-if="card.verdict === 'tight'"
        :job-id="job.id"
        :set-up-id="setUp.id"
        :joint-id="card.jointId"
        :criteria="card.judged"
      />
      <OwnNotes :set-up="setUp" />
      <dl class="figures">
        <div v-for="{ id, title, value, unit, notes } in spoken.figures" :key="id">
          <dt>{{ unit ? `${title}, ${unit}` : title }}</dt>
          <dd>
            <strong>{{ value }}</strong>
            <span v-for="note in notes" :key="note">{{ note }}</span>
          </dd>
        </div>
      </dl>
      <div class="two">
        <section>
          <h3>Leads</h3>
          <MarksDrawing v-if="leads" :drawing="leads" :label="spoken.leads.text" />
          <p class="small">{{ spoken.leads.text }}</p>
        </section>
        <section>
          <h3>Section, to scale</h3>
          <MarksDrawing v-if="section" :drawing="section" :label="`Section of the joint. ${spoken.hold}`" />
          <p class="small">{{ spoken.hold }} · {{ spoken.passes }}</p>
          <p v-for="line in spoken.passSettings" :key="line" class="small">{{ line }}</p>
          <MarksDrawing
            v-if="symbol"
            class="symbol"
            :drawing="weldSymbolDrawing(symbol)"
            label="Welding symbol"
          />
        </section>
      </div>
      <div class="two">
        <section>
          <h3>On the machine</h3>
          <table>
            <tbody>
              <tr v-for="row in spoken.rows" :key="row.place" :class="{ missing: row.isMissing }">
                <th scope="row">{{ row.title }}</th>
                <td>{{ row.text }}</td>
              </tr>
            </tbody>
          </table>
        </section>
        <section>
          <h3>In this order</h3>
          <ol>
            <li v-for="(step, index) in spoken.steps" :key="step.code">
              <label>
                <input
                  type="checkbox"
                  :checked="done.has(step.code)"
                  :disabled="!session.mayRecord"
                  @change="tick(step.code)"
                />
                <span class="no">{{ index + 1 }}</span>
                <span :class="{ key: step.isKey }"
                  >{{ step.text }}<span v-if="step.hazard" class="hazard">{{ step.hazard }}</span
                  ><span v-if="done.has(step.code)" class="who screen-only"
                    >{{ done.get(step.code)?.who }} {{ when(done.get(step.code)?.at ?? 0, 'clock') }}</span
                  ></span
                >
              </label>
            </li>
          </ol>
          <p class="bar">{{ spoken.pace }}</p>
          <p class="bar">{{ spoken.uses }}</p>
          <h3>If it is not right, change one thing</h3>
          <BeadPictures :joint="card.joint" />
          <ul class="signs">
            <li v-for="{ code, sign: words, change } in spoken.symptoms" :key="code">
              <RouterLink class="screen-only" :to="{ query: { ...route.query, at: 'trial', sign: code } }">{{
                words
              }}</RouterLink>
              <span class="printed">{{ words }}</span>
              <span>{{ change }}</span>
            </li>
          </ul>
        </section>
      </div>
      <footer>
        <p class="worked">
          What worked
          <span class="line">{{ worked }}</span>
        </p>
        <p>{{ eyes }}</p>
        <p>Plan only, not a qualified procedure. The data plate, the manual and the local code decide.</p>
      </footer>
      <ul class="cautions">
        <li v-for="{ topic, text } in other" :key="text">
          <strong>{{ topic }}</strong> {{ text }}
        </li>
      </ul>
      <WeldHistory class="screen-only" :rows="log.rows.value" @use="useAgain" />
    </article>
  </div>
</template>

<style scoped>
.signs li {
  border-top: 1px solid var(--line);
  display: grid;
  font-size: 13px;
  gap: 8px;
  grid-template-columns: 2fr 3fr;
  padding: 2px 0;
}
.printed {
  display: none;
}
.card-view {
  display: grid;
  gap: 10px;
  padding: 14px 20px;
}
a {
  color: inherit;
}
.title {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
}
.chip {
  align-items: center;
  display: flex;
  gap: 6px;
}
.which {
  width: 190px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.note {
  padding: 16px;
}
.card {
  margin: 0 auto;
  max-width: 860px;
  padding: 22px 28px;
  width: 100%;
}
.head {
  align-items: start;
  border-bottom: 2px solid var(--ink);
  display: flex;
  gap: 16px;
  justify-content: space-between;
  padding-bottom: 8px;
}
.head img {
  background: #fff;
  flex: none;
  padding: 4px;
}
h2 {
  font-size: var(--text-xl);
  font-weight: 700;
}
h3 {
  font-size: var(--text-m);
  margin-top: 10px;
}
.symbol {
  max-width: 200px;
}
.small {
  font-size: var(--text-s);
}
.against {
  align-items: baseline;
  border-left: 3px solid var(--fails);
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  margin-top: 10px;
  padding: 4px 10px;
}
.figures {
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(124px, 1fr));
  margin-top: 12px;
}
.figures div {
  border-left: 1px solid var(--line);
  padding: 8px 10px;
}
.figures div:first-child {
  border-left: 0;
}
.figures dt {
  font-size: var(--text-s);
}
.figures strong {
  display: block;
  font-size: var(--text-xl);
  line-height: 1.25;
}
.figures dd span {
  display: block;
  font-size: var(--text-s);
}
.two {
  display: grid;
  gap: 0 24px;
  grid-template-columns: 1fr 1fr;
}
table {
  border-collapse: collapse;
  font-size: 13px;
  margin-top: 2px;
  width: 100%;
}
th,
td {
  border-top: 1px solid var(--line);
  padding: 3px 0;
  text-align: left;
  vertical-align: top;
}
th {
  color: var(--ink-2);
  font-weight: 400;
  padding-right: 10px;
  white-space: nowrap;
  width: 92px;
}
.missing td {
  color: var(--unknown);
  font-style: italic;
}
ol li label {
  border-top: 1px solid var(--line);
  cursor: pointer;
  display: grid;
  font-size: 13px;
  gap: 8px;
  grid-template-columns: 18px 14px minmax(0, 1fr);
  padding: 3px 0;
}
.no {
  color: var(--ink-2);
}
.key {
  font-weight: 700;
}
.hazard {
  color: var(--fails);
  display: block;
  font-size: var(--text-s);
  font-weight: 400;
}
.who {
  color: var(--ink-2);
  display: block;
  font-size: var(--text-s);
  font-weight: 400;
}
.bar {
  border-left: 3px solid var(--ink);
  font-size: 13px;
  margin-top: 8px;
  padding-left: 10px;
}
footer {
  border-top: 1px solid var(--line-strong);
  display: grid;
  font-size: var(--text-s);
  gap: 16px;
  grid-template-columns: 1.2fr 1fr 1fr;
  margin-top: 12px;
  padding-top: 8px;
}
.line {
  border-bottom: 1px solid var(--line-strong);
  display: block;
  font-weight: 700;
  min-height: 26px;
}
.cautions {
  color: var(--ink-2);
  font-size: var(--text-s);
  margin-top: 8px;
}
@media (max-width: 760px) {
  .card {
    padding: 12px;
  }
  .two,
  footer {
    grid-template-columns: minmax(0, 1fr);
  }
  .figures {
    grid-template-columns: repeat(2, 1fr);
  }
}
@media (pointer: coarse) {
  .signs a {
    align-content: center;
    display: grid;
    min-height: 44px;
  }
  ol li label {
    align-items: center;
    min-height: 48px;
    padding-left: 12px;
  }
  ol input {
    height: 24px;
    width: 24px;
  }
  ol li label {
    grid-template-columns: 28px 16px minmax(0, 1fr);
  }
}
@media print {
  .card-view {
    padding: 0;
  }
  .card {
    border: 0;
    max-width: none;
    padding: 0;
    zoom: 0.66;
  }
  .two svg {
    max-height: 104px;
  }
  .two .symbol {
    max-height: 60px;
  }
  .printed {
    color: #333;
    display: inline;
  }
  .cautions {
    color: #000;
    columns: 2;
    font-size: 10px;
  }
  .two {
    grid-template-columns: 1fr 1fr;
  }
  .figures {
    grid-template-columns: repeat(6, 1fr);
  }
  footer {
    grid-template-columns: 1.2fr 1fr 1fr;
  }
}
</style>
