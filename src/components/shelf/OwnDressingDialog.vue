<script setup lang="ts">
/** A feed or lime of the grower's own, from its label. */
import { LIMES } from '@/core/data'
import { LONGEST_NAME, LONGEST_NOTE } from '@/model/garden/limits'
import { dressingOfOwn } from '@/model/garden/ownRows'
import type { OwnDressingRecord } from '@/model/garden/schemas'
import { usualDoseText } from '@/text/doses'
import { ACID_NAMES, dressingFacts, GRIND_NAMES, OWN_KINDS, USUAL } from '@/text/own'
import type { UnitSystem } from '@/text/units'
import ChoiceField from '../field/ChoiceField.vue'
import NoteField from '../field/NoteField.vue'
import QuantityField from '../field/QuantityField.vue'
import TextField from '../field/TextField.vue'
import DialogFrame from '../frame/DialogFrame.vue'
import OwnButtons from './OwnButtons.vue'
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

const { draft, row, trouble, beside, whole } = useOwnDraft(
  () => dressing,
  dressingOfOwn,
  () => units,
  'My feed',
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
function save(retired?: boolean) {
  const own = whole(retired)
  if (own) emit('save', own)
}
function copy() {
  const own = whole()
  if (own) emit('copy', own)
}
</script>

<template>
  <DialogFrame
    :visible="dressing !== null"
    header="A feed or lime of your own"
    writing
    @update:visible="emit('close')"
  >
    <form v-if="draft" class="form" @submit.prevent="save()">
      <TextField
        v-model="draft.name"
        label="What you call it"
        focused
        :most="LONGEST_NAME"
        placeholder="My all-round feed"
      />
      <ChoiceField
        label="Kind"
        :model-value="draft.kind"
        :options="OWN_KINDS"
        @update:model-value="$event && (draft.kind = $event)"
      />
      <div v-if="draft.kind === 'lime'" class="pair">
        <ChoiceField
          label="A kind of"
          :model-value="draft.limeLike"
          :options="limes"
          @update:model-value="setLike"
        />
        <QuantityField
          v-model="draft.neutralizing"
          label="Neutralizing value"
          quantity="percent"
          :units="units"
          :problem="beside('calciumCarbonateEquivalent')"
          hint="calcium carbonate equivalent, from the bag"
        />
        <ChoiceField
          label="How fine"
          :model-value="draft.grind ?? USUAL"
          :options="GRIND_NAMES"
          @update:model-value="draft.grind = $event === USUAL ? null : $event"
        />
      </div>
      <div v-else class="three" role="group" aria-label="The three numbers on the bag">
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
          label="Lasts, months on the label"
          quantity="number"
          :units="units"
          :problem="beside('longevityMonths')"
        />
        <ChoiceField
          v-if="draft.kind === 'soluble'"
          label="Its nitrogen"
          :model-value="draft.acidForming ? 'acid' : 'neutral'"
          :options="ACID_NAMES"
          @update:model-value="draft.acidForming = $event === 'acid'"
        />
        <QuantityField
          label="A cupful weighs, grams"
          quantity="number"
          :units="units"
          :model-value="draft.weighed?.grams ?? 0"
          :problem="beside('weighedGrams')"
          hint="for spoons and cups; 0 for unknown"
          @update:model-value="setWeighed({ grams: $event })"
        />
        <QuantityField
          v-if="draft.weighed"
          label="The cup holds, mL"
          quantity="number"
          :units="units"
          :model-value="draft.weighed.millilitres"
          :problem="beside('weighedMillilitres')"
          @update:model-value="setWeighed({ millilitres: $event })"
        />
      </div>
      <NoteField v-model="draft.note" label="Where it came from" :rows="1" :most="LONGEST_NOTE" />
      <p role="status">
        <span v-if="trouble" class="said wrong"
          ><strong>{{ trouble.why }}</strong> {{ trouble.fix }}</span
        >
        <template v-else-if="row?.ok"
          >{{ dressingFacts(row.value) }}; {{ usualDoseText(row.value, units) }}. How it gives up its food and
          what it does to pH are estimated from its kin.</template
        >
      </p>
      <OwnButtons
        :sound="row?.ok ?? false"
        :listed="listed"
        :retired="draft.retired"
        @cancel="emit('close')"
        @copy="copy"
        @retire="save(!draft.retired)"
      />
    </form>
  </DialogFrame>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
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
