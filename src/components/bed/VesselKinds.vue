<script setup lang="ts">
/** What kind of container or bed it is, one picture each. */
import { common } from '@/text/base/common'
import { VESSEL_KINDS, type VesselKind } from '@/model/garden/schemas'
import { VESSEL_NAMES } from '@/text/bed/vessels'
import VesselGlyph from '../VesselGlyph.vue'

const kind = defineModel<VesselKind>({ required: true })
</script>

<template>
  <fieldset>
    <legend>{{ common.shape }}</legend>
    <label v-for="k in VESSEL_KINDS" :key="k" class="kind" :class="{ on: k === kind }">
      <input v-model="kind" type="radio" name="kind" :value="k" />
      <VesselGlyph :kind="k" />
      <span>{{ VESSEL_NAMES[k].one }}</span>
    </label>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px;
}
legend {
  font-weight: 600;
  font-size: 0.95rem;
  padding: 0;
  margin-bottom: 4px;
}
.kind {
  position: relative;
  display: flex;
  flex-direction: column;
  align-items: center;
  text-align: center;
  gap: 2px;
  padding: 6px 4px;
  border: 1.5px solid var(--edge);
  border-radius: var(--round);
  background: var(--sheet);
  cursor: pointer;
  font-size: 0.88rem;
  line-height: 1.15;
}
.kind :deep(.vessel) {
  width: 48px;
  height: 42px;
}
.kind.on {
  border-color: var(--clay);
  box-shadow: inset 0 0 0 2px var(--clay);
  font-weight: 600;
}
input {
  position: absolute;
  opacity: 0;
  inset: 0;
  width: 100%;
  height: 100%;
  cursor: pointer;
}
.kind:has(:focus-visible) {
  outline: 3px solid var(--focus);
  outline-offset: 2px;
}
</style>
