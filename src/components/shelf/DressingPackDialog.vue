<script setup lang="ts">
/** How a feed or lime is bought, what it costs and how much is on hand. */
import { common } from '@/text/base/common'
import { dressingPackDialog as words } from '@/text/components/shelf'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { whenOpened } from '@/composables/page/whenOpened'
import type { Dressing } from '@/core/data'
import { GARDEN_LIMITS, LONGEST_NAME } from '@/model/garden/limits'
import type { DressingPack } from '@/model/garden/schemas'
import { dressingOffers } from '@/model/garden/shelfEntry'
import { belowNothing } from '@/text/base/belowNothing'
import { packSizeProblem } from '@/text/base/fields'
import type { UnitSystem } from '@/text/base/units'
import QuantityField from '../field/QuantityField.vue'
import TextField from '../field/TextField.vue'
import DialogForm from '../frame/DialogForm.vue'
import DialogFrame from '../frame/DialogFrame.vue'

const { dressing, item, units } = defineProps<{
  /** Null while the dialog is shut. */
  dressing: Dressing | null
  item: DressingPack | null
  units: UnitSystem
}>()
const emit = defineEmits<{ save: [item: DressingPack]; close: [] }>()

const packs = ref<{ kg: number; price: number; place: string; seenOn: string | null }[]>([])
const stock = ref(0)
whenOpened(
  () => item?.dressingId ?? null,
  () => {
    packs.value = dressingOffers(item!).map((o) => ({ ...o, price: o.price ?? NaN }))
    stock.value = item!.stock
  },
)
const stockProblem = computed(() => belowNothing(stock.value))
const sound = computed(
  () => !stockProblem.value && packs.value.every((p) => !packSizeProblem(p.kg) && !belowNothing(p.price)),
)
const roomForMore = computed(() => packs.value.length <= GARDEN_LIMITS.otherPacks.value)
const add = () => (packs.value = [...packs.value, { kg: 1, price: NaN, place: '', seenOn: null }])
function save() {
  if (!dressing || !sound.value) return
  const [usual, ...others] = packs.value.map((p) => ({
    ...p,
    place: p.place.trim(),
    price: Number.isNaN(p.price) ? null : p.price,
  }))
  emit('save', { dressingId: dressing.id, ...usual!, others, stock: stock.value })
  emit('close')
}
</script>

<template>
  <DialogFrame
    :visible="dressing !== null"
    :header="dressing?.name ?? ''"
    width="30rem"
    @update:visible="emit('close')"
  >
    <DialogForm :keep="common.keep" :sound="sound" @keep="save" @cancel="emit('close')">
      <fieldset v-for="(pack, i) in packs" :key="i" class="pack">
        <legend v-if="packs.length > 1">{{ i === 0 ? common.usualPack : common.anotherPack }}</legend>
        <div class="pair">
          <QuantityField
            v-model="pack.kg"
            :label="common.weightOfAPack"
            quantity="weight"
            :units="units"
            :problem="packSizeProblem(pack.kg)"
          />
          <QuantityField
            v-model="pack.price"
            :label="common.priceOfAPack"
            quantity="number"
            :units="units"
            :problem="belowNothing(pack.price)"
            optional
            :hint="common.inYourMoney0For"
          />
        </div>
        <TextField
          v-model="pack.place"
          :label="common.where"
          :most="LONGEST_NAME"
          :hint="common.aShopAYard"
        />
        <Button
          v-if="packs.length > 1"
          type="button"
          :label="common.notSoldLikeThisAny"
          text
          size="small"
          severity="danger"
          @click="packs = packs.filter((_, k) => k !== i)"
        />
      </fieldset>
      <Button
        v-if="roomForMore"
        type="button"
        class="away"
        :label="common.itIsSoldInAnother"
        icon="pi pi-plus"
        text
        size="small"
        @click="add"
      />
      <QuantityField
        v-model="stock"
        :label="common.onHand"
        quantity="weight"
        :units="units"
        :problem="stockProblem"
        :hint="words.usedBeforeAnythingIsBought"
      />
    </DialogForm>
  </DialogFrame>
</template>

<style scoped>
.pack {
  border: 0;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 12px;
}
legend {
  font-weight: 600;
  padding: 0;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 12px;
}
.away {
  align-self: flex-start;
}
</style>
