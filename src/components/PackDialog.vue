<script setup lang="ts">
/** How a material is sold, in one pack or several, and how much is on hand. */
import { common } from '@/text/base/common'
import { packDialog as words } from '@/text/components/shared'
import { computed, ref } from 'vue'
import { whenOpened } from '@/composables/page/whenOpened'
import type { Material } from '@/core/data'
import { GARDEN_LIMITS } from '@/model/garden/limits'
import { draftOf, offerOf, type OfferDraft } from '@/model/garden/offerDraft'
import type { ShelfItem } from '@/model/garden/schemas'
import { offersOf } from '@/model/garden/shelfEntry'
import { belowNothing } from '@/text/base/belowNothing'
import { packText } from '@/text/base/labels'
import { isSoundOffer } from '@/text/shelf/packs'
import type { UnitSystem } from '@/text/base/units'
import DropPack from './shelf/DropPack.vue'
import PackFrame from './shelf/PackFrame.vue'
import OfferFields from './shelf/OfferFields.vue'

const { material, item, units } = defineProps<{
  /** Null while the dialog is shut. */
  material: Material | null
  item: ShelfItem | null
  units: UnitSystem
}>()
const emit = defineEmits<{ save: [item: ShelfItem]; close: [] }>()

const drafts = ref<OfferDraft[]>([])
/** Which of the packs is open. */
const open = ref(0)
const stock = ref(0)
whenOpened(
  () => item?.materialId ?? null,
  () => {
    drafts.value = offersOf(item!).map(draftOf)
    open.value = 0
    stock.value = item!.stock
  },
)

const stockProblem = computed(() => belowNothing(stock.value))
const stockField = computed(() => ({
  label: words.onHandLoose,
  quantity: 'volume' as const,
  hint: words.partPacksTooUsedBefore,
  problem: stockProblem.value,
  units,
}))
const sound = computed(() => !stockProblem.value && drafts.value.every(isSoundOffer))
const roomForMore = computed(() => drafts.value.length <= GARDEN_LIMITS.otherPacks.value)
const titleOf = (draft: OfferDraft, i: number) =>
  `${i === 0 ? common.usualPack : common.anotherPack}: ${isSoundOffer(draft) ? packText(offerOf(draft).pack, units) : words.lookAgain}`

function add() {
  drafts.value = [
    ...drafts.value,
    { ...drafts.value[0]!, kind: 'loose', litres: 50, price: NaN, gives: 0, delivery: 0 },
  ]
  open.value = drafts.value.length - 1
}
function remove(at: number) {
  drafts.value = drafts.value.filter((_, i) => i !== at)
  open.value = 0
}
function save() {
  if (!material || !sound.value) return
  const [usual, ...others] = drafts.value.map(offerOf)
  emit('save', { materialId: material.id, ...usual!, others, stock: stock.value })
  emit('close')
}
</script>

<template>
  <PackFrame
    v-model="stock"
    :visible="material !== null"
    :header="material?.name ?? ''"
    :sound="sound"
    :room-for-more="roomForMore"
    :stock="stockField"
    @add="add"
    @save="save"
    @close="emit('close')"
  >
    <template v-if="material">
      <template v-for="(draft, i) in drafts" :key="i">
        <button
          v-if="drafts.length > 1"
          type="button"
          class="one"
          :aria-expanded="i === open"
          @click="open = i"
        >
          {{ titleOf(draft, i) }}
        </button>
        <template v-if="i === open">
          <OfferFields v-model="drafts[i]!" :material="material" :units="units" />
          <DropPack v-if="drafts.length > 1" @drop="remove(i)" />
        </template>
      </template>
    </template>
  </PackFrame>
</template>

<style scoped>
.one {
  text-align: left;
  font: inherit;
  font-weight: 600;
  color: var(--ink);
  background: var(--clay-wash);
  border: 1px solid var(--rule);
  border-radius: var(--round);
  padding: 10px 12px;
  min-height: 44px;
  cursor: pointer;
}
</style>
