<script setup lang="ts">
import { onKeyStroke, useTimeoutFn } from '@vueuse/core'
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ErrorBoundary from './components/ErrorBoundary.vue'
import type { HelpPart } from './help/help.ts'
import SaveState from './components/SaveState.vue'
import { lazily } from './lazy.ts'
import { isHere, RAIL, titleOf } from './views/index.ts'
import { useLook } from './stores/look.ts'
import { useNotice } from './stores/notice.ts'
import { useSession } from './shop/session.ts'
import { useEarlyKeys } from './useEarlyKeys.ts'
import { useTabTitle } from './useTabTitle.ts'
import { useTyping } from './shop/typing.ts'
import { useWorkspace } from './shop/workspace.ts'
import { useWayBack } from './wayBack.ts'

/** Comes a moment after the answer, and is nobody's reason to wait for it. */
const A_MOMENT_MS = 5000
const isSettled = ref(false)
/** What is opened by a key comes a moment after the answer; asked for before, it takes up what was typed meanwhile. */
const CommandPalette = lazily(() => import('./components/CommandPalette.vue'))
const TipLayer = lazily(() => import('./components/TipLayer.vue'))
const NoticeBar = lazily(() => import('./components/NoticeBar.vue'))
const SignInView = lazily(() => import('./views/SignInView.vue'))
/** Where the database holds no shop yet. */
const BeginView = lazily(() => import('./views/start/BeginView.vue'))
const WhoIsIn = lazily(() => import('./components/WhoIsIn.vue'))
const ViewHelp = lazily(() => import('./help/ViewHelp.vue'))
const HelpDialog = lazily(() => import('./help/HelpDialog.vue'))
const AsideBar = lazily(() => import('./components/AsideBar.vue'))
const OfflineCopy = lazily(() => import('./components/OfflineCopy.vue'))
const BackupAge = lazily(() => import('./components/BackupAge.vue'))

const workspace = useWorkspace()
const notice = useNotice()
const session = useSession()
const route = useRoute()
const router = useRouter()
const { choice, theme } = useLook()
const typing = useTyping()
const paletteOpen = ref(false)
/** On a phone the rail is a bar: this many places are in it, the others under More. */
const IN_BAR = 5
const moreOpen = ref(false)
watch(
  () => route.name,
  () => (moreOpen.value = false),
)
const isPaletteThere = ref(false)
const earlyKeys = useEarlyKeys(computed(() => paletteOpen.value && !isPaletteThere.value))
useTabTitle()
const way = useWayBack()
const wayWords = computed(() => {
  if (way.value?.name === 'start') return 'setting up the shop'
  const job = way.value?.jobId && workspace.get('jobs', way.value.jobId)
  return job ? `the fit of ${job.name}` : 'the fit'
})

onMounted(() => workspace.load())
/** Not before the answer of a fit, where that takes longer: it is what somebody waits for. */
const MOST_WAITS = 15
let waits = 0
function settle(): void {
  const isAnswered = route.name !== 'fit' || document.querySelector('main .headline') !== null
  if (isAnswered || waits === MOST_WAITS) {
    isSettled.value = true
  } else {
    waits += 1
    nextLook.start()
  }
}
const nextLook = useTimeoutFn(settle, 1000, { immediate: false })
const firstLook = useTimeoutFn(settle, A_MOMENT_MS, { immediate: false })
watch(
  () => workspace.state === 'ready',
  (isReady) => isReady && firstLook.start(),
)
// What waits to be stored stays in the browser, until the one who typed it is in again.
watch(
  () => session.isSignedOut,
  (isOut) => {
    if (isOut) workspace.park()
    else void workspace.load()
  },
)

function undo(): void {
  const label = workspace.undo()
  notice.show(label ? `Undone: ${label}` : 'Nothing to undo')
}
function redo(): void {
  const label = workspace.redo()
  notice.show(label ? `Redone: ${label}` : 'Nothing to redo')
}
const helpOpen = ref(false)
const isHelpThere = ref(false)
const helpButton = useTemplateRef<HTMLElement>('helpButton')
const hereTitle = computed(() => titleOf(route.name))
const helpPart = ref<HelpPart | null>(null)
const helpSearch = ref('')
function showHelp(part: HelpPart, search = ''): void {
  helpSearch.value = search
  helpPart.value = part
}
async function newJob(): Promise<void> {
  const { freshJob } = await import('./views/jobs/newJob.ts')
  const job = freshJob(workspace.jobs)
  if (workspace.edit('jobs', job.id, job, `new job ${job.name}`))
    await router.push({ name: 'job', params: { jobId: job.id }, query: { field: 'Job' } })
}
function switchUnits(): void {
  const { shop } = workspace
  if (!shop) return
  const unitSystem = shop.unitSystem === 'imperial' ? 'metric' : 'imperial'
  workspace.edit('shop', shop.id, { ...shop, unitSystem }, 'units')
}
const unitWords = computed(() => (workspace.notation.system === 'imperial' ? 'inch · lb' : 'mm · kg'))

