<script setup lang="ts">
/** How much acid brings a water to a pH: for a can and for a tank, with the cautions at hand. */
import { yourWaterView as words } from '@/text/views/yourWaterView'
import { computed, ref } from 'vue'
import { acidForWater, type WaterAcid } from '@/core/chemistry'
import { WATER_TREATMENT_LIMITS } from '@/core/irrigation'
import { cautionById } from '@/text/base/cautions'
import { numberText } from '@/text/base/counted'
import { waterText, type UnitSystem } from '@/text/base/units'
import { acidAdds, acidAmount, ACID_NAMES, acidOf } from '@/text/water/acids'
import CautionList from '../CautionList.vue'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'

const { alkalinity, can, units } = defineProps<{
  /** meq/L of the water. */
  alkalinity: number
  /** Litres of the can. */
  can: number
  units: UnitSystem
}>()
const ACIDS = (['sulfuric35', 'phosphoric75', 'citric'] as const).map((value) => ({
  value: value as WaterAcid['id'],
  label: ACID_NAMES[value],
}))
const AIMS = [5.8, 6, 6.2, 6.5].map((value) => ({ value, label: String(value) }))
const id = ref<WaterAcid['id']>('sulfuric35')
const toPH = ref<number>(WATER_TREATMENT_LIMITS.toPH.value)
/** A tank of ten cans, until another is typed. */
const tank = ref(10 * can)
const acid = computed(() => ({ id: id.value, toPH: toPH.value }))
const dose = computed(() => acidForWater(acidOf(id.value), alkalinity, toPH.value))
const amounts = computed(() =>
  [
    { name: words.can, litres: can },
    { name: words.tank, litres: tank.value },
  ].map(({ name, litres }) => ({
    name: `${name}, ${waterText(litres, units)}`,
    amount: acidAmount(acid.value, { alkalinity, litres }, units),
  })),
)
const muchPhosphate = computed(
  () =>
    id.value === 'phosphoric75' &&
    alkalinity - dose.value.left > WATER_TREATMENT_LIMITS.mostForPhosphoric.value,
)
const CAUTIONS = [cautionById('waterAcid')]
</script>

<template>
  <CautionList :heading="words.before" :cautions="CAUTIONS" />
  <div class="pair">
    <ChoiceField
      :label="words.acidFor"
      :model-value="id"
      :options="ACIDS"
      @update:model-value="$event && (id = $event)"
    />
    <ChoiceField
      :label="words.acidTo"
      :model-value="toPH"
      :options="AIMS"
      @update:model-value="$event && (toPH = $event)"
    />
    <QuantityField v-model="tank" :label="words.tank" quantity="volume" :units="units" />
  </div>
  <div role="status">
    <ul class="plain amounts">
      <li v-for="a in amounts" :key="a.name">{{ a.name }}: <strong>{{ a.amount }}</strong></li>
    </ul>
  </div>
  <p>{{ words.acidLeaves(`${numberText(dose.left, 1)} meq/L`) }} {{ acidAdds(acid, alkalinity) }}</p>
  <p v-if="muchPhosphate" class="warn">{{ words.tooMuchPhosphate }}</p>
  <p v-if="id === 'citric'">{{ words.citric }}</p>
</template>

<style scoped>
.pair {
  margin-top: 10px;
}
.amounts {
  font-size: 1.1rem;
}
.warn {
  color: var(--alarm);
}
@media (max-width: 760px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
