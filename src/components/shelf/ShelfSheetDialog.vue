<script setup lang="ts">
/** Packs, prices and stock from a spreadsheet; looked at before anything is changed. */
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { ShelfItem } from '@/model/garden/schemas'
import { shelfHeadings, type ShelfProblem } from '@/model/sheets/shelfSheet'
import { counted } from '@/text/counted'
import { sheetProblemText } from '@/text/fields'
import { packText, shortName } from '@/text/labels'
import { volumeText, type UnitSystem } from '@/text/units'
import FileButton from '../field/FileButton.vue'
import NoteField from '../field/NoteField.vue'
import DialogFrame from '../frame/DialogFrame.vue'
import FigureTable from '../frame/FigureTable.vue'

const { units, read } = defineProps<{
  units: UnitSystem
  read: (text: string) => { items: ShelfItem[]; problems: ShelfProblem[] }
}>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ take: [items: ShelfItem[]] }>()

const text = ref('')
const found = computed(() => (text.value.trim() === '' ? null : read(text.value)))
const rows = computed(() =>
  (found.value?.items ?? []).map((i) => [
    shortName(i.materialId),
    [i.pack, ...i.others.map((o) => o.pack)].map((p) => packText(p, units)).join(', '),
    i.price === null ? '' : i.price.toFixed(2),
    volumeText(i.stock, units),
  ]),
)
function take() {
  if (!found.value?.items.length) return
  emit('take', found.value.items)
  text.value = ''
  visible.value = false
}
</script>

<template>
  <DialogFrame v-model:visible="visible" header="The shelf from a sheet" width="46rem" writing>
    <p>
      Paste rows from a spreadsheet, the headings first, or choose a CSV file. A row for each pack; several
      rows of one material are its packs.
    </p>
    <p>
      Columns: <code>{{ Object.values(shelfHeadings(units)).join('; ') }}</code>. Sold as: bag, bag by weight,
      pressed bale, dry block, bulk, own.
    </p>
    <NoteField
      v-model="text"
      label="Rows"
      :rows="7"
      fixed
      :placeholder="`material\tsold as\tsize\tprice\ton hand\nPumice\tbag\t20\t11\t0`"
    />
    <FileButton
      label="Choose a file"
      name="CSV file of the shelf"
      accept=".csv,.tsv,.txt,text/csv"
      quiet
      @file="async (file) => (text = await file.text())"
    />
    <div v-if="found" aria-live="polite">
      <ul v-if="found.problems.length" class="plain wrong">
        <li v-for="p in found.problems.slice(0, 12)" :key="`${p.row} ${JSON.stringify(p.why)}`">
          {{ sheetProblemText(p, units) }}
        </li>
        <li v-if="found.problems.length > 12">… and {{ found.problems.length - 12 }} more.</li>
      </ul>
      <template v-if="found.items.length">
        <p>{{ counted(found.items.length, 'material') }} would be set so:</p>
        <FigureTable :head="['Material', 'Packs', 'Price', 'On hand']" :rows="rows" />
      </template>
    </div>
    <div class="row">
      <Button label="Set the shelf so" :disabled="!found?.items.length" @click="take" />
      <Button label="Cancel" outlined @click="visible = false" />
    </div>
  </DialogFrame>
</template>

<style scoped>
.wrong {
  border-left: 4px solid var(--alarm);
  padding-left: 10px;
}
</style>