onKeyStroke('k', (event) => {
  if (!(event.ctrlKey || event.metaKey)) return
  event.preventDefault()
  paletteOpen.value = true
})
/**
 * While a field holds what was typed, Ctrl Z is the typing's; where it holds nothing typed it is the shop's, as the
 * browser would undo in another field, out of sight.
 */
const isTyping = (target: EventTarget | null): boolean =>
  typing.isOpen || (target instanceof HTMLElement && target.matches('textarea, [contenteditable]'))
onKeyStroke('?', (event) => {
  const { target } = event
  if (target instanceof HTMLElement && target.matches('input, textarea, [contenteditable]')) return
  event.preventDefault()
  showHelp('keys')
})
onKeyStroke('z', (event) => {
  if (!(event.ctrlKey || event.metaKey) || isTyping(event.target)) return
  event.preventDefault()
  if (event.shiftKey) redo()
  else undo()
})
onKeyStroke('y', (event) => {
  if (!(event.ctrlKey || event.metaKey) || isTyping(event.target)) return
  event.preventDefault()
  redo()
})
</script>

<template>
  <VApp :theme="theme">
    <div class="frame">
      <a class="skip" href="#main">To the content</a>
      <header>
        <RouterLink class="name" to="/">Brannik</RouterLink>
        <RouterLink v-if="way" class="way-back" :to="way.path">← Back to {{ wayWords }}</RouterLink>
        <span v-else class="shop-name">{{ workspace.shop?.name }}</span>
        <button class="find" @click="paletteOpen = true">
          <span>Find or do anything</span><kbd>Ctrl K</kbd>
        </button>
        <button v-tip="`Units: ${unitWords}. Press to switch`" class="units" @click="switchUnits">
          {{ unitWords }}
        </button>
        <button
          v-if="hereTitle"
          ref="helpButton"
          class="help"
          :aria-label="`Help: ${hereTitle}`"
          aria-haspopup="dialog"
          :aria-expanded="helpOpen"
          @click="helpOpen = !helpOpen"
        >
          ?
        </button>
        <div class="safe">
          <BackupAge v-if="isSettled && !session.isSignedOut && workspace.state === 'ready'" />
          <SaveState v-if="!session.isSignedOut || workspace.saves.size > 0" />
        </div>
      </header>
      <nav aria-label="Places" @keydown.esc="moreOpen = false">
        <RouterLink
          v-for="place in RAIL.slice(0, IN_BAR)"
          :key="place.name"
          :to="{ name: place.name }"
          :class="{ here: isHere(place, route.name) }"
          :aria-current="isHere(place, route.name) ? 'page' : undefined"
          >{{ place.title }}</RouterLink
        >
        <button
          class="more"
          :class="{ here: RAIL.slice(IN_BAR).some((place) => isHere(place, route.name)) }"
          :aria-expanded="moreOpen"
          aria-controls="rest-of-rail"
          @click="moreOpen = !moreOpen"
        >
          More
        </button>
        <div id="rest-of-rail" class="rest" :class="{ open: moreOpen }">
          <RouterLink
            v-for="place in RAIL.slice(IN_BAR)"
            :key="place.name"
            :to="{ name: place.name }"
            :class="{ here: isHere(place, route.name), apart: place.title === 'Shop' }"
            :aria-current="isHere(place, route.name) ? 'page' : undefined"
            >{{ place.title }}</RouterLink
          >
          <WhoIsIn v-if="isSettled" class="pushed" />
          <button
            v-tip="theme === 'dark' ? 'Switch to light' : 'Switch to dark'"
            class="look"
            @click="choice = theme === 'dark' ? 'light' : 'dark'"
          >
            {{ theme === 'dark' ? 'Light' : 'Dark' }}
          </button>
        </div>
      </nav>
      <main id="main" tabindex="-1">
        <AsideBar v-if="workspace.aside.length > 0" />
        <SignInView v-if="session.isSignedOut" />
        <p v-else-if="workspace.state === 'loading'" class="waiting" role="status">Loading the shop…</p>
        <section v-else-if="workspace.state === 'failed'" class="waiting" role="alert">
          <h1>The shop cannot be loaded</h1>
          <p>
            {{ workspace.failure.replace(/\.$/, '') }}. Check that Brannik is running (npm start).
            <template v-if="workspace.isLoadedAgain">This page loads the shop when it responds.</template>
          </p>
          <button class="plain-button main" @click="workspace.load()">Try again now</button>
        </section>
        <BeginView v-else-if="workspace.state === 'empty'" />
        <ErrorBoundary v-else><RouterView /></ErrorBoundary>
      </main>
    </div>
    <CommandPalette
      v-if="isSettled || paletteOpen || isPaletteThere"
      v-model="paletteOpen"
      :early="earlyKeys"
      :actions="{
        undo,
        redo,
        switchUnits,
        newJob: () => void newJob(),
        showHelp,
      }"
      @there="isPaletteThere = true"
    />
    <ViewHelp
      v-if="helpButton && (helpOpen || isHelpThere)"
      v-model="helpOpen"
      :activator="helpButton"
      @more="showHelp"
      @vue:mounted="isHelpThere = true"
    />
    <HelpDialog v-if="helpPart !== null" v-model="helpPart" v-model:search="helpSearch" />
    <OfflineCopy v-if="isSettled" />
    <TipLayer v-if="isSettled" />
    <NoticeBar v-if="isSettled || notice.shown" @undo="undo" />
  </VApp>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template: 48px 1fr / 112px 1fr;
  min-height: 100vh;
}
header {
  align-items: center;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
  display: grid;
  gap: 16px;
  grid-column: 1 / -1;
  grid-template-columns: auto 1fr 240px auto auto minmax(96px, auto);
  padding: 0 20px 0 24px;
  position: sticky;
  top: 0;
  z-index: 30;
}
.name {
  color: var(--ink);
  font-size: var(--text-l);
  font-weight: 700;
  text-decoration: none;
}
.way-back {
  color: var(--ink);
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.shop-name {
  color: var(--ink-2);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.find {
  align-items: center;
  background: var(--sunk);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  color: var(--ink-2);
  cursor: pointer;
  display: flex;
  height: 32px;
  justify-content: space-between;
  padding: 0 8px;
}
.safe {
  align-items: center;
  display: flex;
  gap: 14px;
  justify-content: flex-end;
  /* What comes a moment later moves nothing. */
  min-width: 160px;
}
.units {
  background: none;
  border: 1px solid transparent;
  border-radius: var(--radius);
  color: var(--ink-2);
  cursor: pointer;
  padding: 4px 8px;
}
.help {
  background: none;
  border: 1px solid var(--line-strong);
  border-radius: 50%;
  color: var(--ink-2);
  cursor: pointer;
  font-weight: 700;
  height: 28px;
  width: 28px;
}
.help:hover {
  border-color: var(--ink);
  color: var(--ink);
}
.units:hover {
  border-color: var(--line-strong);
}
nav {
  border-right: 1px solid var(--line);
  display: flex;
  flex-direction: column;
  height: calc(100vh - 48px);
  padding: 16px 0;
  position: sticky;
  top: 48px;
}
nav a,
.look {
  border-left: 3px solid transparent;
  color: var(--ink-2);
  padding: 9px 8px 9px 24px;
  text-decoration: none;
}
.more {
  display: none;
}
.rest {
  display: flex;
  flex: 1;
  flex-direction: column;
}
/* Set apart by a rule: it is where the shop is set up, not where the day's work is. */
.apart {
  border-top: 1px solid var(--line);
  margin-top: 8px;
}
nav a:hover,
.look:hover {
  color: var(--ink);
}
nav .here {
  background: var(--sheet);
  border-left-color: var(--copper);
  color: var(--ink);
  font-weight: 700;
}
.look {
  background: none;
  border-width: 0 0 0 3px;
  cursor: pointer;
  margin-top: auto;
  text-align: left;
}
.pushed {
  margin-top: auto;
}
.pushed + .look {
  margin-top: 0;
}
main {
  min-width: 0;
  outline: none;
}
.waiting {
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 48px;
}
.skip {
  left: -9999px;
  position: absolute;
}
.skip:focus {
  background: var(--sheet);
  left: 8px;
  padding: 8px;
  top: 8px;
  z-index: 40;
}
@media (max-width: 900px) {
  .frame {
    grid-template: auto 1fr / 1fr;
  }
  header {
    gap: 4px 12px;
    grid-template-columns: auto 1fr auto auto;
    padding: 8px 12px;
    position: static;
  }
  .find {
    grid-column: 1 / -1;
    grid-row: 2;
  }
  .way-back {
    grid-column: 1 / -1;
    grid-row: 3;
    padding: 6px 0;
  }
  .shop-name {
    display: none;
  }
  .safe {
    min-width: 0;
  }
  .safe :deep(.backup) {
    display: none;
  }
  main {
    grid-row: 2;
    padding-bottom: 52px;
  }
  nav {
    background: var(--ground);
    border-right: 0;
    border-top: 1px solid var(--line);
    bottom: 0;
    flex-direction: row;
    height: auto;
    left: 0;
    padding: 0;
    position: fixed;
    right: 0;
    top: auto;
    z-index: 30;
  }
  nav > a,
  .more {
    align-items: center;
    background: none;
    border: 0;
    border-top: 3px solid transparent;
    color: var(--ink-2);
    display: flex;
    flex: 1;
    justify-content: center;
    min-height: 48px;
    padding: 4px 2px;
    white-space: nowrap;
  }
  nav .here {
    border-top-color: var(--copper);
  }
  .rest {
    background: var(--sheet);
    border: 1px solid var(--line-strong);
    border-radius: var(--radius);
    bottom: 100%;
    display: none;
    min-width: 160px;
    position: absolute;
    right: 4px;
  }
  .apart {
    margin-top: 0;
  }
  .rest.open {
    display: flex;
  }
  .rest a,
  .look {
    align-items: center;
    display: flex;
    min-height: 48px;
    padding: 4px 16px;
  }
}
</style>
