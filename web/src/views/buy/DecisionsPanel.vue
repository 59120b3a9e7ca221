<script setup lang="ts">
import {
  type ChangedSince,
  type Decision,
  type Held,
  pathOfSlot,
  PROCESSES,
  slotText,
  verdictText,
} from '@brannik/core'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import VerdictMark from '../../components/VerdictMark.vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { differences } from '../../files/differences.ts'
import { wordingOf } from '../../files/wording.ts'
import { reasonOf } from '../../reason.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { useNotice } from '../../stores/notice.ts'
import { useWhen } from '../../stores/useWhen.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { listed } from './kitWords.ts'

/** What was decided, on what, and whether it still holds. */
const workspace = useWorkspace()
const notice = useNotice()
const money = useMoney()
const when = useWhen()
const route = useRoute()

const decisions = computed(() =>
  workspace.decisions.toSorted((a, b) => b.decidedAt.localeCompare(a.decidedAt)),
)
const chosen = computed<Decision | null>(
  () => decisions.value.find(({ id }) => id === route.params['id']) ?? decisions.value[0] ?? null,
)
const { answer: held, failure } = useAnswer<'held'>(
  computed((): Question<'held'> | null => (chosen.value ? ['held', chosen.value.taken] : null)),
)
const holds = (one: Held | undefined): boolean => one?.verdict === 'fits' || one?.verdict === 'tight'
const standing = computed(() => {
  if (!held.value) return null
  const broken = held.value.filter((one) => !holds(one)).length
  const moved = held.value.filter(({ changed }) => changed.length > 0).length
  if (broken > 0)
    return {
      verdict: 'fails' as const,
      text: `No longer holds: it fails ${broken} of ${held.value.length} ${held.value.length === 1 ? 'job' : 'jobs'} today`,
    }
  return {
    verdict: 'fits' as const,
    text:
      moved === 0 ? 'Still holds. Nothing has changed since' : 'Still holds, but something has changed since',
  }
})

const pathOf = (of: ChangedSince['of']): string =>
  of === 'setUp' ? 'set-ups' : of === 'job' ? 'jobs' : of === 'shop' ? 'shop' : pathOfSlot(of)
const MOST_SHOWN = 8
function changeText(change: ChangedSince, setUpId: string): string {
  const process = PROCESSES[workspace.get('set-ups', setUpId)?.process ?? 'gmaw-short']
  const what =
    change.of === 'shop' || change.of === 'job'
      ? change.name
      : change.of === 'setUp'
        ? `set-up ${change.name}`
        : `${slotText(workspace.speech, change.of, process)} ${change.name}`
  if (change.now === null) return `${what}: deleted`
  if (change.then === null) return `${what}: new`
  const found = differences(
    change.then,
    change.now,
    wordingOf(pathOf(change.of), change.now as object, workspace.notation),
  )
  const shown = found.slice(0, MOST_SHOWN).map(({ field, before, after }) => `${field} ${before} → ${after}`)
  const more = found.length > shown.length ? `, and ${found.length - shown.length} more` : ''
  return `${what}: ${shown.join('; ')}${more}`
}

const isPrinting = ref(false)
async function print(): Promise<void> {
  if (!chosen.value) return
  isPrinting.value = true
  try {
    const { decisionPdf } = await import('./decisionPdf.ts')
    await decisionPdf(chosen.value, {
      shop: workspace.shop?.name ?? '',
      decided: when(chosen.value.decidedAt, 'paper'),
      money,
      verdict: (verdict) => verdictText(workspace.speech, verdict),
      standing: standing.value?.text ?? '',
    })
  } catch (error) {
    notice.show(`The PDF cannot be created: ${reasonOf(error)}`)
  } finally {
    isPrinting.value = false
  }
}
function remove({ id, name }: Decision): void {
  workspace.edit('decisions', id, null, `deletion of ${name}`)
  notice.show(`${name} deleted`, true)
}
</script>

