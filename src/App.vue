<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import AlarmBar from '@/components/app/AlarmBar.vue'
import AppBar from '@/components/app/AppBar.vue'
import ConflictNotice from '@/components/ConflictNotice.vue'
import { isTyping } from '@/composables/isTyping'
import { useNewVersion } from '@/composables/useNewVersion'
import { useSaveAll } from '@/composables/useSaveAll'
import { useTheme } from '@/composables/useTheme'
import { useGarden } from '@/stores/garden'
import HistoryTools from '@/views/HistoryTools.vue'

/** Fetched when somebody asks for it: the first page has no dialog. */
const KeysDialog = defineAsyncComponent(() => import('@/components/app/KeysDialog.vue'))

const garden = useGarden()
const route = useRoute()
useTheme(() => garden.settings.theme)
const saveAll = useSaveAll()
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
const failing = computed(() => (garden.status.state === 'failing' ? garden.status : null))
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

// A new page begins at its heading, for the eye and for a screen reader.
watch(
  () => route.name,
  async () => {
    await nextTick()
    const heading = main.value?.querySelector('h1')
    if (heading && document.activeElement === document.body) main.value?.focus({ preventScroll: true })
  },
)

async function switchGarden() {
  await garden.flush()
  location.assign(`/${garden.name === 'demo' ? 'my' : 'demo'}`)
}
async function reload() {
  await garden.flush()
  location.reload()
}
</script>

<template>
  <a class="skip" href="#main">Skip to the page</a>
  <AppBar :places="places" :garden="garden.name" @switch="switchGarden"><HistoryTools /></AppBar>
  <AlarmBar v-if="failing">
    <strong v-if="failing.reason === 'full'">The disk is full: your work is not being saved.</strong>
    <strong v-else>This browser refuses to keep data: your work is not being saved.</strong>
    It is safe in this tab while the tab stays open. Save it to a file now.
    <span class="soft">({{ failing.message }})</span>
    <Button label="Save everything to a file" size="small" @click="saveAll" />
  </AlarmBar>
  <AlarmBar v-if="missing">
    <strong>A part of Open Bed could not be fetched.</strong> A newer version is probably here; what you have
    done is kept.
    <Button label="Reload the page" size="small" @click="reload" />
  </AlarmBar>
  <ConflictNotice :conflicts="garden.conflicts" @settle="garden.settle" />
  <AlarmBar v-if="garden.undoTrouble">{{ garden.undoTrouble }}</AlarmBar>
  <main id="main" ref="main" tabindex="-1">
    <RouterView />
  </main>
  <KeysDialog v-if="keysOpen" v-model:visible="keysOpen" />
</template>

<style scoped>
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 8px;
  top: 8px;
  background: var(--sheet);
  padding: 8px 12px;
  z-index: 20;
}
</style>
