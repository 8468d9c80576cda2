<script setup lang="ts">
/** What a label lists, in its order, with the shares it names. Changes the list in place: it is the dialog's draft. */
import { common } from '@/text/base/common'
import { ingredientList as words } from '@/text/components/bench'
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Material } from '@/core/data'
import { GARDEN_LIMITS } from '@/model/garden/limits'
import type { Bag } from '@/model/garden/schemas'
import { materialChoices } from '@/text/base/choices'
import { shortName } from '@/text/base/titles'
import type { UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'

const list = defineModel<Bag['ingredients']>({ required: true })
const { rows, units } = defineProps<{ rows: readonly Material[]; units: UnitSystem }>()

const MOST = GARDEN_LIMITS.ingredients.value
const offered = computed(() => {
  const taken = new Set(list.value.map((i) => i.materialId))
  return materialChoices(rows.filter((m) => m.family !== 'mix' && !taken.has(m.id)))
})
const add = (materialId: string | null) =>
  materialId && (list.value = [...list.value, { materialId, share: null }].slice(0, MOST))
const setShare = (at: number, share: number) =>
  (list.value = list.value.map((one, i) => (i === at ? { ...one, share: share === 0 ? null : share } : one)))
const remove = (at: number) => (list.value = list.value.filter((_, i) => i !== at))
function move(from: number, by: 1 | -1) {
  const next = [...list.value]
  next.splice(from + by, 0, ...next.splice(from, 1))
  list.value = next
}
</script>

<template>
  <fieldset>
    <legend>{{ words.whatIsInItIn }}</legend>
    <ol v-if="list.length" class="plain">
      <li v-for="(one, i) in list" :key="one.materialId">
        <span class="name">{{ shortName(one.materialId) }}</span>
        <QuantityField
          :label="words.shareOf(shortName(one.materialId))"
          hide-label
          quantity="percent"
          :units="units"
          :model-value="one.share ?? 0"
          @update:model-value="setShare(i, $event)"
        />
        <span class="moves">
          <Button
            icon="pi pi-arrow-up"
            text
            size="small"
            :disabled="i === 0"
            :aria-label="words.earlier(shortName(one.materialId))"
            @click="move(i, -1)"
          />
          <Button
            icon="pi pi-arrow-down"
            text
            size="small"
            :disabled="i === list.length - 1"
            :aria-label="words.later(shortName(one.materialId))"
            @click="move(i, 1)"
          />
          <Button
            icon="pi pi-times"
            text
            size="small"
            :aria-label="words.takeOut(shortName(one.materialId))"
            @click="remove(i)"
          />
        </span>
      </li>
    </ol>
    <p class="soft">{{ words.theShareWhereTheLabel }}</p>
    <ChoiceField
      v-if="list.length < MOST"
      :label="words.addAnIngredient"
      hide-label
      :model-value="null"
      :options="offered"
      :placeholder="words.addWhatItListsNext"
      :search="common.searchMaterials"
      :none="common.noMaterialOfThatName"
      @update:model-value="add"
    />
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 1px solid var(--rule);
  border-radius: var(--round);
  padding: 8px 12px 12px;
  margin: 0;
}
legend {
  font-weight: 600;
  font-size: 0.95rem;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 7.5rem auto;
  gap: 8px;
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
.moves {
  display: flex;
}
p {
  margin: 4px 0;
}
@media (max-width: 560px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 6px 0;
  }
  .name {
    grid-column: 1 / -1;
  }
}
</style>
