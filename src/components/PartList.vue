<script setup lang="ts">
/**
 * The recipe as parts. Plus and minus by the chosen measure; up and down move from part to part, plus, minus and Delete
 * work on the part in hand.
 */
import { partList as words } from '@/text/components/shared'
import { nextTick, ref } from 'vue'
import { vTextContent } from '@/composables/page/vTextContent'
import { measureText } from '@/core/mixing'
import type { Material } from '@/core/data'
import { percentText } from '@/text/base/units'
import MaterialSwatch from './MaterialSwatch.vue'

const { parts, stepText, readParts } = defineProps<{
  /** A finished mix has several materials, and says what is in it. */
  parts: {
    id: string
    materials: Material[]
    twelfths: number
    share: number
    name: string
    says: string
  }[]
  stepText: string
  /** Twelfths of a part that a text says; null where it says none. */
  readParts: (text: string) => number | null
}>()
const emit = defineEmits<{
  change: [materialId: string, direction: 1 | -1]
  remove: [materialId: string]
  /** A number typed in, twelfths. */
  set: [materialId: string, twelfths: number]
  /** A plus or minus looked at; null when the eye has gone on. */
  preview: [change: { materialId: string; direction: 1 | -1 } | null]
}>()
const look = (materialId: string, direction: 1 | -1) => ({
  onPointerenter: () => emit('preview', { materialId, direction }),
  onPointerleave: () => emit('preview', null),
  onFocus: () => emit('preview', { materialId, direction }),
  onBlur: () => emit('preview', null),
})

/** What is typed for a part: a number of parts, or a volume in buckets; what cannot be read goes back. */
function typed(id: string, input: HTMLInputElement, was: number) {
  const twelfths = readParts(input.value)
  if (twelfths === null) input.value = measureText(was)
  else emit('set', id, twelfths)
}

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
    emit('change', part.id, 1)
  } else if (event.key === '-') {
    event.preventDefault()
    emit('change', part.id, -1)
    if (!row?.isConnected) await move(index)
  } else if (event.key === 'Delete' || event.key === 'Backspace') {
    event.preventDefault()
    emit('remove', part.id)
    await move(index)
  }
}
</script>

<template>
  <div ref="list" class="parts">
    <div
      v-for="(part, index) in parts"
      :key="part.id"
      data-part
      class="part"
      tabindex="0"
      role="group"
      :aria-label="`${part.name}, ${measureText(part.twelfths)} ${part.twelfths === 12 ? 'part' : 'parts'}`"
      @keydown="onKey($event, index)"
    >
      <span class="look"
        ><MaterialSwatch
          v-for="m in part.materials.slice(0, 3)"
          :key="m.id"
          :material="m"
          :size="part.materials.length > 1 ? 22 : 36"
      /></span>
      <span class="name">
        {{ part.name }}
        <small v-text-content="`${percentText(part.share)} by measure`" />
      </span>
      <span class="stepper">
        <button
          type="button"
          :aria-label="words.less(stepText, part.name)"
          v-bind="look(part.id, -1)"
          @click="emit('change', part.id, -1)"
        >
          −
        </button>
        <input
          class="figure"
          :value="measureText(part.twelfths)"
          :aria-label="words.partsOf(part.name)"
          autocomplete="off"
          @focus="($event.target as HTMLInputElement).select()"
          @keydown.stop
          @keydown.enter="($event.target as HTMLInputElement).blur()"
          @change="typed(part.id, $event.target as HTMLInputElement, part.twelfths)"
        />
        <button
          type="button"
          :aria-label="words.more(stepText, part.name)"
          v-bind="look(part.id, 1)"
          @click="emit('change', part.id, 1)"
        >
          +
        </button>
      </span>
      <small v-if="part.says" class="says">{{ part.says }}</small>
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
.look {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  width: 46px;
}
.name {
  line-height: 1.2;
}
.says {
  grid-column: 1 / -1;
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
  width: 44px;
  height: 44px;
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
.stepper input {
  width: 3.4rem;
  height: 44px;
  padding: 0;
  border: 1.5px solid transparent;
  border-radius: 9px;
  background: none;
  color: var(--ink);
  font: inherit;
  font-variant-numeric: tabular-nums;
}
.stepper input:hover,
.stepper input:focus {
  border-color: var(--edge);
  background: var(--sheet);
}
.stepper input {
  min-width: 2.5rem;
  text-align: center;
  font-size: 1.3rem;
}
</style>
