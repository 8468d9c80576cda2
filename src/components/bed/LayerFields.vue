<script setup lang="ts">
/** What lies on the mix and under it, listed as it lies: the topmost first. */
import { common } from '@/text/base/common'
import { layerFields as says } from '@/text/components/bed'
import Button from 'primevue/button'
import { computed } from 'vue'
import { LAYER_KINDS } from '@/core/filling'
import { GARDEN_LIMITS } from '@/model/garden/limits'
import type { BedSpec, Layer } from '@/model/garden/schemas'
import type { Choice } from '@/text/base/choices'
import { LAYER_NAMES } from '@/text/base/labels'
import type { Sentence } from '@/text/base/problems.en'
import type { UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'

const { layers, cover, lip, materials, units, problem, coverProblem } = defineProps<{
  /** From the base up. */
  layers: Layer[]
  cover: BedSpec['cover']
  /** Lip left free above the mix, cm. */
  lip: number
  /** Every material a layer may be of. */
  materials: readonly Choice[]
  units: UnitSystem
  problem: Sentence | null
  coverProblem: Sentence | null
}>()
const emit = defineEmits<{ change: [change: Partial<Pick<BedSpec, 'layers' | 'cover'>>] }>()
const change = (list: Layer[]) => emit('change', { layers: list })

const OF = 'material '
const kinds = computed((): Choice[] => [
  ...LAYER_KINDS.map((value) => ({ value, label: LAYER_NAMES[value].one, words: [] })),
  ...materials.map((m) => ({ ...m, value: OF + m.value })),
])
const chosen = (layer: Layer) => (layer.kind === 'material' ? OF + layer.materialId : layer.kind)
const hint = (layer: Layer) => (layer.kind === 'material' ? '' : LAYER_NAMES[layer.kind].hint)
const shown = computed(() => layers.map((layer, index) => ({ layer, index })).reverse())
const USUAL = { layer: 3, cover: 3 }
const add = () => change([...layers, { kind: 'gravel', thickness: USUAL.layer }])
const set = (index: number, layer: Layer) => change(layers.map((l, i) => (i === index ? layer : l)))
function choose(index: number, value: string | null) {
  if (value === null) return
  const thickness = layers[index]!.thickness || USUAL.layer
  const kind = LAYER_KINDS.find((k) => k === value)
  if (kind) set(index, { kind, thickness: kind === 'cloth' ? 0 : thickness })
  else set(index, { kind: 'material', materialId: value.slice(OF.length), thickness })
}
const remove = (index: number) => change(layers.filter((_, i) => i !== index))
const setCover = (to: Partial<NonNullable<BedSpec['cover']>>) =>
  cover && emit('change', { cover: { ...cover, ...to } })
/** As thick as is usual, but no thicker than the lip takes. */
const addCover = () =>
  emit('change', {
    cover: {
      materialId: 'bark_mulch_shredded',
      thickness: lip > 1 ? Math.min(USUAL.cover, lip - 1) : USUAL.cover,
    },
  })
</script>

<template>
  <section class="layers" :aria-label="says.onTheMix">
    <div class="row">
      <h3>{{ says.onTheMix }}</h3>
      <Button v-if="!cover" :label="says.addACover" icon="pi pi-plus" size="small" text @click="addCover" />
    </div>
    <p v-if="!cover" class="soft">
      {{ says.nothingMulchClayAggregateOr }}
    </p>
    <div v-else class="layer">
      <ChoiceField
        :label="says.coveredWith"
        :model-value="cover.materialId"
        :options="materials"
        :search="common.searchMaterials"
        :none="common.noMaterialOfThatName"
        @update:model-value="$event && setCover({ materialId: $event })"
      />
      <QuantityField
        :label="says.thicknessOfTheCover"
        quantity="length"
        :units="units"
        :problem="coverProblem"
        :model-value="cover.thickness"
        :hint="says.inTheLipAboveThe"
        @update:model-value="setCover({ thickness: $event })"
      />
      <Button
        icon="pi pi-times"
        text
        :aria-label="says.takeOffTheCover"
        :title="says.takeItOff"
        @click="emit('change', { cover: null })"
      />
    </div>
  </section>
  <section class="layers" :aria-label="says.underTheMix">
    <div class="row">
      <h3>{{ says.underTheMix }}</h3>
      <Button
        :label="says.addALayer"
        icon="pi pi-plus"
        size="small"
        text
        :disabled="layers.length >= GARDEN_LIMITS.layers.value"
        :title="layers.length >= GARDEN_LIMITS.layers.value ? says.noMoreLayersThanThese : undefined"
        @click="add"
      />
    </div>
    <p v-if="layers.length === 0" class="soft">
      {{ says.nothingMixToTheBottom }}
    </p>
    <div v-for="{ layer, index } in shown" :key="index" class="layer">
      <ChoiceField
        :label="`Layer ${index + 1}`"
        :model-value="chosen(layer)"
        :options="kinds"
        :search="says.searchLayers"
        :none="says.noLayerOrMaterialOf"
        @update:model-value="choose(index, $event)"
      />
      <QuantityField
        v-if="layer.kind !== 'cloth'"
        :label="says.thicknessOfLayer(index + 1)"
        quantity="length"
        :units="units"
        :problem="index === layers.length - 1 ? problem : null"
        :model-value="layer.thickness"
        :hint="hint(layer)"
        @update:model-value="set(index, { ...layer, thickness: $event })"
      />
      <p v-else class="soft">{{ LAYER_NAMES.cloth.hint }}</p>
      <Button
        icon="pi pi-times"
        text
        :aria-label="says.takeOutLayer(index + 1)"
        :title="common.takeItOut"
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
  grid-template-columns: 1.2fr 1fr auto;
  gap: 10px;
  align-items: start;
  padding: 6px 0;
  border-top: 1px solid var(--rule);
}
.soft {
  margin: 4px 0;
  font-size: 0.9rem;
}
.layer > :last-child {
  margin-top: 24px;
}
</style>
