<script setup lang="ts">
import { computed } from 'vue'

/** What keeps a row of a file out: the first two problems in sight, all of them where one points. */
const { problems } = defineProps<{
  problems: readonly { readonly field: string; readonly message: string }[]
}>()

const MOST = 2
const all = computed(() => problems.map(({ field, message }) => `${field}: ${message}`).join('\n'))
</script>

<template>
  <td v-tip="all" class="problem">
    <template v-for="(one, at) in problems.slice(0, MOST)" :key="at">
      <template v-if="at > 0">; </template><strong>{{ one.field }}</strong> {{ one.message }}
    </template>
  </td>
</template>
