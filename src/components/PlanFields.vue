<script setup lang="ts">
/** Bucket, scoop, tub, the allowance for settling, and which way to round. */
import { planFields as words } from '@/text/components/shared'
import { computed } from 'vue'
import type { Plan } from '@/model/garden/schemas'
import type { Sentence } from '@/text/base/problems.en'
import type { UnitSystem } from '@/text/base/units'
import { ROUNDING_NAMES } from '@/text/make/measures'
import CheckField from './field/CheckField.vue'
import ChoiceField from './field/ChoiceField.vue'
import QuantityField from './field/QuantityField.vue'

const { plan, units, beside, vessels } = defineProps<{
  plan: Plan
  units: UnitSystem
  beside: (field: string) => Sentence | null
  /** What it may be mixed in. */
  vessels: readonly { value: string; label: string; plan: Pick<Plan, 'vessel' | 'wholeVessel'> }[]
}>()
const emit = defineEmits<{ change: [plan: Partial<Plan>] }>()
const chosen = computed(
  () =>
    vessels.find((v) => v.plan.vessel === plan.vessel && v.plan.wholeVessel === plan.wholeVessel)?.value ??
    null,
)
const choose = (value: string | null) => {
  const found = vessels.find((v) => v.value === value)
  if (found) emit('change', found.plan)
}
</script>

<template>
  <div class="fields">
    <QuantityField
      :label="words.bucket"
      quantity="volume"
      :units="units"
      :problem="beside('bucket')"
      :model-value="plan.bucket"
      :hint="words.whatYouMeasureWithTo"
      @update:model-value="emit('change', { bucket: $event })"
    />
    <QuantityField
      :label="words.scoopOrJug"
      quantity="volume"
      :units="units"
      :problem="beside('scoop')"
      :model-value="plan.scoop"
      :hint="words.forWhatAQuarterBucket"
      @update:model-value="emit('change', { scoop: $event })"
    />
    <QuantityField
      :label="words.tubTarpOrBarrow"
      quantity="volume"
      :units="units"
      :problem="beside('vessel')"
      :model-value="plan.vessel"
      :hint="plan.wholeVessel ? words.filledToTheBrim : words.brimFullTwoThirdsIs"
      @update:model-value="emit('change', { vessel: $event })"
    />
    <div class="vessel">
      <ChoiceField
        :label="words.mixedIn"
        :model-value="chosen"
        :options="vessels"
        :placeholder="words.somethingElse"
        :hint="words.orABagAtA"
        @update:model-value="choose"
      />
      <CheckField
        :label="words.theVesselIsTheMeasure"
        :model-value="plan.wholeVessel"
        @update:model-value="emit('change', { wholeVessel: $event })"
      />
    </div>
    <QuantityField
      :label="words.allowanceForSettling"
      quantity="percent"
      :units="units"
      :problem="beside('settling')"
      :model-value="plan.settling"
      :hint="words.from5To10GoesWhen"
      @update:model-value="emit('change', { settling: $event })"
    />
    <ChoiceField
      :label="words.wholeMeasuresGive"
      :model-value="plan.rounding"
      :options="ROUNDING_NAMES"
      @update:model-value="$event && emit('change', { rounding: $event })"
    />
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 14px;
}
.vessel {
  display: grid;
  gap: 8px;
  font-size: 0.9rem;
}
@media (max-width: 600px) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
