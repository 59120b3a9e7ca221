<script setup lang="ts">
import {
  capital,
  type Chain,
  chainText,
  type Fit,
  OF_ARC,
  OF_HEAT,
  OF_USE,
  type Row,
  type Suggestion,
  worstVerdict,
} from '@brannik/core'
import { computed, ref, watchEffect } from 'vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { lazily } from '../../lazy.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'

const SuggestionList = lazily(() => import('./SuggestionList.vue'))
const ProvenHere = lazily(() => import('../log/ProvenHere.vue'))

/** The answer in words and one large figure, and what would mend it. */
const { fit, rows, chain, suggestions, weld, pieces, jobId, setUpId } = defineProps<{
  fit: Fit
  jobId: string
  setUpId: string | null
  rows: readonly Row[]
  chain: Chain
  /** Null while they are sought. */
  suggestions: readonly Suggestion[] | null
  /** Which weld headline and chain speak of, where there are several: `weld 2`. */
  weld: string
  pieces: number
}>()
const emit = defineEmits<{ apply: [suggestion: Suggestion, words: string]; open: [id: string] }>()

const workspace = useWorkspace()
const { print, wholeAmps, spell } = usePrint()

/** What the weakest link makes of the weld, in a word or two, where it only just does. */
const TIGHT: Readonly<Record<string, string>> = {
  paces: 'Welds with rest',
  cooler: 'Welds, colder',
  'rather-high': 'Welds, hotter',
  'below-usual': 'Welds, less steady',
}

/** Rows that the chain's amps already tell of. */
const isInChain = (id: string): boolean => OF_ARC.has(id) || OF_HEAT.has(id)

const failing = computed(() => rows.filter(({ verdict }) => verdict === 'fails'))
const unknowns = computed(() => rows.filter(({ verdict }) => verdict === 'unknown'))
const besides = computed(() => {
  const listed = [...failing.value, ...unknowns.value]
  return (chain.verdict === 'fails' ? listed.filter(({ id }) => !isInChain(id)) : listed).slice(0, 3)
})
/** Where nothing fails, the panel says what the job takes off the shelf. */
const uses = computed(() =>
  rows.filter(({ id, criteria }) => OF_USE.has(id) && (criteria[0]?.demand ?? null) !== null),
)
const verdict = computed(() => worstVerdict([fit.verdict, chain.verdict]))
/** What reads the evidence stays from then on: the next key may make the weld tight again. */
const wasTight = ref(false)
watchEffect(() => (wasTight.value ||= verdict.value === 'tight'))

const money = useMoney()
const eachWeld = computed(
  () => fit.cost?.welds.find(({ jointId }) => jointId === chain.jointId)?.each ?? null,
)
/** What stands in the sum; what has no price does not. */
const costWords = computed(() => {
  const { labour = null, filler = null, gas = null } = fit.cost ?? {}
  const parts = [
    [spell('labour'), labour],
    ['filler', filler],
    ['gas', gas],
  ] as const
  const known = parts.map(([name, value]) =>
    value === null ? `${name}: no price` : `${name} ${money(value)}`,
  )
  const { restS = 0, finishS = 0 } = fit.cost ?? {}
  const included = [
    ['rest', restS],
    ['cleaning and repair', finishS],
  ] as const
  const spent = included.flatMap(([name, seconds]) => (seconds > 0 ? [`${print(seconds, 's')} ${name}`] : []))
  const labourText = spent.length > 0 ? ` ${capital(spell('labour'))} includes ${spent.join(' and ')}.` : ''
  return `${known.join(', ')}.${labourText} Without power and wear.`
})

const counted = (count: number, one: string, many: string): string =>
  count === 1 ? `1 ${one}` : `${count} ${many}`
