<script setup lang="ts">
/** Many beds at once, pasted from a spreadsheet or read from a file; looked at before anything is added. */
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { bedsFromText, SHEET_COLUMNS, type SheetProblem } from '@/model/sheets/bedSheet'
import type { Bed } from '@/model/garden/schemas'
import { bedTitle, VESSEL_NAMES } from '@/text/labels'
import { sheetProblemText } from '@/text/fields'
import { volumeText, type UnitSystem } from '@/text/units'
import FileButton from '../field/FileButton.vue'
import NoteField from '../field/NoteField.vue'
import FigureTable from '../frame/FigureTable.vue'
import DialogFrame from '../frame/DialogFrame.vue'

const { units } = defineProps<{ units: UnitSystem }>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ add: [beds: Bed[]] }>()

const text = ref('')
const read = computed(() =>
  text.value.trim() === ''
    ? null
    : bedsFromText(text.value, units, () => crypto.randomUUID(), new Date().toISOString()),
)
const sayOf = (problem: SheetProblem) => sheetProblemText(problem, units)
const litres = (bed: Bed) => {
  const plan = mixNeededFor({ spec: bed, sunkBy: null })
  return plan.ok ? plan.value.net * bed.vessel.count : 0
}
const rows = computed(() =>
  (read.value?.beds ?? [])
    .slice(0, 60)
    .map((bed) => [
      bedTitle(bed),
      VESSEL_NAMES[bed.vessel.kind].one,
      String(bed.vessel.count),
      volumeText(litres(bed), units),
    ]),
)
const total = computed(() => (read.value?.beds ?? []).reduce((s, b) => s + litres(b), 0))
const take = async (file: File) => (text.value = await file.text())
function add() {
  if (!read.value?.beds.length) return
  emit('add', read.value.beds)
  text.value = ''
  visible.value = false
}
</script>

<template>
  <DialogFrame v-model:visible="visible" header="Many beds at once" width="46rem" writing>
    <p>
      Paste rows from a spreadsheet, the headings first, or choose a CSV file. Lengths in
      {{ units === 'us' ? 'inches' : 'centimetres' }}; what you leave out takes the usual value of its shape.
    </p>
    <p class="columns">
      Columns: <code>{{ SHEET_COLUMNS.join(', ') }}</code>. Of a round pot <code>length</code> is the width
      across the top and <code>base length</code> across the base.
    </p>
    <NoteField
      v-model="text"
      label="Rows"
      :rows="7"
      fixed
      :placeholder="`name\tshape\tcount\tlength\theight\nSalad trough\ttrough\t4\t90\t20`"
    />
    <FileButton
      label="Choose a file"
      name="CSV file of beds"
      accept=".csv,.tsv,.txt,text/csv"
      quiet
      @file="take"
    />
    <div v-if="read" aria-live="polite">
      <ul v-if="read.problems.length" class="plain wrong">
        <li v-for="p in read.problems.slice(0, 12)" :key="p.row">{{ sayOf(p) }}</li>
        <li v-if="read.problems.length > 12">… and {{ read.problems.length - 12 }} more rows.</li>
      </ul>
      <p v-if="read.beds.length">
        <strong>{{ read.beds.length }} {{ read.beds.length === 1 ? 'bed' : 'beds' }} can be added</strong>,
        {{ volumeText(total, units) }} of mix in all.
      </p>
      <div v-if="read.beds.length" class="scroll">
        <FigureTable :head="['Name', 'Shape', 'How many', 'Mix']" :rows="rows" />
      </div>
    </div>
    <div class="row end">
      <Button label="Leave it" outlined @click="visible = false" />
      <Button
        :label="
          read?.beds.length ? `Add ${read.beds.length} ${read.beds.length === 1 ? 'bed' : 'beds'}` : 'Add'
        "
        :disabled="!read?.beds.length"
        @click="add"
      />
    </div>
  </DialogFrame>
</template>

<style scoped>
.sheet {
  width: 100%;
  font-family: ui-monospace, monospace;
  font-size: 0.9rem;
  white-space: pre;
}
.columns {
  font-size: 0.9rem;
  color: var(--ink-soft);
}
.row {
  margin: 8px 0;
}
.end {
  justify-content: flex-end;
}
.wrong {
  color: var(--alarm);
  margin: 8px 0;
  font-size: 0.92rem;
}
.scroll {
  max-height: 220px;
  overflow: auto;
}
</style>
