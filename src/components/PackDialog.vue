<script setup lang="ts">
/** How a material is bought, what it costs and how much is on hand. */
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import { looseLitresOfPack } from '@/core/batch'
import type { Material, Pack } from '@/core/data'
import type { ShelfItem } from '@/model/garden/schemas'
import { belowNothing, packSizeProblem } from '@/text/fields'
import { volumeText, type UnitSystem } from '@/text/units'
import ChoiceField from './field/ChoiceField.vue'
import QuantityField from './field/QuantityField.vue'
import DialogFrame from './frame/DialogFrame.vue'

const { material, item, units } = defineProps<{
  material: Material | null
  item: ShelfItem | null
  units: UnitSystem
}>()
const emit = defineEmits<{ save: [item: ShelfItem]; close: [] }>()

const KINDS = [
  { value: 'loose', label: 'Loose, by volume' },
  { value: 'compressed', label: 'Pressed bale, by volume' },
  { value: 'block', label: 'Dry block, by weight' },
  { value: 'mass', label: 'Loose, by weight' },
] satisfies { value: Pack['kind']; label: string }[]

const kind = ref<Pack['kind']>('loose')
const size = ref(50)
const price = ref(0)
const stock = ref(0)

watch(
  () => item,
  (now) => {
    if (!now) return
    kind.value = now.pack.kind
    size.value = 'litres' in now.pack ? now.pack.litres : now.pack.kg
    price.value = now.price ?? 0
    stock.value = now.stock
  },
  { immediate: true },
)

const byWeight = computed(() => kind.value === 'block' || kind.value === 'mass')
const pack = computed<Pack>(() =>
  kind.value === 'block' || kind.value === 'mass'
    ? { kind: kind.value, kg: size.value }
    : { kind: kind.value, litres: size.value },
)
const sizeProblem = computed(() => packSizeProblem(size.value))
const priceProblem = computed(() => belowNothing(price.value))
const stockProblem = computed(() => belowNothing(stock.value))
const sound = computed(() => !sizeProblem.value && !priceProblem.value && !stockProblem.value)
const gives = computed(() =>
  material && !sizeProblem.value ? looseLitresOfPack(material, pack.value) : null,
)

function save() {
  if (!material || !sound.value) return
  emit('save', {
    materialId: material.id,
    pack: pack.value,
    price: price.value > 0 ? price.value : null,
    stock: stock.value,
  })
  emit('close')
}
</script>

<template>
  <DialogFrame
    :visible="material !== null"
    :header="material?.name ?? ''"
    width="30rem"
    @update:visible="emit('close')"
  >
    <form class="form" @submit.prevent="save">
      <ChoiceField
        label="How it is sold"
        :model-value="kind"
        :options="KINDS"
        @update:model-value="$event && (kind = $event)"
      />
      <QuantityField
        v-model="size"
        :label="byWeight ? 'Weight of a pack' : 'Volume on the label'"
        :quantity="byWeight ? 'weight' : 'bagVolume'"
        :units="units"
        :problem="sizeProblem"
        :hint="gives === null ? '' : `gives about ${volumeText(gives, units)} loose`"
      />
      <QuantityField
        v-model="price"
        label="Price of a pack"
        quantity="number"
        :units="units"
        :problem="priceProblem"
        hint="in your money; 0 for unknown"
      />
      <QuantityField
        v-model="stock"
        label="On hand, loose"
        quantity="volume"
        :units="units"
        :problem="stockProblem"
        hint="used before anything is bought"
      />
      <div class="row">
        <Button type="submit" label="Keep" :disabled="!sound" />
        <Button type="button" label="Cancel" outlined @click="emit('close')" />
      </div>
    </form>
  </DialogFrame>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
</style>
