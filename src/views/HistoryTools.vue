<script setup lang="ts">
/** Undo, redo and how saving goes: apart from the page's frame, for they change with every press. */
import { historyTools as words } from '@/text/views/historyTools'
import { computed, shallowRef, watch } from 'vue'
import SaveNotice from '@/components/SaveNotice.vue'
import { useDelayedByFrame } from '@/composables/page/useDelayedByFrame'
import { useGarden } from '@/stores/garden'

const garden = useGarden()
/** A frame after what was pressed: what came of it is shown first. */
const now = useDelayedByFrame(computed(() => ({ undo: garden.undoLabel, redo: garden.redoLabel })))
/** Two frames after it changed, and never later, however many edits follow: the figures under the hand come first. */
const status = shallowRef(garden.status)
const inTwoFrames = (then: () => void) => requestAnimationFrame(() => requestAnimationFrame(then))
watch(
  () => garden.status,
  () => inTwoFrames(() => (status.value = garden.status)),
)
</script>

<template>
  <button
    type="button"
    class="tool"
    :disabled="!now.undo"
    :aria-label="now.undo ? words.undo(now.undo) : words.undo2"
    :title="now.undo ? words.undoCtrlZ(now.undo) : words.nothingToUndo"
    @click="garden.undo()"
  >
    <i class="pi pi-undo" aria-hidden="true" />
  </button>
  <button
    type="button"
    class="tool"
    :disabled="!now.redo"
    :aria-label="now.redo ? words.redo(now.redo) : words.redo2"
    :title="now.redo ? words.redoCtrlY(now.redo) : words.nothingToRedo"
    @click="garden.redo()"
  >
    <i class="pi pi-refresh" aria-hidden="true" />
  </button>
  <SaveNotice v-if="garden.opening.state === 'open'" :status="status" />
</template>

<style scoped>
.tool {
  width: 42px;
  height: 42px;
  border: 0;
  border-radius: 8px;
  background: none;
  color: var(--clay);
  font-size: 1rem;
  cursor: pointer;
}
.tool:hover:enabled {
  background: var(--clay-wash);
}
.tool:disabled {
  opacity: 0.6;
  cursor: default;
}
</style>
