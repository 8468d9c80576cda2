<script setup lang="ts">
/** A measure ran short, or something else went in: what this batch becomes by that, and the ones after it. */
import { otherwiseDialog as words } from '@/text/components/make'
import { computed, ref, watch } from 'vue'
import type { OtherwiseAnswer } from '@/model/make/asMade'
import type { CardLine } from '@/model/make/batchCard'
import { lineName } from '@/text/make/making'
import { belowNothing } from '@/text/base/belowNothing'
import { volumeText, type UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import SwitchField from '../field/SwitchField.vue'
import DialogForm from '../frame/DialogForm.vue'
import DialogFrame from '../frame/DialogFrame.vue'

const { measures, materials, says, isLast, units } = defineProps<{
  /** Measures of this batch as planned. */
  measures: readonly Extract<CardLine, { kind: 'measure' }>[]
  /** What may go in instead. */
  materials: readonly { value: string; label: string }[]
  /** What the answer makes of the batch and of the whole, in sentences. */
  says: (answer: OtherwiseAnswer) => readonly string[]
  /** No batches come after it. */
  isLast: boolean
  units: UnitSystem
}>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ keep: [answer: OtherwiseAnswer] }>()

const ONWARD = [
  { value: 'planned', label: words.asPlannedIGetMore },
  { value: 'same', label: words.theSameWay },
] as const
const NOTHING = 'nothing'

const materialId = ref('')
const litres = ref(0)
const insteadId = ref<string>(NOTHING)
const insteadLitres = ref(0)
const onward = ref<'planned' | 'same'>('planned')

const options = computed(() => measures.map((m) => ({ value: m.id, label: lineName(m) })))
const planned = computed(() => measures.find((m) => m.id === materialId.value)?.litres ?? 0)
const others = computed(() => [
  { value: NOTHING, label: 'Nothing' },
  ...materials.filter((m) => m.value !== materialId.value),
])
watch(visible, (open) => {
  if (!open) return
  materialId.value = measures[0]?.id ?? ''
  litres.value = 0
  insteadId.value = NOTHING
  onward.value = 'planned'
})
// What goes in for it makes up the measure until the grower says otherwise.
watch([planned, litres, insteadId], () => (insteadLitres.value = Math.max(0, planned.value - litres.value)))

const answer = computed((): OtherwiseAnswer => ({
  materialId: materialId.value,
  litres: litres.value,
  instead:
    insteadId.value !== NOTHING && insteadLitres.value > 0
      ? { materialId: insteadId.value, litres: insteadLitres.value }
      : null,
  onward: onward.value === 'same',
}))
const problems = computed(() => ({
  litres: belowNothing(litres.value),
  instead: belowNothing(insteadLitres.value),
}))
const sound = computed(() => !problems.value.litres && !problems.value.instead && materialId.value !== '')
const sentences = computed(() => (visible.value && sound.value ? says(answer.value) : []))
function keep() {
  if (!sound.value) return
  emit('keep', answer.value)
  visible.value = false
}
</script>

<template>
  <DialogFrame v-model:visible="visible" :header="words.ranShortOrSomethingElse" width="32rem" writing>
    <DialogForm :keep="words.reckonWithThat" :sound="sound" @keep="keep" @cancel="visible = false">
      <ChoiceField
        :label="words.whichMeasure"
        :model-value="materialId"
        :options="options"
        @update:model-value="$event && (materialId = $event)"
      />
      <QuantityField
        v-model="litres"
        :label="words.howMuchOfItWent"
        quantity="volume"
        :units="units"
        :problem="problems.litres"
        :hint="words.planned(volumeText(planned, units))"
      />
      <ChoiceField
        :label="words.inItsPlace"
        :model-value="insteadId"
        :options="others"
        :search="words.searchTheMaterials"
        :none="words.noSuchMaterial"
        @update:model-value="insteadId = $event ?? NOTHING"
      />
      <QuantityField
        v-if="insteadId !== NOTHING"
        v-model="insteadLitres"
        :label="words.howMuchOfThat"
        quantity="volume"
        :units="units"
        :problem="problems.instead"
      />
      <SwitchField v-if="!isLast" v-model="onward" :options="ONWARD" :label="words.theBatchesAfterThisOne" />
      <div class="says" aria-live="polite">
        <p v-for="s in sentences" :key="s">{{ s }}</p>
      </div>
    </DialogForm>
  </DialogFrame>
</template>

<style scoped>
.says p {
  margin: 0 0 4px;
}
</style>
