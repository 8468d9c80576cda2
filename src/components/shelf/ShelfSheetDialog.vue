<script setup lang="ts">
/** Packs, prices and stock from a spreadsheet; looked at before anything is changed. */
import { computed, ref } from 'vue'
import type { ShelfItem } from '@/model/garden/schemas'
import { shelfHeadings, type ShelfProblem } from '@/model/sheets/shelfSheet'
import { counted } from '@/text/counted'
import { sheetProblemText } from '@/text/fields'
import { packText, shortName } from '@/text/labels'
import { volumeText, type UnitSystem } from '@/text/units'
import SheetReader from '../frame/SheetReader.vue'

const { units, read } = defineProps<{
  units: UnitSystem
  read: (text: string) => { items: ShelfItem[]; problems: ShelfProblem[] }
}>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ take: [items: ShelfItem[]] }>()

const text = ref('')
const found = computed(() => (text.value.trim() === '' ? { items: [], problems: [] } : read(text.value)))
const rows = computed(() =>
  found.value.items.map((i) => [
    shortName(i.materialId),
    [i.pack, ...i.others.map((o) => o.pack)].map((p) => packText(p, units)).join(', '),
    i.price === null ? '' : i.price.toFixed(2),
    volumeText(i.stock, units),
  ]),
)
const summary = computed(() =>
  rows.value.length ? `${counted(rows.value.length, 'material')} would be set so:` : '',
)
</script>

<template>
  <SheetReader
    v-model:visible="visible"
    v-model:text="text"
    header="The shelf from a sheet"
    :columns="Object.values(shelfHeadings(units)).join('; ')"
    :placeholder="`material\tsold as\tsize\tprice\ton hand\nPumice\tbag\t20\t11\t0`"
    file-name="CSV file of the shelf"
    :problems="found.problems.map((p) => sheetProblemText(p, units))"
    :summary="summary"
    :head="['Material', 'Packs', 'Price', 'On hand']"
    :rows="rows"
    keep="Set the shelf so"
    :sound="rows.length > 0"
    @keep="emit('take', found.items)"
  >
    A row for each pack; several rows of one material are its packs.
    <template #columns>Sold as: bag, bag by weight, pressed bale, dry block, bulk, own.</template>
  </SheetReader>
</template>
