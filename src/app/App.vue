<script setup lang="ts">
import { atOnce } from '@/text/base/atOnce'
import { app as words } from '@/text/views/app'
import { useEventListener, useTimeoutFn } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import AlarmBar from '@/components/app/AlarmBar.vue'
import AppBar from '@/components/app/AppBar.vue'
import { isTyping } from '@/composables/page/isTyping'
import { usePageTitle } from '@/composables/page/usePageTitle'
import { useBackShuts } from '@/composables/page/useBackShuts'
import { useNewVersion } from '@/composables/page/useNewVersion'
import { useOffline } from '@/composables/page/useOffline'
import { useSaveAll } from '@/composables/garden/useSaveAll'
import { useTour } from '@/composables/page/useTour'
import { useTheme } from '@/composables/page/useTheme'
import { useGarden } from '@/stores/garden'
import { failingText } from '@/text/base/failing'
import HistoryTools from '@/views/HistoryTools.vue'

/** Fetched when they are asked for: the first page has neither. */
const StuckView = defineAsyncComponent(() => import('@/views/StuckView.vue'))
const TourBar = defineAsyncComponent(() => import('@/components/app/TourBar.vue'))
const KeysDialog = defineAsyncComponent(() => import('@/components/app/KeysDialog.vue'))
/** Seldom seen, and fetched when the page has settled: what they say must not wait for the network. */
const SELDOM = [
  () => import('@/components/app/RefusalBar.vue'),
  () => import('@/components/ConflictNotice.vue'),
] as const
const [RefusalBar, ConflictNotice] = [defineAsyncComponent(SELDOM[0]), defineAsyncComponent(SELDOM[1])]
const SETTLED = 2000
useTimeoutFn(() => SELDOM.forEach((fetch) => void fetch().catch(() => null)), SETTLED)

/** Pages that show nothing of the log and no photo; Today fills in what is due when the log is there. */
const OPENS_EARLY: ReadonlySet<string> = new Set([
  ...['today', 'beds', 'place', 'shelf', 'method', 'recipe'],
  ...['containers', 'mix', 'finder', 'compare', 'water', 'plan', 'lessons', 'buy', 'prepare', 'make'],
])
const garden = useGarden()
const route = useRoute()
useTheme(() => garden.settings.theme)
const saveAll = useSaveAll()
const { newer, useNewer, later } = useOffline()
const missing = useNewVersion(useRouter())

const PLACES = [
  { name: 'today', label: 'Today', icon: 'pi-sun' },
  { name: 'beds', label: 'Beds', icon: 'pi-th-large' },
  { name: 'shelf', label: 'Shelf', icon: 'pi-box' },
  { name: 'records', label: 'Records', icon: 'pi-book' },
  { name: 'method', label: 'Method', icon: 'pi-calculator' },
  { name: 'settings', label: 'Settings', icon: 'pi-cog' },
]
const places = computed(() =>
  PLACES.map((p) => ({
    ...p,
    here: route.name === p.name || (p.name === 'today' && Boolean(route.params.jobId)),
  })),
)
/** Kept apart from saving as usual, so that the frame is not drawn anew with every edit. */
const failing = computed(() => (garden.status.state === 'failing' ? failingText(garden.status) : null))
/** What shows the log or photos waits for them; the rest is there before. */
const waits = computed(() => !garden.isWhole && !OPENS_EARLY.has(String(route.name)))
const keysOpen = ref(false)
const main = ref<HTMLElement | null>(null)

useEventListener('keydown', (event: KeyboardEvent) => {
  if (isTyping(event)) return
  const command = event.ctrlKey || event.metaKey
  const key = event.key.toLowerCase()
  if (command && (key === 'z' || key === 'y')) {
    event.preventDefault()
    if (key === 'y' || event.shiftKey) garden.redo()
    else garden.undo()
  } else if (event.key === '?' && !command) {
    event.preventDefault()
    keysOpen.value = true
  }
})

usePageTitle(route, () => garden.records)
useBackShuts(useRouter())
const tour = useTour(useRouter())

// The keyboard begins a new page where its own part begins: below the stations of a job.
watch(
  () => route.name,
  async () => {
    await nextTick()
    const begin = main.value?.querySelector<HTMLElement>('[data-begin]') ?? main.value
    begin?.focus({ preventScroll: true })
  },
)

async function switchGarden() {
  await garden.flush()
  location.assign(`/${garden.name === 'demo' ? 'my' : 'demo'}`)
}
async function takeNewer() {
  await garden.flush()
  await useNewer()
}
async function reload() {
  await garden.flush()
  location.reload()
}
</script>

<template>
  <a class="skip" href="#main">{{ words.skipToThePage }}</a>
  <AppBar :places="places" :garden="garden.name" @switch="switchGarden" @help="keysOpen = true"
    ><HistoryTools
  /></AppBar>
  <AlarmBar v-if="failing">
    <strong>{{ failing.why }}</strong> {{ failing.fix }}
    <Button :label="atOnce.saveEverythingToAFile" size="small" @click="saveAll" />
  </AlarmBar>
  <AlarmBar v-if="garden.renewed && !failing">
    <strong>{{ words.storedAgain }}</strong>
    <Button :label="atOnce.saveEverythingToAFile" size="small" @click="saveAll" />
    <Button :label="words.later" size="small" outlined @click="garden.renewed = false" />
  </AlarmBar>
  <AlarmBar v-if="garden.opening.state === 'readOnly'">
    <strong>{{ words.openToLookAtOnly }}</strong> {{ words.nothingYouDoHereIs }}
    <Button :label="words.tryToOpenItAs" size="small" @click="reload" />
  </AlarmBar>
  <AlarmBar v-if="missing">
    <strong>{{ words.aPartOfOpenBed }}</strong> {{ words.aNewerVersionIsProbably }}
    <Button :label="words.reloadThePage" size="small" @click="reload" />
  </AlarmBar>
  <AlarmBar v-if="newer" calm>
    <strong>{{ words.aNewerOpenBedIs }}</strong> {{ words.itTakesOverWhenYou }}
    <Button :label="words.useItNow" size="small" @click="takeNewer" />
    <Button :label="words.later" size="small" outlined @click="later" />
  </AlarmBar>
  <ConflictNotice v-if="garden.conflicts.length" :conflicts="garden.conflicts" @settle="garden.settle" />
  <AlarmBar v-if="garden.undoTrouble">{{ garden.undoTrouble }}</AlarmBar>
  <RefusalBar v-if="garden.refused" :refusal="garden.refused" />
  <TourBar
    v-if="garden.name === 'demo' && tour.at.value >= 0"
    :at="tour.at.value"
    @go="tour.go"
    @leave="tour.leave"
  />
  <main id="main" ref="main" tabindex="-1">
    <StuckView v-if="garden.opening.state === 'stuck'" :opening="garden.opening" />
    <p v-else-if="!garden.ready" class="opening" role="status">
      {{ garden.name === 'demo' ? words.openingTheDemo : words.openingYourGarden }}
    </p>
    <p v-else-if="waits" class="opening" role="status">{{ words.readingTheLog }}</p>
    <RouterView v-else />
  </main>
  <KeysDialog v-if="keysOpen" v-model:visible="keysOpen" />
</template>

<style scoped>
.skip {
  position: absolute;
  left: -999px;
}
.opening {
  padding: 20px;
}
.skip:focus {
  left: 8px;
  top: 8px;
  background: var(--sheet);
  padding: 8px 12px;
  z-index: 20;
}
</style>
