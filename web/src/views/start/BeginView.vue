<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { reasonOf } from '../../reason.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import BeginShop from './BeginShop.vue'
import { localeHere } from './emptyShop.ts'
import TakeWhole from './TakeWhole.vue'

/** The database holds no shop: a shop of one's own, the demo to look at, or a shop out of its file. */
const workspace = useWorkspace()
const router = useRouter()
const problem = ref('')
const isBusy = ref(false)
/** That of this browser’s country comes first. */
const INCH = ['inch', 'Open the demo in inches, 120/240 V'] as const
const METRIC = ['metric', 'Open the demo in millimetres, 230/400 V'] as const
const demos = localeHere() === 'en-US' ? [INCH, METRIC] : [METRIC, INCH]

async function lookAtDemo(demo: 'inch' | 'metric'): Promise<void> {
  isBusy.value = true
  problem.value = ''
  try {
    await workspace.begin({ demo })
    await router.push({ name: 'jobs' })
  } catch (error) {
    problem.value = `The demo is not loaded: ${reasonOf(error)}`
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <section class="begin">
    <h1>Choose a shop</h1>
    <p class="quiet">No shop yet. You can change this later under Shop.</p>
    <div class="ways">
      <section class="sheet">
        <h2>My shop</h2>
        <p class="quiet">
          Enter outlets, machines, guns, wires and gases as you walk past them, then your first job. About
          five minutes.
        </p>
        <BeginShop />
      </section>
      <section class="sheet">
        <h2>The demo shop</h2>
        <p class="quiet">
          Tollgate Orchard Works, an invented shop that builds and mends cidery and orchard equipment:
          fourteen set-ups and seven jobs to try things on.
        </p>
        <button
          v-for="[demo, words] in demos"
          :key="demo"
          class="plain-button"
          :disabled="isBusy"
          @click="lookAtDemo(demo)"
        >
          {{ isBusy ? 'Loading…' : words }}
        </button>
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      </section>
      <section class="sheet">
        <h2>A shop from a file</h2>
        <p class="quiet">Choose a file from “Export the whole shop”.</p>
        <TakeWhole>Choose the file</TakeWhole>
      </section>
    </div>
  </section>
</template>

<style scoped>
.begin {
  display: grid;
  gap: 12px;
  margin: 0 auto;
  max-width: 1040px;
  padding: 40px 20px;
}
.ways {
  align-items: start;
  display: grid;
  gap: 16px;
  grid-template-columns: 1.3fr 1fr 1fr;
  padding-top: 12px;
}
.ways > section {
  align-content: start;
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 18px 20px 20px;
}
.ways > section > :deep(form) {
  width: 100%;
}
h2 {
  font-size: var(--text-l);
}
@media (max-width: 900px) {
  .ways {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
