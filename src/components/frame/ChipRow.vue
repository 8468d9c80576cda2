<script setup lang="ts">
/** One of several cards to look at: batches, beds; of very many, a counter with a step back and on. */
import Button from 'primevue/button'
import { common } from '@/text/base/common'
import { vRoving } from '@/composables/page/vRoving'

const { chips, chosen, label } = defineProps<{
  chips: readonly { label: string; name?: string; done: boolean }[]
  /** Its index. */
  chosen: number
  label: string
}>()
const emit = defineEmits<{ choose: [index: number] }>()
/** More chips than this are a counter. */
const MANY = 12
</script>

<template>
  <div v-if="chips.length > MANY" class="row no-print counter" role="group" :aria-label="label">
    <Button
      icon="pi pi-chevron-left"
      text
      :aria-label="common.previous"
      :disabled="chosen === 0"
      @click="emit('choose', chosen - 1)"
    />
    <strong>{{ common.of(chips[chosen]?.name ?? chosen + 1, chips.length) }}</strong>
    <Button
      icon="pi pi-chevron-right"
      text
      :aria-label="common.nextOne"
      :disabled="chosen === chips.length - 1"
      @click="emit('choose', chosen + 1)"
    />
    <span class="soft">{{ common.countDone(chips.filter((c) => c.done).length) }}</span>
    <slot />
  </div>
  <div v-else class="row no-print chips">
    <div v-roving class="row few" role="toolbar" :aria-label="label">
      <button
        v-for="(chip, i) in chips"
        :key="i"
        type="button"
        class="chip"
        :class="{ on: i === chosen, done: chip.done }"
        :aria-pressed="i === chosen"
        :aria-label="chip.name ? `${chip.name}${chip.done ? ', done' : ''}` : undefined"
        @click="emit('choose', i)"
      >
        {{ chip.label }}<span v-if="chip.done" :aria-hidden="chip.name ? true : undefined"> ✓</span>
      </button>
    </div>
    <slot />
  </div>
</template>

<style scoped>
.chips {
  gap: 6px 20px;
  margin-bottom: 12px;
  max-height: 130px;
  overflow-y: auto;
}
.few {
  gap: 6px;
}
.chip {
  min-width: 44px;
  min-height: 44px;
  padding: 0 10px;
  border: 1.5px solid var(--edge);
  border-radius: 9px;
  background: var(--sheet);
  color: var(--ink);
  font: 600 1rem var(--text);
  cursor: pointer;
}
.chip.done {
  color: var(--leaf);
}
.chip.on {
  border-color: var(--clay);
  box-shadow: inset 0 0 0 2px var(--clay);
}
</style>
