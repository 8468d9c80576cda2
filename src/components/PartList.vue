<script setup lang="ts">
/**
 * The recipe as parts. Plus and minus by the chosen measure; up and down move from part to part, plus, minus and Delete
 * work on the part in hand.
 */
import { nextTick, ref } from 'vue'
import { measureText } from '@/core/mixing'
import type { Material } from '@/core/data'
import { percentText } from '@/text/units'
import MaterialSwatch from './MaterialSwatch.vue'

const { parts, stepText } = defineProps<{
  parts: { material: Material; twelfths: number; share: number; name: string }[]
  stepText: string
}>()
const emit = defineEmits<{ change: [materialId: string, direction: 1 | -1]; remove: [materialId: string] }>()

const list = ref<HTMLElement | null>(null)
const rows = () => [...(list.value?.querySelectorAll<HTMLElement>('[data-part]') ?? [])]

async function onKey(event: KeyboardEvent, index: number) {
  const part = parts[index]!
  const row = rows()[index]
  const move = async (to: number) => {
    await nextTick()
    rows()[Math.max(0, Math.min(rows().length - 1, to))]?.focus()
  }
  if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
    event.preventDefault()
    await move(index + (event.key === 'ArrowDown' ? 1 : -1))
  } else if (event.key === '+' || event.key === '=') {
    event.preventDefault()
    emit('change', part.material.id, 1)
  } else if (event.key === '-') {
    event.preventDefault()
    emit('change', part.material.id, -1)
    if (!row?.isConnected) await move(index)
  } else if (event.key === 'Delete' || event.key === 'Backspace') {
    event.preventDefault()
    emit('remove', part.material.id)
    await move(index)
  }
}
</script>

<template>
  <div ref="list" class="parts">
    <div
      v-for="(part, index) in parts"
      :key="part.material.id"
      data-part
      class="part"
      tabindex="0"
      role="group"
      :aria-label="`${part.name}, ${measureText(part.twelfths)} ${part.twelfths === 12 ? 'part' : 'parts'}`"
      @keydown="onKey($event, index)"
    >
      <MaterialSwatch :material="part.material" />
      <span class="name">
        {{ part.name }}
        <small>{{ percentText(part.share) }} by measure</small>
      </span>
      <span class="stepper">
        <button
          type="button"
          :aria-label="`${stepText} less ${part.name}`"
          @click="emit('change', part.material.id, -1)"
        >
          −
        </button>
        <output class="figure">{{ measureText(part.twelfths) }}</output>
        <button
          type="button"
          :aria-label="`${stepText} more ${part.name}`"
          @click="emit('change', part.material.id, 1)"
        >
          +
        </button>
      </span>
    </div>
  </div>
</template>

<style scoped>
.part {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 10px;
  align-items: center;
  padding: 6px 4px;
  border-bottom: 1px solid var(--rule);
  border-radius: 4px;
}
.name {
  line-height: 1.2;
}
.name small {
  display: block;
}
.stepper {
  display: flex;
  align-items: center;
  gap: 4px;
}
.stepper button {
  width: 42px;
  height: 42px;
  border: 1.5px solid var(--edge);
  border-radius: 9px;
  background: var(--sheet);
  color: var(--ink);
  font: 600 1.35rem/1 var(--text);
  cursor: pointer;
}
.stepper button:hover {
  border-color: var(--clay);
  background: var(--clay-wash);
}
.stepper output {
  min-width: 2.5rem;
  text-align: center;
  font-size: 1.3rem;
}
</style>
