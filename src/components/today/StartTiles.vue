<script setup lang="ts">
/** What a new job may fill: one press begins it. */
import { startTiles as words } from '@/text/components/today'
import { VESSEL_KINDS, type VesselKind } from '@/model/garden/schemas'
import { VESSEL_NAMES } from '@/text/bed/vessels'
import Button from 'primevue/button'
import VesselGlyph from '../VesselGlyph.vue'

const emit = defineEmits<{ start: [kind: VesselKind]; batch: [] }>()
</script>

<template>
  <section class="new" aria-labelledby="new-title">
    <div>
      <h2 id="new-title">{{ words.whatAreYouFilling }}</h2>
      <p class="soft">
        {{ words.chooseOneToStartA }}
      </p>
      <Button :label="words.justABatch" outlined @click="emit('batch')" />
    </div>
    <div class="tiles">
      <button
        v-for="kind in VESSEL_KINDS"
        :key="kind"
        type="button"
        class="tile"
        @click="emit('start', kind)"
      >
        <VesselGlyph :kind="kind" />
        <span><strong>{{ VESSEL_NAMES[kind].one }}</strong><small>{{ VESSEL_NAMES[kind].hint }}</small></span>
      </button>
    </div>
  </section>
</template>

<style scoped>
.new {
  display: grid;
  grid-template-columns: minmax(240px, 1fr) 2.4fr;
  gap: 24px;
  align-items: center;
  padding: 18px 0 24px;
  border-block: 1px solid var(--rule);
}
.tiles {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 12px;
}
.tile {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 6px;
  padding: 14px 8px;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  border-radius: var(--round);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
  text-align: center;
}
.tile:hover {
  background: var(--clay-wash);
  border-color: var(--clay);
}
.tile small {
  display: block;
}
@media (max-width: 760px) {
  .new {
    grid-template-columns: 1fr;
    gap: 14px;
  }
  .tiles {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
