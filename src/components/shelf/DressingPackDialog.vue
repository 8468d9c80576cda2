<script setup lang="ts">
/** How a feed or lime is bought, what it costs and how much is on hand. */
import { common } from '@/text/base/common'
import { dressingPackDialog as words } from '@/text/components/shelf'
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
import DropPack from './DropPack.vue'
import PackFrame from './PackFrame.vue'

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
const stockField = computed(() => ({
  label: common.onHand,
  quantity: 'weight' as const,
  hint: words.usedBeforeAnythingIsBought,
  problem: stockProblem.value,
  units,
}))
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
  <PackFrame
    v-model="stock"
    :visible="dressing !== null"
    :header="dressing?.name ?? ''"
    :sound="sound"
    :room-for-more="roomForMore"
    :stock="stockField"
    @add="add"
    @save="save"
    @close="emit('close')"
  >
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
      <TextField v-model="pack.place" :label="common.where" :most="LONGEST_NAME" :hint="common.aShopAYard" />
      <DropPack v-if="packs.length > 1" @drop="packs = packs.filter((_, k) => k !== i)" />
    </fieldset>
  </PackFrame>
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
</style>
