<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useBackups } from '../../stores/backups.ts'
import { useNotice } from '../../stores/notice.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWhen } from '../../stores/useWhen.ts'
import { useSession } from '../../shop/session.ts'
import { reasonOf } from '../../reason.ts'

/** The whole shop as files: made now, kept for some days, taken out, and how one comes back. */
const backups = useBackups()
const session = useSession()
const notice = useNotice()
const when = useWhen()
const { tenth } = usePrint()
const problem = ref('')
const isMaking = ref(false)

const WHY: Record<string, string> = {
  'by-clock': 'automatic',
  'by-hand': 'made by hand',
  'before-migration': 'before a new version',
  'before-restore': 'before a restore',
}
const sizeOf = (bytes: number): string =>
  bytes < 1e6 ? `${Math.ceil(bytes / 1e3)} kB` : `${tenth(bytes / 1e6)} MB`
const telling = async (work: () => Promise<void>): Promise<void> => {
  problem.value = ''
  await work().catch((error: unknown) => {
    problem.value = reasonOf(error)
  })
}
onMounted(() => telling(() => backups.find()))

async function make(): Promise<void> {
  isMaking.value = true
  await telling(async () => {
    await backups.make()
    notice.show('Backup done')
  })
  isMaking.value = false
}
</script>

<template>
  <div class="sheet panel">
    <div class="bar">
      <p class="age">
        {{ backups.age ? `The shop was backed up ${backups.age}.` : 'There is no backup yet.' }}
      </p>
      <button
        v-if="session.isOwner"
        class="plain-button main"
        :disabled="isMaking || !backups.isPossible"
        @click="make"
      >
        {{ isMaking ? 'Backing up…' : 'Back up now' }}
      </button>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="backups.all && !backups.isPossible" class="problem">
      The server has no backup folder. Set BACKUP_FOLDER, and restart.
    </p>
    <p v-for="warning in backups.warnings" :key="warning" class="problem" role="alert">{{ warning }}</p>
    <div v-if="backups.all && backups.all.items.length > 0" class="wide">
      <VTable>
        <thead>
          <tr>
            <th scope="col">When</th>
            <th scope="col">Why</th>
            <th scope="col" class="number">Size</th>
            <th scope="col"><span class="visually-hidden">Actions</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in backups.all.items" :key="one.name">
            <th scope="row">{{ when(one.at) }}</th>
            <td>{{ WHY[one.why] ?? one.why }}</td>
            <td class="number">{{ sizeOf(one.bytes) }}</td>
            <td class="number">
              <a
                v-if="session.isOwner"
                class="link-button"
                :href="`/api/backups/${one.name}`"
                :download="one.name"
                >Download</a
              >
            </td>
          </tr>
        </tbody>
      </VTable>
    </div>
    <p v-if="backups.all" class="quiet">
      Each backup has the whole shop, its history and accounts.
      <template v-if="backups.all.everyHours > 0">
        Brannik backs up every {{ backups.all.everyHours }} hours and keeps one for each of the last 7 days, 5
        weeks and 12 months. Once a week it tests a restore<template
          v-if="backups.all.tried && !backups.all.tried.problem"
          >: passed on {{ when(backups.all.tried.at) }}</template
        >.
      </template>
      <template v-else>Automatic backups are off: BACKUP_HOURS is 0.</template>
      Manual backups, and those before an update, are kept {{ backups.all.keepDays }} days.
    </p>
    <p v-if="backups.all" class="quiet">
      <template v-if="backups.all.hasSecondPlace">The second folder gets a copy.</template>
      <template v-else>
        Keep a copy on another disk: set BACKUP_SECOND_FOLDER, or download one now and then.
      </template>
      To restore one, stop Brannik and run <code>npm run restore -- FILE --replace</code>. The current shop is
      backed up first. <code>npm run restore -- FILE --check</code> lists its content.
    </p>
  </div>
</template>

<style scoped>
.age {
  flex: 1;
  font-size: var(--text-l);
}
</style>
