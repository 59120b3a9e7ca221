<script setup lang="ts">
import { onMounted, ref, useTemplateRef } from 'vue'
import TypedField from '../components/TypedField.vue'
import { useSession } from '../shop/session.ts'
import { reasonOf } from '../reason.ts'

/** The door: a name and a password; on the shop's own machine the link that the start printed. */
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
    <div v-if="session.me?.needsLink" class="sheet link">
      <h1>Open the link from the start</h1>
      <p>On this machine Brannik needs no password. Open a link once in each browser.</p>
      <ol>
        <li>Look where <code>npm start</code> runs. It printed a link with <code>/here/</code> in it.</li>
        <li>Open that link in this browser.</li>
        <li>
          If it was used before, or is older than a day, run
          <code class="unbroken">npm run user -- link</code> for a new one.
        </li>
      </ol>
    </div>
    <form v-if="!session.me?.needsLink || session.me.hasOwner" class="sheet" @submit.prevent="enter">
      <h1>{{ session.me?.needsLink ? 'Or sign in' : 'Sign in' }}</h1>
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
        The owner creates accounts. What you typed stays in this browser and is saved when you sign in.
      </p>
    </form>
  </section>
</template>

<style scoped>
.door {
  display: grid;
  gap: 16px;
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
.link {
  display: grid;
  gap: 10px;
  max-width: 480px;
  padding: 24px;
}
.unbroken {
  white-space: nowrap;
}
ol {
  display: grid;
  gap: 6px;
  list-style: decimal;
  padding-left: 20px;
}
</style>
