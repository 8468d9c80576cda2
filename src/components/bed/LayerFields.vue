<script setup lang="ts">
/** What lies under the mix, listed as it lies: the topmost first. */
import Button from 'primevue/button'
import { computed } from 'vue'
import { LAYER_KINDS, type LayerKind } from '@/core/filling'
import { GARDEN_LIMITS } from '@/model/garden/limits'
import type { BedSpec } from '@/model/garden/schemas'
import { LAYER_NAMES } from '@/text/labels'
import type { Sentence } from '@/text/problems.en'
import type { UnitSystem } from '@/text/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'

const { layers, units, problem } = defineProps<{
  /** From the base up. */
  layers: BedSpec['layers']
  units: UnitSystem
  problem: Sentence | null
}>()
const emit = defineEmits<{ change: [layers: BedSpec['layers']] }>()

const kinds = LAYER_KINDS.map((value) => ({ value, label: LAYER_NAMES[value].one }))
const shown = computed(() => layers.map((layer, index) => ({ layer, index })).reverse())
const add = () => emit('change', [...layers, { kind: 'gravel', thickness: 3 }])
const set = (index: number, change: Partial<BedSpec['layers'][number]>) =>
  emit(
    'change',
    layers.map((l, i) => (i === index ? { ...l, ...change } : l)),
  )
const setKind = (index: number, kind: LayerKind) =>
  set(index, { kind, thickness: kind === 'cloth' ? 0 : layers[index]!.thickness || 3 })
const remove = (index: number) =>
  emit(
    'change',
    layers.filter((_, i) => i !== index),
  )
</script>

<template>
  <section class="layers" aria-label="Under the mix">
    <div class="row">
      <h3>Under the mix</h3>
      <Button
        label="Add a layer"
        icon="pi pi-plus"
        size="small"
        text
        :disabled="layers.length >= GARDEN_LIMITS.layers.value"
        :title="layers.length >= GARDEN_LIMITS.layers.value ? 'No more layers than these' : undefined"
        @click="add"
      />
    </div>
    <p v-if="layers.length === 0" class="soft">
      Nothing: mix to the bottom. Gravel there does not improve drainage; logs save mix in a deep bed and let
      it down later.
    </p>
    <div v-for="{ layer, index } in shown" :key="index" class="layer">
      <ChoiceField
        :label="`Layer ${index + 1} from the base`"
        hide-label
        :model-value="layer.kind"
        :options="kinds"
        @update:model-value="$event && setKind(index, $event)"
      />
      <QuantityField
        v-if="layer.kind !== 'cloth'"
        :label="`Thickness of layer ${index + 1}`"
        quantity="length"
        :units="units"
        :problem="index === layers.length - 1 ? problem : null"
        :model-value="layer.thickness"
        :hint="LAYER_NAMES[layer.kind].hint"
        @update:model-value="set(index, { thickness: $event })"
      />
      <p v-else class="soft">{{ LAYER_NAMES.cloth.hint }}</p>
      <Button
        icon="pi pi-times"
        text
        :aria-label="`Take out layer ${index + 1}`"
        title="Take it out"
        @click="remove(index)"
      />
    </div>
  </section>
</template>

<style scoped>
.row {
  justify-content: space-between;
}
h3 {
  margin: 0;
}
.layer {
  display: grid;
  grid-template-columns: 1fr 1.2fr auto;
  gap: 10px;
  align-items: end;
  padding: 6px 0;
  border-top: 1px solid var(--rule);
}
.soft {
  margin: 4px 0;
  font-size: 0.9rem;
}
</style>
