<script setup lang="ts">
/** A recipe by packs: one bale, four bags; half a bag is a pack's half. All of it is made. */
import { BELOW_NOTHING } from '@/text/base/belowNothing'
import { common } from '@/text/base/common'
import { packsDialog as words } from '@/text/components/bench'
import { computed, ref, watch } from 'vue'
import type { Material } from '@/core/data'
import type { Outcome } from '@/core/outcome'
import type { ByPacks, PackCount } from '@/model/mix/byPacks'
import { materialChoices } from '@/text/base/choices'
import { shortName } from '@/text/base/titles'
import { problemText } from '@/text/base/problems.en'
import { volumeText, type UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import DialogForm from '../frame/DialogForm.vue'
import DialogFrame from '../frame/DialogFrame.vue'

const { materials, inMix, packOf, work, units } = defineProps<{
  /** What can be added. */
  materials: readonly Material[]
  /** Ids of what is in the mix already. */
  inMix: readonly string[]
  /** How a pack of it is described: "107 L pressed bale gives 150 L". */
  packOf: (materialId: string) => string
  /** What so many packs come to. */
  work: (packs: readonly PackCount[]) => Outcome<ByPacks>
  units: UnitSystem
}>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ make: [answer: ByPacks] }>()

const packs = ref<PackCount[]>([])
watch(
  visible,
  (open) => {
    if (open) packs.value = inMix.map((materialId) => ({ materialId, count: 1 }))
  },
  { immediate: true },
)
const offered = computed(() =>
  materialChoices(materials.filter((m) => !packs.value.some((p) => p.materialId === m.id))),
)
const answer = computed(() => work(packs.value))
const wrong = (p: PackCount) =>
  p.count < 0 ? { ...BELOW_NOTHING, fix: 'Type 0 or more; 0.5 is half a pack.' } : null
const trouble = computed(() => (answer.value.ok ? null : problemText(answer.value.problem, units)))
const add = (id: string | null) => id && packs.value.push({ materialId: id, count: 1 })
function make() {
  if (!answer.value.ok) return
  emit('make', answer.value.value)
  visible.value = false
}
</script>

<template>
  <DialogFrame v-model:visible="visible" :header="words.aMixByPacks" width="34rem" writing>
    <DialogForm :keep="words.makeItSo" :sound="answer.ok" @keep="make" @cancel="visible = false">
      <p class="soft">{{ words.howManyPacksOfEach }}</p>
      <QuantityField
        v-for="p in packs"
        :key="p.materialId"
        v-model="p.count"
        :label="words.packsOf(shortName(p.materialId))"
        quantity="number"
        :units="units"
        :problem="wrong(p)"
        :hint="packOf(p.materialId)"
      />
      <ChoiceField
        :key="packs.length"
        :label="words.addAMaterial"
        hide-label
        :model-value="null"
        :options="offered"
        :placeholder="words.addAMaterial"
        :search="common.searchMaterials"
        :none="common.noMaterialOfThatName"
        @update:model-value="add"
      />
      <p role="status">
        <template v-if="answer.ok"
          >{{ words.makes }} <strong>{{ volumeText(answer.value.litres, units) }}</strong>
          {{ words.ofMix }}</template
        >
        <template v-else-if="trouble">{{ trouble.why }} {{ trouble.fix }}</template>
      </p>
    </DialogForm>
  </DialogFrame>
</template>