const headline = computed(() => {
  const { spareA, outsideA } = chain
  if (outsideA !== null) return `${wholeAmps(Math.abs(outsideA))} A too ${outsideA < 0 ? 'low' : 'high'}`
  if (failing.value.length > 0) return counted(failing.value.length, 'check fails', 'checks fail')
  if (unknowns.value.length > 0) return `${unknowns.value.length} with no data`
  if (spareA === null) return 'No data'
  return spareA < 0 ? (TIGHT[chain.told.code] ?? 'Tight') : `${wholeAmps(spareA)} A to spare`
})
</script>

<template>
  <section class="answer sheet" :class="verdict" aria-label="The answer" aria-live="polite">
    <p class="headline">
      <VerdictMark :verdict="verdict" :word="false" />
      <span data-testid="headline">{{ headline }}</span>
    </p>
    <p class="sentence">
      <strong v-if="weld">{{ capital(weld) }}: </strong>{{ chainText(workspace.speech, chain) }}
    </p>
    <ProvenHere
      v-if="wasTight && setUpId"
      :job-id="jobId"
      :set-up-id="setUpId"
      :joint-id="chain.jointId"
      :criteria="verdict === 'tight' ? fit.criteria : []"
    />
    <ul v-if="besides.length > 0" class="besides">
      <li v-for="row in besides" :key="row.id">
        <VerdictMark :verdict="row.verdict" :word="false" />
        <button class="link-button" @click="emit('open', row.id)">{{ row.title }}</button>
        <span v-if="row.missing" v-tip="row.missing" class="quiet clip">{{ row.missing }}</span>
      </li>
    </ul>
    <template v-if="failing.length > 0">
      <h2>Ways to fix it</h2>
      <p v-if="suggestions === null" class="quiet">Searching…</p>
      <SuggestionList
        v-else-if="suggestions.length > 0"
        :suggestions="suggestions"
        @apply="(suggestion, words) => emit('apply', suggestion, words)"
      />
      <p v-else class="quiet">Nothing you own fixes it. Open a failing check for ways to fix it.</p>
    </template>
    <template v-else>
      <h2>Job uses</h2>
      <dl class="uses">
        <template v-for="use in uses" :key="use.id">
          <dt>{{ use.title }}</dt>
          <dd>
            <button class="link-button" @click="emit('open', use.id)">
              {{ use.demand }}
            </button>
          </dd>
        </template>
        <template v-if="fit.cost">
          <dt v-tip="costWords">Cost</dt>
          <dd>{{ money(fit.cost.job) }}</dd>
          <template v-if="pieces > 1">
            <dt>A piece</dt>
            <dd>{{ money(fit.cost.piece) }}</dd>
          </template>
          <template v-if="eachWeld !== null">
            <dt>One {{ weld === '' ? 'weld' : `of ${weld}` }}</dt>
            <dd>{{ money(eachWeld) }}</dd>
          </template>
        </template>
      </dl>
    </template>
  </section>
</template>

<style scoped>
.uses {
  display: grid;
  gap: 4px 16px;
  grid-template-columns: 1fr auto;
}
dd {
  font-weight: 600;
  text-align: right;
}
.answer {
  align-content: start;
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
  min-height: 0;
  padding: 12px 16px;
}
.headline {
  align-items: center;
  display: flex;
  font-size: var(--text-figure);
  font-weight: 700;
  gap: 10px;
  letter-spacing: -0.02em;
  line-height: 1.1;
}
.headline :deep(svg) {
  height: 22px;
  width: 22px;
}
.fails .headline {
  color: var(--fails);
}
.tight .headline {
  color: var(--tight);
}
.fits .headline {
  color: var(--fits);
}
.unknown .headline {
  color: var(--unknown);
}
.besides {
  border-top: 1px solid var(--line);
  display: grid;
  gap: 2px;
  padding-top: 6px;
}
.besides li {
  align-items: baseline;
  display: flex;
  gap: 6px;
  min-width: 0;
}
.besides button {
  white-space: nowrap;
}
.clip {
  font-size: var(--text-s);
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
h2 {
  border-top: 1px solid var(--line);
  color: var(--ink-2);
  padding-top: 8px;
}
</style>
