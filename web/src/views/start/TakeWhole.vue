<script setup lang="ts">
import { readDocument, type ShopDocument, shopDocumentSchema, upcastFile } from '@brannik/core'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import ChooseFile from '../../components/ChooseFile.vue'
import { reasonOf } from '../../reason.ts'
import { useNotice } from '../../stores/notice.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/** A whole shop out of its file; where one is stored already, it says what it replaces and asks first. */
const workspace = useWorkspace()
const notice = useNotice()
const router = useRouter()
const problems = ref<readonly string[]>([])
const read = ref<ShopDocument | null>(null)
const isBusy = ref(false)

function take(text: string): void {
  problems.value = []
  read.value = null
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    problems.value = ['This is not JSON. Choose a file from Export the whole shop.']
    return
  }
  const upcast = upcastFile('brannik-shop', value)
  if (!upcast.ok) {
    problems.value = [`The file ${upcast.message}`]
    return
  }
  const answer = readDocument(shopDocumentSchema, upcast.value)
  if (!answer.ok) {
    problems.value = answer.problems.slice(0, 5).map(({ field, message }) => `${field} ${message}`)
    return
  }
  read.value = answer.value
  if (!workspace.shop) void store()
}
async function store(): Promise<void> {
  const whole = read.value
  if (!whole || isBusy.value) return
  isBusy.value = true
  try {
    await workspace.begin(whole)
    read.value = null
    notice.show(
      `${whole.shop.name} is imported, with ${whole.setUps.length} set-ups and ${whole.jobs.length} jobs`,
    )
    await router.push({ name: 'jobs' })
  } catch (error) {
    problems.value = [`Nothing changed: ${reasonOf(error)}`]
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <div class="take">
    <ChooseFile
      what="a whole shop"
      accept=".json,application/json"
      @take="take"
      @refuse="(message) => (problems = [message])"
      ><slot>Import a whole shop</slot></ChooseFile
    >
    <div v-if="problems.length > 0" class="problem" role="alert">
      <p v-for="line in problems" :key="line">{{ line }}</p>
    </div>
    <div v-if="read && workspace.shop" class="ask" role="alert">
      <p>
        {{ read.shop.name }} replaces everything of {{ workspace.shop.name }}:
        {{ workspace.jobs.length }} jobs, {{ workspace.setUps.length }} set-ups, equipment and stock. Export
        it first to keep it.
      </p>
      <button class="plain-button main" :disabled="isBusy" @click="store">
        Replace {{ workspace.shop.name }}
      </button>
      <button class="plain-button" @click="read = null">Cancel</button>
    </div>
  </div>
</template>

<style scoped>
.take {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.ask {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
}
.ask p {
  flex: 1 1 100%;
}
</style>
