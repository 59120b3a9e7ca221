<script setup lang="ts">
import { onMounted, ref, useTemplateRef } from 'vue'
import TypedField from '../components/TypedField.vue'
import { useSession } from '../shop/session.ts'
import { reasonOf } from '../reason.ts'

/** The door: a name and a password. */
const session = useSession()
const name = ref('')
const password = ref('')
const problem = ref('')
const isTrying = ref(false)
const first = useTemplateRef<InstanceType<typeof TypedField>>('first')
onMounted(() => first.value?.focus())

async function enter(): Promise<void> {
  isTrying.value = true
  problem.value = ''
  try {
    await session.signIn(name.value, password.value)
  } catch (error) {
    problem.value = reasonOf(error)
  } finally {
    password.value = ''
    isTrying.value = false
  }
}
</script>

<template>
  <section class="door">
    <form class="sheet" @submit.prevent="enter">
      <h1>Sign in</h1>
      <TypedField
        ref="first"
        v-model="name"
        label="Name"
        autocomplete="username"
        maxlength="80"
        required
        spellcheck="false"
      />
      <TypedField
        v-model="password"
        label="Password"
        type="password"
        autocomplete="current-password"
        maxlength="200"
        required
      />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <button class="plain-button main" :disabled="isTrying">Sign in</button>
      <p class="quiet">
        The owner of the shop makes accounts. What you typed before stays in this browser, and is stored when
        you are in.
      </p>
    </form>
  </section>
</template>

<style scoped>
.door {
  display: grid;
  justify-items: center;
  padding: 12vh 16px;
}
form {
  display: grid;
  gap: 14px;
  max-width: 340px;
  padding: 24px;
  width: 100%;
}
</style>