<template>
  <p v-if="decisions.length === 0" class="sheet none">
    No decisions yet. Find the
    <RouterLink :to="{ name: 'buy', params: { part: 'kit' } }">cheapest purchase</RouterLink>, or
    <RouterLink :to="{ name: 'buy', params: { part: 'could' } }">ways to do a job</RouterLink>, and press
    Decide.
  </p>
  <div v-else class="decisions">
    <nav class="sheet" aria-label="Decisions, latest first">
      <RouterLink
        v-for="one in decisions"
        :key="one.id"
        class="pick row"
        :class="{ here: one.id === chosen?.id }"
        :to="{ name: 'buy', params: { part: 'decisions', id: one.id } }"
      >
        <strong>{{ one.name }}</strong>
        <span class="label">{{ when(one.decidedAt, 'paper') }}</span>
      </RouterLink>
    </nav>
    <article v-if="chosen" class="sheet" :aria-label="chosen.name">
      <header>
        <div>
          <h2>{{ chosen.name }}</h2>
          <p class="label">Decided {{ when(chosen.decidedAt, 'paper') }}</p>
        </div>
        <span class="end screen-only">
          <button class="plain-button" :disabled="isPrinting" @click="print">PDF</button>
          <button class="plain-button" @click="remove(chosen)">Delete</button>
        </span>
      </header>
      <p v-if="standing" role="status" class="standing">
        <VerdictMark :verdict="standing.verdict" :word="false" /> {{ standing.text }}
      </p>
      <p v-if="failure" class="problem" role="alert">The decision cannot be checked: {{ failure }}</p>
      <p v-if="chosen.note" class="note">{{ chosen.note }}</p>
      <p v-if="chosen.kit">
        {{ money(Math.round(chosen.kit.totalCost)) }} over {{ chosen.kit.horizonYears }} years.
        {{ chosen.kit.proof }}
      </p>
      <p v-if="chosen.purchases.length > 0">
        To buy:
        {{
          listed(
            chosen.purchases.map(({ name, price }) => (price === null ? name : `${name} (${money(price)})`)),
          )
        }}
      </p>
      <section v-for="(one, index) in chosen.taken" :key="one.jobId" class="taken">
        <h3><VerdictMark :verdict="one.verdict" /> {{ one.jobName }} by {{ one.setUpName }}</h3>
        <template v-if="held?.[index]">
          <p v-if="held[index].problem" class="problem">
            The saved figures cannot be read: {{ held[index].problem }}
          </p>
          <p v-else-if="held[index].verdict === null" class="problem">A part of it was deleted.</p>
          <p v-else-if="held[index].verdict !== one.verdict">
            Today: <VerdictMark :verdict="held[index].verdict" />
          </p>
          <ul v-if="held[index].changed.length > 0" class="changed">
            <li v-for="change in held[index].changed" :key="change.of">
              {{ changeText(change, one.setUpId) }}
            </li>
          </ul>
        </template>
        <details>
          <summary>
            Saved figures: {{ one.findings.length }} findings, {{ one.cautions.length }} cautions
          </summary>
          <table class="ruled">
            <tbody>
              <tr v-for="(finding, row) in [...one.chain, ...one.findings]" :key="row">
                <td><VerdictMark :verdict="finding.verdict" :word="false" /></td>
                <th scope="row">{{ finding.title }}</th>
                <td>{{ finding.says }}</td>
                <td class="label">{{ finding.source }}</td>
              </tr>
            </tbody>
          </table>
          <ul class="label">
            <li v-for="{ says } in one.cautions" :key="says">{{ says }}</li>
          </ul>
        </details>
      </section>
      <p class="label">A record of the comparison, not approval of a weld, a circuit or a purchase.</p>
    </article>
  </div>
</template>

<style scoped>
.none {
  padding: 16px;
}
.decisions {
  align-items: start;
  display: grid;
  gap: 12px;
  grid-template-columns: 300px minmax(0, 1fr);
}
.row {
  padding: 8px 12px;
  text-decoration: none;
}
article {
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr);
  padding: 14px 16px;
}
header {
  align-items: start;
  display: flex;
  gap: 16px;
  justify-content: space-between;
}
h2 {
  font-size: var(--text-l);
}
h3 {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  font-size: var(--text-m);
  font-weight: 600;
  gap: 4px 10px;
}
.end {
  display: flex;
  gap: 8px;
}
.standing {
  font-weight: 600;
}
.note {
  white-space: pre-wrap;
}
.taken {
  border-top: 1px solid var(--line);
  display: grid;
  gap: 6px;
  padding-top: 8px;
}
.changed li::before {
  content: '– ';
}
summary {
  cursor: pointer;
}
.ruled :is(th, td) {
  padding: 3px 10px 3px 0;
  vertical-align: top;
}
.ruled th {
  font-weight: 600;
}
@media (max-width: 960px) {
  .decisions {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
