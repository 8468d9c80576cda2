<script setup lang="ts">
/** Packs, prices and stock from a spreadsheet; looked at before anything is changed. */
import { common } from '@/text/base/common'
import { shelfSheetDialog as words } from '@/text/components/shelf'
import { computed, ref } from 'vue'
import type { ShelfItem } from '@/model/garden/schemas'
import { shelfHeadings, type ShelfResult } from '@/model/sheets/shelfSheet'
import type { Matches } from '@/model/sheets/sheet'
import { counted } from '@/text/base/counted'
import { sheetProblemText } from '@/text/base/fields'
import { packText } from '@/text/base/labels'
import { shortName } from '@/text/base/titles'
import { volumeText, type UnitSystem } from '@/text/base/units'
import SheetReader from '../frame/SheetReader.vue'

const { units, read } = defineProps<{
  units: UnitSystem
  read: (text: string, matches: Matches) => ShelfResult
}>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ take: [items: ShelfItem[]] }>()

const text = ref('')
const matches = ref<Matches>({})
const nothing = { items: [], problems: [], look: null }
const found = computed(() => (text.value.trim() === '' ? nothing : read(text.value, matches.value)))
const rows = computed(() =>
  found.value.items.map((i) => [
    shortName(i.materialId),
    [i.pack, ...i.others.map((o) => o.pack)].map((p) => packText(p, units)).join(', '),
    i.price === null ? '' : i.price.toFixed(2),
    volumeText(i.stock, units),
  ]),
)
const summary = computed(() =>
  rows.value.length ? words.wouldBeSetSo(counted(rows.value.length, 'material')) : '',
)
</script>

<template>
  <SheetReader
    v-model:visible="visible"
    v-model:text="text"
    v-model:matches="matches"
    :look="found.look"
    :header="words.theShelfFromASheet"
    :columns="Object.values(shelfHeadings(units)).join('; ')"
    :placeholder="words.materialSoldAsSizePrice"
    :file-name="words.csvFileOfTheShelf"
    :problems="found.problems.map((p) => sheetProblemText(p, units))"
    :summary="summary"
    :head="[common.material, words.packs, words.price, common.onHand]"
    :rows="rows"
    :keep="words.setTheShelfSo"
    :sound="rows.length > 0"
    @keep="emit('take', found.items)"
  >
    {{ words.aRowForEachPack }}
    <template #columns>{{ words.soldAsBagBagBy }}</template>
  </SheetReader>
</template>
