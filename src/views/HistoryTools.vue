<script setup lang="ts">
/** Undo, redo and how saving stands: apart from the page's frame, for they change with every press. */
import SaveNotice from '@/components/SaveNotice.vue'
import { useGarden } from '@/stores/garden'

const garden = useGarden()
</script>

<template>
  <button
    type="button"
    class="tool"
    :disabled="!garden.undoLabel"
    :aria-label="garden.undoLabel ? `Undo ${garden.undoLabel}` : 'Undo'"
    :title="garden.undoLabel ? `Undo ${garden.undoLabel} (Ctrl+Z)` : 'Nothing to undo'"
    @click="garden.undo()"
  >
    <i class="pi pi-undo" aria-hidden="true" />
  </button>
  <button
    type="button"
    class="tool"
    :disabled="!garden.redoLabel"
    :aria-label="garden.redoLabel ? `Redo ${garden.redoLabel}` : 'Redo'"
    :title="garden.redoLabel ? `Redo ${garden.redoLabel} (Ctrl+Y)` : 'Nothing to redo'"
    @click="garden.redo()"
  >
    <i class="pi pi-refresh" aria-hidden="true" />
  </button>
  <SaveNotice :status="garden.status" />
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
