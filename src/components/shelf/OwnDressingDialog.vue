<script setup lang="ts">
/** A feed or lime of the grower's own, from its label. */
import { common } from '@/text/base/common'
import { ownDressingDialog as words } from '@/text/components/shelf'
import { LIMES } from '@/core/data'
import { LONGEST_NAME } from '@/model/garden/limits'
import { dressingOfOwn } from '@/model/garden/ownRows'
import type { OwnDressingRecord } from '@/model/garden/schemas'
import { usualDoseText } from '@/text/mix/doses'
import { ACID_NAMES, dressingFacts, GRIND_NAMES, OWN_KINDS, USUAL } from '@/text/shelf/own'
import type { UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import TextField from '../field/TextField.vue'
import OwnFrame from './OwnFrame.vue'
import { useOwnDraft } from './useOwnDraft'

const { dressing, units, listed } = defineProps<{
  /** To begin from; null while the dialog is shut. */
  dressing: OwnDressingRecord | null
  units: UnitSystem
  /** It is on the shelf already: it can be copied and retired. */
  listed: boolean
}>()
const emit = defineEmits<{
  save: [dressing: OwnDressingRecord]
  copy: [dressing: OwnDressingRecord]
  close: []
}>()

const { draft, row, trouble, beside, kept } = useOwnDraft(
  () => dressing,
  dressingOfOwn,
  () => units,
  words.myFeed,
)
const limes = LIMES.map((l) => ({ value: l.id, label: l.name }))
const NUMBERS = [
  { key: 'nitrogen', label: 'N' },
  { key: 'phosphate', label: 'P (P₂O₅)' },
  { key: 'potash', label: 'K (K₂O)' },
] as const
function setLike(id: string | null) {
  const lime = LIMES.find((l) => l.id === id)
  if (draft.value && lime)
    draft.value = {
      ...draft.value,
      limeLike: lime.id,
      neutralizing: lime.calciumCarbonateEquivalent.value,
    }
}
function setWeighed(change: Partial<NonNullable<OwnDressingRecord['weighed']>>) {
  if (!draft.value) return
  const next = { millilitres: units === 'us' ? 236.6 : 250, grams: 0, ...draft.value.weighed, ...change }
  draft.value.weighed = next.grams === 0 ? null : next
}
const save = (retired?: boolean) => kept(retired, (own) => emit('save', own))
const copy = () => kept(undefined, (own) => emit('copy', own))
</script>

<template>
  <OwnFrame
    v-model="draft"
    :header="common.aFeedOrLimeOf"
    :trouble="trouble"
    :says="row?.ok ? words.howItGivesUpIts(dressingFacts(row.value), usualDoseText(row.value, units)) : ''"
    :sound="row?.ok ?? false"
    :listed="listed"
    @save="save()"
    @copy="copy"
    @retire="draft && save(!draft.retired)"
    @close="emit('close')"
  >
    <template v-if="draft">
      <TextField
        v-model="draft.name"
        :label="common.whatYouCallIt"
        focused
        :most="LONGEST_NAME"
        :placeholder="words.myAllRoundFeed"
      />
      <ChoiceField
        :label="common.kind"
        :model-value="draft.kind"
        :options="OWN_KINDS"
        @update:model-value="$event && (draft.kind = $event)"
      />
      <div v-if="draft.kind === 'lime'" class="pair">
        <ChoiceField
          :label="words.aKindOf"
          :model-value="draft.limeLike"
          :options="limes"
          @update:model-value="setLike"
        />
        <QuantityField
          v-model="draft.neutralizing"
          :label="words.neutralizingValue"
          quantity="percent"
          :units="units"
          :problem="beside('calciumCarbonateEquivalent')"
          :hint="words.calciumCarbonateEquivalentFromThe"
        />
        <ChoiceField
          :label="words.howFine"
          :model-value="draft.grind ?? USUAL"
          :options="GRIND_NAMES"
          @update:model-value="draft.grind = $event === USUAL ? null : $event"
        />
      </div>
      <div v-else class="three" role="group" :aria-label="words.theThreeNumbersOnThe">
        <QuantityField
          v-for="n in NUMBERS"
          :key="n.key"
          v-model="draft.label[n.key]"
          :label="n.label"
          quantity="number"
          :units="units"
          :problem="n.key === 'nitrogen' ? beside('label') : null"
        />
      </div>
      <div class="pair">
        <QuantityField
          v-if="draft.kind === 'coated'"
          v-model="draft.months"
          :label="words.lastsMonthsOnTheLabel"
          quantity="number"
          :units="units"
          :problem="beside('longevityMonths')"
        />
        <ChoiceField
          v-if="draft.kind === 'soluble'"
          :label="words.itsNitrogen"
          :model-value="draft.acidForming ? 'acid' : 'neutral'"
          :options="ACID_NAMES"
          @update:model-value="draft.acidForming = $event === 'acid'"
        />
        <QuantityField
          :label="words.aCupfulWeighsGrams"
          quantity="number"
          :units="units"
          :model-value="draft.weighed?.grams ?? 0"
          :problem="beside('weighedGrams')"
          :hint="words.forSpoonsAndCups0"
          @update:model-value="setWeighed({ grams: $event })"
        />
        <QuantityField
          v-if="draft.weighed"
          :label="words.theCupHoldsMl"
          quantity="number"
          :units="units"
          :model-value="draft.weighed.millilitres"
          :problem="beside('weighedMillilitres')"
          @update:model-value="setWeighed({ millilitres: $event })"
        />
      </div>
    </template>
  </OwnFrame>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 12px;
}
@media (max-width: 560px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
