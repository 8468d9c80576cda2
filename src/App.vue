<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import ConflictNotice from '@/components/ConflictNotice.vue'
import { saveFile } from '@/composables/saveFile'
import { useTheme } from '@/composables/useTheme'
import { useGarden } from '@/stores/garden'
import HistoryTools from '@/views/HistoryTools.vue'

const garden = useGarden()
const route = useRoute()
useTheme(() => garden.settings.theme)

const places = computed(() =>
  [
    { name: 'today', label: 'Today', icon: 'pi-sun' },
    { name: 'beds', label: 'Beds', icon: 'pi-th-large' },
    { name: 'shelf', label: 'Shelf', icon: 'pi-box' },
    { name: 'records', label: 'Records', icon: 'pi-book' },
    { name: 'method', label: 'Method', icon: 'pi-calculator' },
    { name: 'settings', label: 'Settings', icon: 'pi-cog' },
  ].map((p) => ({
    ...p,
    here: route.name === p.name || (p.name === 'today' && Boolean(route.params.jobId)),
  })),
)
/** Kept apart from saving as usual, so that the frame is not drawn anew with every edit. */
const failing = computed(() => (garden.status.state === 'failing' ? garden.status : null))
const otherGarden = computed(() => (garden.name === 'demo' ? 'my' : 'demo'))
const helpOpen = ref(false)
const main = ref<HTMLElement | null>(null)

const inText = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))

useEventListener('keydown', (event: KeyboardEvent) => {
  const command = event.ctrlKey || event.metaKey
  const key = event.key.toLowerCase()
  if (command && !inText(event.target) && (key === 'z' || key === 'y')) {
    event.preventDefault()
    if (key === 'y' || event.shiftKey) garden.redo()
    else garden.undo()
  } else if (event.key === '?' && !command && !inText(event.target)) {
    event.preventDefault()
    helpOpen.value = true
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

const switchGarden = async () => {
  await garden.flush()
  location.assign(`/${otherGarden.value}`)
}
const saveAll = () =>
  saveFile(
    `open-bed-${garden.name}-${new Date().toISOString().slice(0, 10)}.json`,
    garden.exportText(),
    'application/json',
  )
</script>

<template>
  <a class="skip" href="#main">Skip to the page</a>
  <header class="bar no-print">
    <RouterLink
      class="brand"
      aria-label="Open Bed, to Today"
      :to="{ name: 'today', params: { garden: garden.name } }"
    >
      <img src="/icon.svg" alt="" width="30" height="30" /><span>Open Bed</span>
    </RouterLink>
    <nav class="places" aria-label="Places">
      <RouterLink
        v-for="place in places"
        :key="place.name"
        :to="{ name: place.name, params: { garden: garden.name } }"
        :class="{ here: place.here }"
        :aria-current="place.here ? 'page' : undefined"
      >
        <i class="pi" :class="place.icon" aria-hidden="true" /><span>{{ place.label }}</span>
      </RouterLink>
    </nav>
    <div class="tools">
      <HistoryTools />
      <span class="which" :class="garden.name">{{
        garden.name === 'demo' ? 'Demo garden' : 'My garden'
      }}</span>
      <Button
        class="switch"
        :label="garden.name === 'demo' ? 'Go to my garden' : 'Look at the demo'"
        outlined
        size="small"
        @click="switchGarden"
      />
    </div>
  </header>
  <div v-if="failing" class="alarm" role="alert">
    <strong v-if="failing.reason === 'full'">The disk is full: your work is not being saved.</strong>
    <strong v-else>This browser refuses to keep data: your work is not being saved.</strong>
    It is safe in this tab while the tab stays open. Save it to a file now.
    <span class="soft">({{ failing.message }})</span>
    <Button label="Save everything to a file" size="small" @click="saveAll" />
  </div>
  <ConflictNotice :conflicts="garden.conflicts" @settle="garden.settle" />
  <p v-if="garden.undoTrouble" class="alarm" role="alert">{{ garden.undoTrouble }}</p>
  <main id="main" ref="main" tabindex="-1">
    <RouterView />
  </main>
  <Dialog
    v-model:visible="helpOpen"
    modal
    header="Keys"
    :style="{ width: 'min(34rem, 94vw)' }"
    dismissable-mask
  >
    <table class="plain">
      <tbody>
        <tr>
          <td><kbd>Tab</kbd></td>
          <td>to the next control; <kbd>Enter</kbd> or <kbd>Space</kbd> presses it</td>
        </tr>
        <tr>
          <td><kbd>Ctrl</kbd> <kbd>Z</kbd></td>
          <td>undo; <kbd>Ctrl</kbd> <kbd>Y</kbd> does it again</td>
        </tr>
        <tr>
          <td><kbd>/</kbd></td>
          <td>on the mix: add a material; on lists: search</td>
        </tr>
        <tr>
          <td><kbd>↑</kbd> <kbd>↓</kbd></td>
          <td>on the mix: from part to part</td>
        </tr>
        <tr>
          <td><kbd>+</kbd> <kbd>−</kbd></td>
          <td>on a part: one measure more or less</td>
        </tr>
        <tr>
          <td><kbd>Delete</kbd></td>
          <td>on a part: take it out</td>
        </tr>
        <tr>
          <td><kbd>1</kbd> … <kbd>5</kbd></td>
          <td>on the mix: takes a next move</td>
        </tr>
        <tr>
          <td><kbd>?</kbd></td>
          <td>this list</td>
        </tr>
      </tbody>
    </table>
  </Dialog>
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
.bar {
  display: flex;
  align-items: center;
  gap: 18px;
  padding: 6px 20px;
  border-bottom: 1px solid var(--rule);
  min-height: 54px;
}
.brand {
  display: flex;
  align-items: center;
  gap: 8px;
  font: 600 1.25rem var(--slab);
  color: var(--ink);
  text-decoration: none;
  white-space: nowrap;
}
.places {
  display: flex;
  gap: 2px;
}
.places a {
  display: flex;
  align-items: center;
  gap: 7px;
  padding: 8px 12px;
  color: var(--ink);
  text-decoration: none;
  border-radius: 8px;
}
.places a:hover {
  background: var(--clay-wash);
}
.places .here {
  font-weight: 700;
  box-shadow: inset 0 -3px var(--clay);
  border-radius: 8px 8px 0 0;
}
.tools {
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 6px;
}
.which {
  font-size: 0.9rem;
  padding: 3px 10px;
  border-radius: 99px;
  border: 1px solid var(--edge);
  white-space: nowrap;
}
.which.demo {
  background: var(--straw-wash);
}
.switch {
  white-space: nowrap;
}
.alarm {
  margin: 0;
  background: var(--alarm-wash);
  border-bottom: 2px solid var(--alarm);
  padding: 10px 20px;
}
.alarm .p-button {
  margin-left: 10px;
}
@media (max-width: 760px) {
  .bar {
    padding: 4px 10px;
    gap: 6px;
  }
  .brand span {
    display: none;
  }
  .places {
    position: fixed;
    z-index: 10;
    inset: auto 0 0 0;
    background: var(--sheet);
    border-top: 1px solid var(--edge);
    justify-content: space-around;
    padding: 2px 4px env(safe-area-inset-bottom);
  }
  .places a {
    flex-direction: column;
    gap: 2px;
    font-size: 0.8rem;
    padding: 7px 6px 5px;
    min-width: 60px;
    min-height: 52px;
  }
  .places .here {
    box-shadow: inset 0 3px var(--clay);
    border-radius: 0;
  }
  .which {
    display: none;
  }
}
</style>
