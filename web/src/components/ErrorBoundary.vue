<script setup lang="ts">
import { onErrorCaptured, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { logUnexpected } from '../errors.ts'
import { download } from '../files/download.ts'
import { useWorkspace } from '../shop/workspace.ts'

/** What cannot be shown is said in its place; the rest of the page, and the way to mend or delete it, stay. */
const route = useRoute()
const router = useRouter()
const workspace = useWorkspace()
const failure = ref('')
const attempt = ref(0)

onErrorCaptured((error) => {
  logUnexpected(error)
  failure.value = error.message || String(error)
  return false
})
watch(
  () => route.fullPath,
  () => (failure.value = ''),
)

const job = () => workspace.get('jobs', String(route.params['jobId'] ?? ''))
function again(): void {
  failure.value = ''
  attempt.value += 1
}
function takeOut(): void {
  const now = job()
  if (now) download(`${now.id}.json`, JSON.stringify(now, null, 2), 'application/json')
}
function remove(): void {
  const now = job()
  if (!now) return
  workspace.edit('jobs', now.id, null, `deletion of ${now.name}`)
  void router.push({ name: 'jobs' })
}
</script>

<template>
  <section v-if="failure" class="failed" role="alert">
    <h1>{{ job() ? `${job()?.name} cannot be shown` : 'This cannot be shown' }}</h1>
    <p>
      An entry is wrong: <code>{{ failure }}</code>. Nothing is lost.
    </p>
    <p class="ways">
      <button class="plain-button main" @click="again">Try again</button>
      <template v-if="job()">
        <button class="plain-button" @click="takeOut">Export job (JSON)</button>
        <button class="plain-button" @click="remove">Delete job</button>
      </template>
      <RouterLink class="plain-button" :to="{ name: 'jobs' }">Go to Jobs</RouterLink>
    </p>
  </section>
  <slot v-else :key="attempt" />
</template>

<style scoped>
.failed {
  display: grid;
  gap: 12px;
  padding: 48px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.ways a {
  text-decoration: none;
}
</style>
