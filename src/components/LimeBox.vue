<script setup lang="ts">
/** Lime for the mix: to a pH, so many grams, or none; of which lime. */
import { cropInText } from '@/text/base/cropInText'
import { common } from '@/text/base/common'
import { limeBox as words } from '@/text/components/shared'
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Evaluation } from '@/core/evaluate'
import { isDose } from '@/core/amounts'
import type { Dressing, Tables } from '@/core/data'
import { limesByShare } from '@/model/mix/prepareRecipe'
import type { AmountSetting } from '@/model/amounts/amount'
import type { LimeSetting } from '@/model/garden/schemas'
import { limeCaution } from '@/text/base/cautions'
import { limeChoice, limeChoices, limeOfChoice } from '@/text/base/choices'
import { doseInHand } from '@/text/make/measures'
import type { Sentence } from '@/text/base/problems.en'
import { doseText, pHText, type UnitSystem } from '@/text/base/units'
import AmountField from './field/AmountField.vue'
import ChoiceField from './field/ChoiceField.vue'
import SwitchField from './field/SwitchField.vue'
import QuantityField from './field/QuantityField.vue'
import FoldBox from './frame/FoldBox.vue'

const { rows, tables, setting, lime, evaluation, dose, premixed, litres, offer, units, cropName, beside } =
  defineProps<{
    /** Dressings to choose from, limes among them. */
    rows: readonly Dressing[]
    tables: Tables
    /** What its amount is counted in. */
    setting: AmountSetting
    lime: LimeSetting
    evaluation: Evaluation | null
    /** Lime to add, g per litre of mix; null where it cannot be worked out. */
    dose: number | null
    /** Lime that finished mixes bring already, g per litre of mix. */
    premixed: number
    /** Mix the job makes, for grams in all; null where that is not known. */
    litres: number | null
    /** Lime the mix lacks though none is given, g per litre and the pH it brings; null where none. */
    offer: { gramsPerLitre: number; target: number } | null
    units: UnitSystem
    cropName: string | null
    beside: (field: string) => Sentence | null
  }>()
const emit = defineEmits<{ change: [lime: Partial<LimeSetting>] }>()

const MODES: { value: LimeSetting['mode']; label: string }[] = [
  { value: 'toTarget', label: words.toAPh },
  { value: 'fixed', label: words.byWeight },
  { value: 'none', label: 'None' },
]
/** The dose, and what it brings: what is under the fold. */
const limeSays = computed(() =>
  dose !== null && isDose(dose)
    ? `${doseText(dose, units)}${lime.mode === 'toTarget' ? `, ${words.toPh(pHText(lime.target))}` : ''}`
    : common.none,
)
const isWrong = computed(() => beside('limeTarget') !== null || beside('limeGramsPerLitre') !== null)
const choices = computed(() => limeChoices(rows, lime))
const chosen = computed({
  get: () => limeChoice(lime.limeId, lime.dolomiteShare),
  set: (value) => emit('change', limeOfChoice(value)),
})
/** Each lime as it is weighed or spooned. */
const doses = computed(() =>
  dose === null || !isDose(dose)
    ? []
    : limesByShare(lime.dolomiteShare, tables, lime.limeId)
        .filter((c) => c.share > 0)
        .map((c) => ({
          name: c.lime.name,
          inHand: doseInHand(dose * c.share, c.lime.bulkDensity.value, litres, units),
        })),
)
</script>

<template>
  <section class="lime" aria-labelledby="lime-title">
    <h2 id="lime-title" class="visually-hidden">{{ words.lime }}</h2>
    <div v-if="offer">
      <Button
        :label="words.giveOfLime(doseText(offer.gramsPerLitre, units))"
        icon="pi pi-plus"
        size="small"
        outlined
        @click="emit('change', { mode: 'toTarget', target: offer.target })"
      />
      <p class="soft">{{ words.toBringItToPh(pHText(offer.target)) }}</p>
    </div>
    <FoldBox id="lime" :title="words.lime" :says="limeSays" :needed="isWrong">
      <div class="stack">
        <SwitchField
          :model-value="lime.mode"
          :options="MODES"
          labelled-by="lime-title"
          @update:model-value="emit('change', { mode: $event })"
        />
        <QuantityField
          v-if="lime.mode === 'toTarget'"
          :label="words.phWantedInSixWeeks"
          quantity="number"
          :units="units"
          :problem="beside('limeTarget')"
          :model-value="lime.target"
          :hint="cropName ? words.wellWithinWhatLikesUnless(cropInText(cropName)) : words.mostVegetables60To"
          @update:model-value="emit('change', { target: $event })"
        />
        <AmountField
          v-else-if="lime.mode === 'fixed'"
          :label="words.amountOfLime"
          :dose="lime.gramsPerLitre"
          :said="lime.measure ?? null"
          :setting="setting"
          :problem="beside('limeGramsPerLitre')"
          @set="(gramsPerLitre, measure) => emit('change', { gramsPerLitre, measure })"
        />
        <ChoiceField
          v-if="lime.mode !== 'none'"
          v-model="chosen"
          :label="words.whichLime"
          :options="choices"
          :search="words.searchLimes"
          :none="words.noLimeOfThatName"
        />
        <p v-if="lime.mode !== 'none' && limeCaution(lime.limeId)" class="warn">
          <i class="pi pi-exclamation-triangle" aria-hidden="true" /> {{ limeCaution(lime.limeId) }}
        </p>
        <ul v-if="doses.length" class="plain doses">
          <li v-for="d in doses" :key="d.name">{{ d.name }}: {{ d.inHand }}</li>
        </ul>
        <p v-if="evaluation" class="soft">
          {{ words.withoutLimeTheMixIs(pHText(evaluation.blend.pH)) }}
          <template v-if="isDose(premixed)">{{
            words.theFinishedMixInIt(doseText(premixed, units))
          }}</template>
          <template v-if="dose !== null && isDose(dose) && lime.dolomiteShare > 0">{{
            words.dolomiteBringsMagnesiumAndWorks
          }}</template>
        </p>
      </div>
    </FoldBox>
  </section>
</template>

<style scoped>
.lime {
  margin-top: 16px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.lime .row {
  justify-content: space-between;
}
.doses {
  font-size: 0.92rem;
}
p.warn {
  padding: 6px 10px;
  border-left: 6px solid var(--straw);
  border-radius: 4px;
  background: var(--straw-wash);
  color: var(--ink);
}
.figure {
  font-size: 1.2rem;
}
p {
  margin: 0;
  font-size: 0.92rem;
}
.lime :deep(.p-selectbutton) {
  width: fit-content;
}
</style>
