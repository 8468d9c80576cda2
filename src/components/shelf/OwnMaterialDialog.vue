<script setup lang="ts">
/** A material of the grower's own: what is known of it, and what that makes it. */
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import { MATERIALS, type MaterialFamily } from '@/core/data'
import { LONGEST_NAME, LONGEST_NOTE } from '@/model/garden/limits'
import { materialOfOwn } from '@/model/garden/ownRows'
import type { OwnMaterialRecord } from '@/model/garden/schemas'
import { FAMILY_NAMES } from '@/text/materials'
import { FEELS, ownMaterialText, USUAL, WETNESS_NAMES } from '@/text/own'
import { problemField, problemText } from '@/text/problems.en'
import type { UnitSystem } from '@/text/units'
import ChoiceField from '../field/ChoiceField.vue'
import NoteField from '../field/NoteField.vue'
import QuantityField from '../field/QuantityField.vue'
import TextField from '../field/TextField.vue'
import DialogFrame from '../frame/DialogFrame.vue'

const { material, units, listed } = defineProps<{
  /** To begin from; null while the dialog is shut. */
  material: OwnMaterialRecord | null
  units: UnitSystem
  /** It is on the shelf already: it can be copied and retired. */
  listed: boolean
}>()
const emit = defineEmits<{
  save: [material: OwnMaterialRecord]
  copy: [material: OwnMaterialRecord]
  close: []
}>()

/** A copy that shares nothing: what is written in the dialog is no record yet. */
const copyOf = (of: OwnMaterialRecord): OwnMaterialRecord =>
  JSON.parse(JSON.stringify(of)) as OwnMaterialRecord
const draft = ref<OwnMaterialRecord | null>(null)
watch(
  () => material,
  (now) => (draft.value = now && copyOf(now)),
  { immediate: true },
)
const families = Object.entries(FAMILY_NAMES).map(([value, label]) => ({
  value: value as MaterialFamily,
  label,
}))
const kin = computed(() => [
  { value: USUAL, label: 'a mean of its kind' },
  ...MATERIALS.filter((m) => m.family === draft.value?.family).map((m) => ({ value: m.id, label: m.name })),
])
function setFamily(family: MaterialFamily | null) {
  if (draft.value && family) draft.value = { ...draft.value, family, likeId: null }
}

const row = computed(() => draft.value && materialOfOwn(draft.value))
const wrong = computed(() => (row.value && !row.value.ok ? row.value.problem : null))
const trouble = computed(() => wrong.value && problemText(wrong.value, units))
const beside = (...fields: string[]) =>
  wrong.value && fields.includes(problemField(wrong.value) ?? '') ? trouble.value : null
/** Nought in a field says that nobody knows. */
const orNull = (x: number) => (x === 0 ? null : x)
function setBucket(change: Partial<NonNullable<OwnMaterialRecord['bucket']>>) {
  if (!draft.value) return
  const next = { litres: units === 'us' ? 18.93 : 10, kg: 0, ...draft.value.bucket, ...change }
  draft.value.bucket = next.kg === 0 ? null : next
}
const whole = () => draft.value && { ...draft.value, name: draft.value.name.trim() || 'My material' }
function save(retired?: boolean) {
  const own = whole()
  if (own && row.value?.ok) emit('save', copyOf({ ...own, retired: retired ?? own.retired }))
}
</script>

<template>
  <DialogFrame
    :visible="material !== null"
    header="A material of your own"
    width="52rem"
    writing
    @update:visible="emit('close')"
  >
    <form v-if="draft" class="form" @submit.prevent="save()">
      <div class="three">
        <TextField
          v-model="draft.name"
          label="What you call it"
          focused
          :most="LONGEST_NAME"
          placeholder="My garden compost"
        />
        <ChoiceField
          label="Kind"
          :model-value="draft.family"
          :options="families"
          @update:model-value="setFamily"
        />
        <ChoiceField
          label="Most like"
          :model-value="draft.likeId ?? USUAL"
          :options="kin"
          @update:model-value="draft.likeId = $event === USUAL ? null : $event"
        />
      </div>
      <div class="three">
        <QuantityField
          label="A bucketful weighs"
          quantity="weight"
          :units="units"
          :model-value="draft.bucket?.kg ?? 0"
          :problem="beside('bucketKg', 'moistBulkDensityAsBought')"
          hint="without the bucket; 0 for unknown"
          @update:model-value="setBucket({ kg: $event })"
        />
        <QuantityField
          v-if="draft.bucket"
          label="The bucket holds"
          quantity="volume"
          :units="units"
          :model-value="draft.bucket.litres"
          :problem="beside('bucketLitres')"
          @update:model-value="setBucket({ litres: $event })"
        />
        <ChoiceField
          v-if="draft.bucket"
          label="As weighed it was"
          :model-value="draft.wetness"
          :options="WETNESS_NAMES"
          @update:model-value="$event && (draft.wetness = $event)"
        />
        <ChoiceField
          label="In the hand it is"
          :model-value="draft.feel ?? USUAL"
          :options="FEELS"
          @update:model-value="draft.feel = $event === USUAL ? null : $event"
        />
        <QuantityField
          label="pH"
          quantity="number"
          :units="units"
          :model-value="draft.pH ?? 0"
          :problem="beside('pH')"
          hint="0 for unknown"
          @update:model-value="draft.pH = orNull($event)"
        />
        <QuantityField
          label="Salts (EC), dS/m"
          quantity="number"
          :units="units"
          :model-value="draft.salts ?? 0"
          :problem="beside('electricalConductivity')"
          hint="of a saturated extract; 0 for unknown"
          @update:model-value="draft.salts = orNull($event)"
        />
        <QuantityField
          v-model="draft.screenedOut"
          label="Thrown out on screening"
          quantity="percent"
          :units="units"
          :problem="beside('screenedOut')"
          hint="more is bought to make up for it"
        />
      </div>
      <NoteField v-model="draft.note" label="Where it came from" :rows="1" :most="LONGEST_NOTE" />
      <p role="status">
        <span v-if="trouble" class="said wrong"
          ><strong>{{ trouble.why }}</strong> {{ trouble.fix }}</span
        >
        <template v-else-if="row?.ok">{{ ownMaterialText(row.value, units) }}</template>
      </p>
      <div class="row">
        <Button type="submit" label="Keep" :disabled="!row?.ok" />
        <Button type="button" label="Cancel" outlined @click="emit('close')" />
        <template v-if="listed">
          <Button type="button" label="Copy" text @click="emit('copy', copyOf(draft))" />
          <Button
            type="button"
            :label="draft.retired ? 'Offer it again' : 'Offer it no more'"
            text
            @click="save(!draft.retired)"
          />
        </template>
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
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 12px;
}
@media (max-width: 560px) {
  .three {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
