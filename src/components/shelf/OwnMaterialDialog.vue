<script setup lang="ts">
/** A material of the grower's own: what is known of it, and what that makes it. */
import { common } from '@/text/base/common'
import { ownMaterialDialog as words } from '@/text/components/shelf'
import { computed } from 'vue'
import { MATERIALS, type MaterialFamily } from '@/core/data'
import { LONGEST_NAME } from '@/model/garden/limits'
import { materialOfOwn } from '@/model/garden/ownRows'
import type { OwnMaterialRecord } from '@/model/garden/schemas'
import { FAMILY_NAMES } from '@/text/shelf/materials'
import { FEELS, ownMaterialText, USUAL, WETNESS_NAMES } from '@/text/shelf/own'
import type { UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import TextField from '../field/TextField.vue'
import OwnFrame from './OwnFrame.vue'
import { useOwnDraft } from './useOwnDraft'

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

const { draft, row, trouble, beside, kept } = useOwnDraft(
  () => material,
  materialOfOwn,
  () => units,
  words.myMaterial,
)
const families = Object.entries(FAMILY_NAMES).map(([value, label]) => ({
  value: value as MaterialFamily,
  label,
}))
const kin = computed(() => [
  { value: USUAL, label: words.aMeanOfItsKind },
  ...MATERIALS.filter((m) => m.family === draft.value?.family).map((m) => ({ value: m.id, label: m.name })),
])
function setFamily(family: MaterialFamily | null) {
  if (draft.value && family) draft.value = { ...draft.value, family, likeId: null }
}

/** An empty field says that nobody knows. */
const orNull = (x: number) => (Number.isNaN(x) ? null : x)
function setBucket(change: Partial<NonNullable<OwnMaterialRecord['bucket']>>) {
  if (!draft.value) return
  const next = { litres: units === 'us' ? 18.93 : 10, kg: NaN, ...draft.value.bucket, ...change }
  draft.value.bucket = Number.isNaN(next.kg) ? null : next
}
const save = (retired?: boolean) => kept(retired, (own) => emit('save', own))
const copy = () => kept(undefined, (own) => emit('copy', own))
</script>

<template>
  <OwnFrame
    v-model="draft"
    :header="common.aMaterialOfYourOwn"
    width="52rem"
    :trouble="trouble"
    :says="row?.ok ? ownMaterialText(row.value, units) : ''"
    :sound="row?.ok ?? false"
    :listed="listed"
    @save="save()"
    @copy="copy"
    @retire="draft && save(!draft.retired)"
    @close="emit('close')"
  >
    <template v-if="draft">
      <div class="three">
        <TextField
          v-model="draft.name"
          :label="common.whatYouCallIt"
          focused
          :most="LONGEST_NAME"
          :placeholder="words.myGardenCompost"
        />
        <ChoiceField
          :label="common.kind"
          :model-value="draft.family"
          :options="families"
          @update:model-value="setFamily"
        />
        <ChoiceField
          :label="words.mostLike"
          :model-value="draft.likeId ?? USUAL"
          :options="kin"
          @update:model-value="draft.likeId = $event === USUAL ? null : $event"
        />
      </div>
      <div class="three">
        <QuantityField
          :label="words.aBucketfulWeighs"
          quantity="weight"
          :units="units"
          :model-value="draft.bucket?.kg ?? NaN"
          optional
          :problem="beside('bucketKg', 'moistBulkDensityAsBought')"
          :hint="words.withoutTheBucket0For"
          @update:model-value="setBucket({ kg: $event })"
        />
        <QuantityField
          v-if="draft.bucket"
          :label="words.theBucketHolds"
          quantity="volume"
          :units="units"
          :model-value="draft.bucket.litres"
          :problem="beside('bucketLitres')"
          @update:model-value="setBucket({ litres: $event })"
        />
        <ChoiceField
          v-if="draft.bucket"
          :label="words.asWeighedItWas"
          :model-value="draft.wetness"
          :options="WETNESS_NAMES"
          @update:model-value="$event && (draft.wetness = $event)"
        />
        <ChoiceField
          :label="words.inTheHandItIs"
          :model-value="draft.feel ?? USUAL"
          :options="FEELS"
          @update:model-value="draft.feel = $event === USUAL ? null : $event"
        />
        <QuantityField
          :label="common.ph"
          quantity="number"
          :units="units"
          :model-value="draft.pH ?? NaN"
          optional
          :problem="beside('pH')"
          :hint="words.from0ForUnknown"
          @update:model-value="draft.pH = orNull($event)"
        />
        <QuantityField
          :label="words.saltsEcDsM"
          quantity="number"
          :units="units"
          :model-value="draft.salts ?? NaN"
          optional
          :problem="beside('electricalConductivity')"
          :hint="words.ofASaturatedExtract0"
          @update:model-value="draft.salts = orNull($event)"
        />
        <QuantityField
          v-model="draft.screenedOut"
          :label="words.thrownOutOnScreening"
          quantity="percent"
          :units="units"
          :problem="beside('screenedOut')"
          :hint="words.moreIsBoughtToMake"
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
  .three {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
