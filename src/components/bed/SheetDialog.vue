<script setup lang="ts">
/** Many beds at once, pasted from a spreadsheet or read from a file; looked at before anything is added. */
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Textarea from 'primevue/textarea'
import { computed, ref } from 'vue'
import { bedsFromText, SHEET_COLUMNS, type SheetProblem } from '@/model/sheets/bedSheet'
import type { Bed } from '@/model/garden/schemas'
import { bedTitle, VESSEL_NAMES } from '@/text/labels'
import { problemText } from '@/text/problems.en'
import { volumeText, type UnitSystem } from '@/text/units'

const { units } = defineProps<{ units: UnitSystem }>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ add: [beds: Bed[]] }>()

const text = ref('')
const file = ref<HTMLInputElement | null>(null)
const read = computed(() =>
  text.value.trim() === ''
    ? null
    : bedsFromText(text.value, units, () => crypto.randomUUID(), new Date().toISOString()),
)
const sayOf = ({ row, name, why }: SheetProblem) => {
  const where = `Row ${row}${name ? ` (${name})` : ''}`
  if ('problem' in why) {
    const said = problemText(why.problem, units)
    return `${where}: ${said.why} ${said.fix}`
  }
  return why.column === 'heading'
    ? `The first line must name columns, of these: ${why.wanted}.${why.text ? ` “${why.text}” is none of them.` : ''}`
    : `${where}: “${why.text}” under “${why.column}”; wanted: ${why.wanted}.`
}
const litres = (bed: Bed) => {
  const plan = mixNeededFor({ spec: bed, sunkBy: null })
  return plan.ok ? plan.value.net * bed.vessel.count : 0
}
const total = computed(() => (read.value?.beds ?? []).reduce((s, b) => s + litres(b), 0))
async function fromFile(event: Event) {
  const chosen = (event.target as HTMLInputElement).files?.[0]
  if (chosen) text.value = await chosen.text()
}
function add() {
  if (!read.value?.beds.length) return
  emit('add', read.value.beds)
  text.value = ''
  visible.value = false
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Many beds at once" :style="{ width: 'min(46rem, 96vw)' }">
    <p>
      Paste rows from a spreadsheet, the headings first, or choose a CSV file. Lengths in
      {{ units === 'us' ? 'inches' : 'centimetres' }}; what you leave out takes the usual value of its shape.
    </p>
    <p class="columns">
      Columns: <code>{{ SHEET_COLUMNS.join(', ') }}</code>. Of a round pot <code>length</code> is the width
      across the top and <code>base length</code> across the base.
    </p>
    <label for="sheet" class="visually-hidden">Rows</label>
    <Textarea
      id="sheet"
      v-model="text"
      rows="7"
      class="sheet"
      autofocus
      spellcheck="false"
      :placeholder="`name\tshape\tcount\tlength\theight\nSalad trough\ttrough\t4\t90\t20`"
    />
    <div class="row">
      <Button label="Choose a file" icon="pi pi-upload" outlined size="small" @click="file?.click()" />
      <input
        ref="file"
        type="file"
        accept=".csv,.tsv,.txt,text/csv"
        class="visually-hidden"
        tabindex="-1"
        aria-label="CSV file of beds"
        @change="fromFile"
      />
    </div>
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
        <table class="plain">
          <thead>
            <tr>
              <th scope="col">Name</th>
              <th scope="col">Shape</th>
              <th scope="col" class="num">How many</th>
              <th scope="col" class="num">Mix</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="bed in read.beds.slice(0, 60)" :key="bed.id">
              <td>{{ bedTitle(bed) }}</td>
              <td>{{ VESSEL_NAMES[bed.vessel.kind].one }}</td>
              <td class="num">{{ bed.vessel.count }}</td>
              <td class="num">{{ volumeText(litres(bed), units) }}</td>
            </tr>
          </tbody>
        </table>
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
  </Dialog>
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
