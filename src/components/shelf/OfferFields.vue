<script setup lang="ts">
/** One way a material is sold: the pack, what it gives, its price, where and when. */
import { common } from '@/text/base/common'
import { offerFields as words } from '@/text/components/shelf'
import { computed } from 'vue'
import { looseLitresOfPack } from '@/core/batch'
import type { Material, Pack } from '@/core/data'
import { LONGEST_NAME } from '@/model/garden/limits'
import { ofKind, packOf, sizeOf, type OfferDraft } from '@/model/garden/offerDraft'
import { offerProblems, PACK_KINDS } from '@/text/shelf/packs'
import { volumeText, type UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import TextField from '../field/TextField.vue'

const { material, units } = defineProps<{ material: Material; units: UnitSystem }>()
const draft = defineModel<OfferDraft>({ required: true })
const set = (change: Partial<OfferDraft>) => (draft.value = { ...draft.value, ...change })

const size = computed(() => sizeOf(draft.value.kind))
const problems = computed(() => offerProblems(draft.value))
const swells = computed(() => draft.value.kind === 'compressed' || draft.value.kind === 'block')
const ofTable = computed(() =>
  problems.value.size
    ? ''
    : volumeText(looseLitresOfPack(material, packOf({ ...draft.value, gives: 0 })), units),
)
const isOwn = computed(() => draft.value.kind === 'own')
</script>

<template>
  <ChoiceField
    :label="words.howItIsSold"
    :model-value="draft.kind"
    :options="PACK_KINDS"
    @update:model-value="$event && (draft = ofKind(draft, $event as Pack['kind']))"
  />
  <p v-if="isOwn" class="soft">{{ words.takenAsMuchAsIs }}</p>
  <template v-else>
    <QuantityField
      v-if="size === 'kg'"
      :model-value="draft.kg"
      :label="common.weightOfAPack"
      quantity="weight"
      :units="units"
      :problem="problems.size"
      :hint="swells || !ofTable ? '' : words.givesAboutLoose(ofTable)"
      @update:model-value="set({ kg: $event })"
    />
    <QuantityField
      v-else
      :model-value="draft.litres"
      :label="draft.kind === 'bulk' ? words.soldByThe : words.volumeOnTheLabel"
      :quantity="draft.kind === 'bulk' ? 'bulkVolume' : 'bagVolume'"
      :units="units"
      :problem="problems.size"
      @update:model-value="set({ litres: $event })"
    />
    <QuantityField
      v-if="swells"
      :model-value="draft.gives"
      :label="words.givesLoose"
      quantity="volume"
      :units="units"
      :problem="problems.gives"
      :hint="ofTable && words.asTheLabelSays0(ofTable)"
      @update:model-value="set({ gives: $event })"
    />
    <div class="pair">
      <QuantityField
        :model-value="draft.price"
        :label="draft.kind === 'bulk' ? words.priceOfSoMuch : common.priceOfAPack"
        quantity="number"
        :units="units"
        :problem="problems.price"
        optional
        :hint="common.inYourMoney0For"
        @update:model-value="set({ price: $event })"
      />
      <QuantityField
        v-if="draft.kind === 'bulk'"
        :model-value="draft.delivery"
        :label="words.delivery"
        quantity="number"
        :units="units"
        :problem="problems.delivery"
        :hint="words.onceHoweverMuchComes"
        @update:model-value="set({ delivery: $event })"
      />
    </div>
    <div class="pair">
      <TextField
        :model-value="draft.place"
        :label="common.where"
        :most="LONGEST_NAME"
        :hint="common.aShopAYard"
        @update:model-value="set({ place: $event })"
      />
      <TextField
        :model-value="draft.seenOn"
        :label="words.priceSeenOn"
        type="date"
        :problem="problems.seenOn"
        @update:model-value="set({ seenOn: $event })"
      />
    </div>
  </template>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 12px;
}
</style>
