<script setup lang="ts">
/** How a feed or lime is bought, what it costs and how much is on hand. */
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import type { Dressing } from '@/core/data'
import type { DressingPack } from '@/model/garden/schemas'
import { belowNothing, packSizeProblem } from '@/text/fields'
import type { UnitSystem } from '@/text/units'
import QuantityField from '../field/QuantityField.vue'
import DialogFrame from '../frame/DialogFrame.vue'

const { dressing, item, units } = defineProps<{
  /** Null while the dialog is shut. */
  dressing: Dressing | null
  item: DressingPack | null
  units: UnitSystem
}>()
const emit = defineEmits<{ save: [item: DressingPack]; close: [] }>()

const kg = ref(1)
const price = ref(0)
const stock = ref(0)
watch(
  () => item,
  (now) => {
    if (!now) return
    kg.value = now.kg
    price.value = now.price ?? 0
    stock.value = now.stock
  },
  { immediate: true },
)
const sizeProblem = computed(() => packSizeProblem(kg.value))
const priceProblem = computed(() => belowNothing(price.value))
const stockProblem = computed(() => belowNothing(stock.value))
const sound = computed(() => !sizeProblem.value && !priceProblem.value && !stockProblem.value)
function save() {
  if (!dressing || !sound.value) return
  emit('save', {
    dressingId: dressing.id,
    kg: kg.value,
    price: price.value > 0 ? price.value : null,
    stock: stock.value,
  })
  emit('close')
}
</script>

<template>
  <DialogFrame
    :visible="dressing !== null"
    :header="dressing?.name ?? ''"
    width="30rem"
    @update:visible="emit('close')"
  >
    <form class="form" @submit.prevent="save">
      <QuantityField
        v-model="kg"
        label="Weight of a pack"
        quantity="weight"
        :units="units"
        :problem="sizeProblem"
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
        label="On hand"
        quantity="weight"
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
