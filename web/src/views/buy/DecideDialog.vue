<script setup lang="ts">
import type { Decision, Job, Made, SetUp } from '@brannik/core'
import { nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import SheetDialog from '../../components/SheetDialog.vue'
import TextField from '../../components/TextField.vue'
import { engine } from '../../engine/client.ts'
import { reasonOf } from '../../reason.ts'
import { useNotice } from '../../stores/notice.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { idFor } from '../jobs/idFor.ts'
import { listed } from './kitWords.ts'
import { useCould } from './useCould.ts'

/** Writes a choice down: what was chosen, on which figures, with a note; it can be held against what is so later. */
const open = defineModel<boolean>({ required: true })
const {
  choices,
  purchases,
  kit = null,
  madeOf = () => null,
} = defineProps<{
  choices: readonly { readonly job: Job; readonly setUp: SetUp }[]
  purchases: Decision['purchases']
  kit?: Decision['kit']
  /** A set-up that is not written down yet, by its id. */
  madeOf?: (setUpId: string) => Made | null
}>()

const workspace = useWorkspace()
const notice = useNotice()
const router = useRouter()
const { take: takeCould } = useCould()
const name = ref('')
const note = ref('')
const failure = ref('')
const isWriting = ref(false)

/** What costs less names no decision. */
const SMALL = 100
watch(open, (isOpen) => {
  if (!isOpen) return
  failure.value = ''
  note.value = ''
  const [first] = choices
  const large = purchases.filter(({ price }) => price === null || price >= SMALL)
  name.value =
    large.length > 0
      ? `Buy ${listed(large.map((one) => one.name))}`.slice(0, 120)
      : choices.length === 1 && first
        ? `${first.job.name} by ${first.setUp.name}`.slice(0, 120)
        : 'What we own does it'
})

async function decide(): Promise<void> {
  failure.value = ''
  isWriting.value = true
  try {
    const pairs = choices.map(({ job, setUp }) => {
      const could = madeOf(setUp.id)
      return { jobId: job.id, setUpId: could ? takeCould(could) : setUp.id }
    })
    await nextTick()
    const taken = await engine.ask(workspace.snapshot, 'decided', pairs)
    const id = idFor(name.value, workspace.decisions)
    const decision: Decision = {
      id,
      name: name.value,
      note: note.value,
      decidedAt: new Date().toISOString(),
      taken: [...taken],
      purchases: [...purchases],
      kit,
    }
    if (workspace.edit('decisions', id, decision, `decision ${name.value}`)) {
      open.value = false
      notice.show(`${name.value} is saved`, true)
      await router.push({ name: 'buy', params: { part: 'decisions', id } })
    }
  } catch (error) {
    failure.value = reasonOf(error)
  } finally {
    isWriting.value = false
  }
}
</script>

<template>
  <SheetDialog v-model="open" title="Save decision" :width="560" close="Cancel">
    <p class="quiet">
      Saved with it: job, set-up, data plates, figures, results and sources. Later you see what has changed
      and whether it still holds.
    </p>
    <TextField v-model="name" label="Decision" empty="The name is empty. Enter what you decided." />
    <TextField v-model="note" label="Note: reasons and alternatives" :most="2000" />
    <ul>
      <li v-for="{ job, setUp } in choices" :key="job.id">
        <strong>{{ job.name }}</strong> by {{ setUp.name }}
      </li>
    </ul>
    <p v-if="failure" class="problem" role="alert">It cannot be saved: {{ failure }}</p>
    <template #foot>
      <button class="plain-button main" :disabled="isWriting || choices.length === 0" @click="decide">
        Save decision
      </button>
    </template>
  </SheetDialog>
</template>

<style scoped>
ul {
  display: grid;
  gap: 4px;
}
</style>
