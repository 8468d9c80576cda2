<script setup lang="ts">
/** The bar over every page: the places, undo and redo, and which garden this is. */
import { appBar as words } from '@/text/components/app'
import Button from 'primevue/button'

const { places, garden } = defineProps<{
  places: readonly { name: string; label: string; icon: string; here: boolean }[]
  garden: 'my' | 'demo'
}>()
const emit = defineEmits<{ switch: []; help: [] }>()
</script>

<template>
  <header class="bar no-print">
    <RouterLink class="brand" :aria-label="words.openBedToToday" :to="{ name: 'today', params: { garden } }">
      <img src="/icon.svg" alt="" width="30" height="30" /><span>{{ words.openBed }}</span>
    </RouterLink>
    <nav class="places" :aria-label="words.places">
      <RouterLink
        v-for="place in places"
        :key="place.name"
        :to="{ name: place.name, params: { garden } }"
        :class="{ here: place.here }"
        :aria-current="place.here ? 'page' : undefined"
      >
        <i class="pi" :class="place.icon" aria-hidden="true" /><span>{{ place.label }}</span>
      </RouterLink>
    </nav>
    <div class="tools">
      <slot />
      <button
        type="button"
        class="help"
        :aria-label="words.help"
        :title="words.help"
        aria-keyshortcuts="?"
        @click="emit('help')"
      >
        <i class="pi pi-question-circle" aria-hidden="true" />
      </button>
      <span class="which" :class="garden">{{ garden === 'demo' ? words.demoGarden : words.myGarden }}</span>
      <Button
        class="switch"
        outlined
        size="small"
        :aria-label="garden === 'demo' ? words.goToMyGarden : words.lookAtTheDemo"
        @click="emit('switch')"
      >
        <span class="p-button-label long">{{
          garden === 'demo' ? words.goToMyGarden : words.lookAtTheDemo
        }}</span>
        <span class="p-button-label short">{{ garden === 'demo' ? words.myGarden : words.demo }}</span>
      </Button>
    </div>
  </header>
</template>

<style scoped>
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
.help {
  width: 44px;
  height: 44px;
  border: 0;
  border-radius: 8px;
  background: none;
  color: var(--clay);
  font-size: 1.05rem;
  cursor: pointer;
}
.help:hover {
  background: var(--clay-wash);
}
.short {
  display: none;
}
.switch {
  white-space: nowrap;
}
@media (max-width: 760px) {
  .bar {
    padding: 4px 10px;
    gap: 6px;
  }
  .short {
    display: inline;
  }
  .long,
  .brand span,
  .which {
    display: none;
  }
  .tools {
    gap: 0;
  }
  .switch {
    padding-inline: 8px;
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
    padding: 7px 2px 5px;
    flex: 1;
    min-width: 0;
    min-height: 52px;
  }
  .places .here {
    box-shadow: inset 0 3px var(--clay);
    border-radius: 0;
  }
}
@media (max-width: 370px) {
  .bar {
    flex-wrap: wrap;
    row-gap: 0;
  }
}
</style>
