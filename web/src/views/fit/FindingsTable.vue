<script setup lang="ts">
import type { Assessment, Row, SetUp } from '@brannik/core'
import { useTimeoutFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import MarginBar from '../../charts/MarginBar.vue'
import { lazily } from '../../lazy.ts'
import { PASS_WORDS } from './settingWords.ts'
import VerdictMark from '../../components/VerdictMark.vue'

/** Comes a moment after the answer. */
const MissingFieldLink = lazily(() => import('../../components/MissingFieldLink.vue'))

/** What decides stands first, each with its sentence; what fits is one line, whose figures can be unfolded. */
const {
  rows,
  openRow,
  setUp,
  jobId,
  weldName = () => '',
} = defineProps<{
  rows: readonly Row[]
  openRow: string | null
  setUp: SetUp
  jobId: string
  /** `weld 2`; empty where there is but one. */
  weldName?: (weldId: string) => string
}>()
const emit = defineEmits<{ open: [id: string] }>()

/** What of a row is not known, if anything. */
const unknownOf = ({ criteria }: Row): Assessment | null =>
  criteria.find(({ verdict }) => verdict === 'unknown') ?? null
const isLate = ref(false)
useTimeoutFn(() => (isLate.value = true), 0)
const RANK = { fails: 0, unknown: 1, tight: 2, fits: 3 } as const
const deciding = computed(() =>
  rows.filter(({ verdict }) => verdict !== 'fits').toSorted((a, b) => RANK[a.verdict] - RANK[b.verdict]),
)
const told = computed(() => rows.filter(({ isJudged }) => !isJudged))
const fitting = computed(() => rows.filter(({ verdict, isJudged }) => verdict === 'fits' && isJudged))
const isUnfolded = ref(false)
const measured = computed(() => (isUnfolded.value ? fitting.value.filter((row) => !isPlain(row)) : []))
const isPlain = ({ marginPct, criteria }: Row): boolean =>
  marginPct === null && criteria.every((one) => one.demand === null)
const inLine = computed(() => (isUnfolded.value ? fitting.value.filter(isPlain) : fitting.value))
const tipOf = ({ sentence, restsOn }: Row): string => `${sentence}${restsOn ? ` Source: ${restsOn}.` : ''}`
/** More room than this is said without its figure. */
const AMPLE_PCT = 300
const room = ({ marginPct }: Row): string =>
  marginPct === null || marginPct > AMPLE_PCT ? '' : ` +${Math.round(marginPct)} %`
/** Which weld of several, and which of its passes where they have each their own current. */
const whichOf = ({ weldId, pass }: Row): string =>
  [weldId === null ? '' : weldName(weldId), pass === null ? '' : PASS_WORDS[pass]].filter(Boolean).join(', ')
</script>

<template>
  <table class="sheet ruled findings" aria-label="Checks">
    <thead v-if="deciding.length + measured.length > 0">
      <tr>
        <th scope="col">Check</th>
        <th scope="col" class="said">Result</th>
        <th scope="col" class="number">Job needs</th>
        <th scope="col" class="number">Set-up gives</th>
        <th scope="col" class="margin">Margin</th>
        <th scope="col" class="mark">Verdict</th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="row in [...deciding, ...measured]"
        :key="row.id"
        v-tip="tipOf(row)"
        class="row"
        :class="[row.verdict, { open: row.id === openRow }]"
        @click="emit('open', row.id)"
      >
        <th scope="row">
          <button class="title" :data-testid="`finding-${row.id}`" @click.stop="emit('open', row.id)">
            {{ row.title }}
          </button>
          <span v-if="whichOf(row)" class="label of">{{ whichOf(row) }}</span>
        </th>
        <td class="said">
          {{ row.sentence }}
          <template v-for="missing in [unknownOf(row)]">
            <MissingFieldLink
              v-if="missing && isLate"
              :key="missing.code"
              :assessment="missing"
              :set-up="setUp"
              :job-id="jobId"
            />
          </template>
        </td>
        <td class="number figure"><span class="named">Job needs </span>{{ row.demand }}</td>
        <td class="number figure"><span class="named">Set-up gives </span>{{ row.capacity }}</td>
        <td class="margin"><MarginBar :margin-pct="row.marginPct" :verdict="row.verdict" /></td>
        <td class="mark"><VerdictMark :verdict="row.verdict" /></td>
      </tr>
      <tr v-if="rows.length > deciding.length" class="plain">
        <td colspan="6">
          <VerdictMark verdict="fits" :word="false" />
          <strong>{{
            deciding.length === 0 && !isUnfolded ? 'All checks pass' : `${inLine.length} checks pass`
          }}</strong><template v-for="(row, place) in inLine" :key="row.id"
            >{{ place > 0 ? ', ' : ': '
            }}<span class="item"
              ><button
                v-tip="tipOf(row)"
                class="title"
                :data-testid="`finding-${row.id}`"
                @click.stop="emit('open', row.id)"
              >
                {{ row.title }}</button
              ><span class="label">{{ room(row) }}</span></span
            ></template
          ><span v-if="told.length > 0" class="told"
            >. <strong>For information</strong
            ><template v-for="(row, place) in told" :key="row.id"
              >{{ place > 0 ? ', ' : ': '
              }}<span class="item"
                ><button
                  v-tip="tipOf(row)"
                  class="title"
                  :data-testid="`finding-${row.id}`"
                  @click.stop="emit('open', row.id)"
                >
                  {{ row.title }}
                </button>
                {{ row.demand }}
                <MissingFieldLink
                  v-if="row.criteria[0] && isLate"
                  :assessment="row.criteria[0]"
                  :set-up="setUp"
                  :job-id="jobId"
                  is-brief /></span></template
          ></span>
          <button class="link-button fold" :aria-expanded="isUnfolded" @click="isUnfolded = !isUnfolded">
            {{ isUnfolded ? 'Fold' : 'Show figures' }}
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.findings {
  table-layout: fixed;
}
th,
td {
  padding: 1px 6px;
}
th:first-child {
  padding-left: 12px;
  width: 170px;
}
tbody th {
  font-weight: 600;
}
.ruled .number {
  text-align: right;
  white-space: nowrap;
  width: 108px;
}
.margin {
  padding-left: 10px;
  width: 138px;
}
.mark {
  width: 92px;
}
.figure {
  font-weight: 600;
}
.said {
  font-size: var(--text-s);
  line-height: 1.3;
}
.named {
  display: none;
}
.row {
  cursor: pointer;
}
.row:hover,
.row.open {
  background: var(--sunk);
}
.of {
  font-weight: 400;
  margin-left: 6px;
}
.fits th,
.fits .figure {
  font-weight: 400;
}
.title {
  background: none;
  border: 0;
  color: inherit;
  cursor: pointer;
  font-weight: inherit;
  padding: 0;
  text-align: left;
}
.row:hover .title,
.plain .title:hover {
  text-decoration: underline;
}
.plain td {
  line-height: 1.45;
  padding-left: 12px;
}
.plain td :deep(svg) {
  margin-right: 5px;
  vertical-align: -2px;
}
.fold {
  float: right;
}
.item {
  display: inline-block;
}
.item .title {
  text-decoration: underline;
  text-decoration-color: var(--line);
  text-underline-offset: 3px;
}
@media screen and (max-width: 900px) {
  .findings,
  tbody,
  tr,
  tbody td,
  tbody th {
    display: block;
  }
  thead {
    display: none;
  }
  .row {
    border-top: 1px solid var(--line);
    display: grid;
    gap: 0 12px;
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 8px 12px;
  }
  .ruled .row :is(th, td) {
    border: 0;
    padding: 1px 0;
    text-align: left;
    width: auto;
  }
  .row .mark {
    grid-column: 2;
    grid-row: 1;
  }
  .row .said {
    grid-column: 1 / -1;
  }
  .row .margin {
    display: none;
  }
  .named {
    color: var(--ink-2);
    display: inline;
    font-weight: 400;
  }
  .plain td {
    padding: 8px 12px;
  }
  .title {
    min-height: 24px;
  }
}
</style>
