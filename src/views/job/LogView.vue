<script setup lang="ts">
/** The season as it goes: what was done, read and seen, in two taps; what was expected beside what was read. */
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import ChoiceField from '@/components/field/ChoiceField.vue'
import QuantityField from '@/components/field/QuantityField.vue'
import TextField from '@/components/field/TextField.vue'
import DialogForm from '@/components/frame/DialogForm.vue'
import ListInSight from '@/components/frame/ListInSight.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import { saveFile } from '@/composables/saveFile'
import { useJob } from '@/composables/useJob'
import { entriesOf, recordOf } from '@/model/garden/garden'
import { LONGEST_RECIPE_NOTE } from '@/model/garden/limits'
import { ENTRY_KINDS, type Entry, type EntryKind } from '@/model/garden/schemas'
import { dayOf, expectedOn, logCsv } from '@/model/season/log'
import { dayText } from '@/text/dates'
import { bedTitle, jobTitle } from '@/text/labels'
import { ENTRY_NAMES, entryProblem, entryText, seasonSoFar } from '@/text/log'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, job, units, evaluation } = useJob(() => jobId)
const ALL = 'all'
const bed = ref<string>(ALL)
const beds = computed(() => [
  { value: ALL, label: 'All beds' },
  ...(job.value?.fills ?? []).map((f) => ({ value: f.id, label: bedTitle(f.spec) })),
])
const bedName = (fillId: string | null) => beds.value.find((b) => b.value === fillId)?.label ?? 'All beds'

/** What is being written; null while nothing is. */
const draft = ref<(Pick<Entry, 'kind' | 'note'> & { value: number; count: number }) | null>(null)
const begin = (kind: EntryKind) => (draft.value = { kind, value: 0, count: 0, note: '' })
const written = computed(() => {
  const d = draft.value
  if (!d) return null
  return { ...d, value: d.value === 0 ? null : d.value, count: d.count === 0 ? null : d.count }
})
const problem = computed(() => written.value && entryProblem(written.value))
const record = computed(() =>
  job.value?.recordId ? recordOf(garden.records, job.value.recordId) : undefined,
)
function add(of: Pick<Entry, 'kind' | 'value' | 'count' | 'note'>) {
  const at = new Date().toISOString()
  const answer = evaluation.value?.ok ? evaluation.value.value : null
  const expected = answer ? expectedOn(answer, of.kind, dayOf(job.value!, record.value, at)) : null
  const fillId = bed.value === ALL ? null : bed.value
  garden.run({
    type: 'entries/put',
    entries: [{ id: crypto.randomUUID(), jobId, fillId, at, ...of, note: of.note.trim(), expected }],
    what: 'a line of the log',
  })
}
function keep() {
  if (!written.value || problem.value) return
  add(written.value)
  draft.value = null
}
const watered = () => add({ kind: 'watered', value: null, count: null, note: '' })

const search = ref('')
const entries = computed(() => entriesOf(garden.records, jobId))
const rows = computed(() => {
  const wanted = search.value.trim().toLowerCase()
  return entries.value
    .filter((e) => bed.value === ALL || e.fillId === null || e.fillId === bed.value)
    .map((e) => ({
      id: e.id,
      day: dayText(e.at),
      name: ENTRY_NAMES[e.kind].name,
      text: entryText(e, units.value),
      bed: bedName(e.fillId),
    }))
    .filter((r) => `${r.day} ${r.name} ${r.text} ${r.bed}`.toLowerCase().includes(wanted))
})
const soFar = computed(() => seasonSoFar(entries.value, units.value))
const saveCsv = () =>
  saveFile(
    `${jobTitle(job.value!)} log.csv`,
    logCsv(entries.value, units.value, bedName, (kind) => ENTRY_NAMES[kind].name),
    'text/csv',
  )
</script>

<template>
  <StationFrame v-if="job" columns="minmax(280px, 1fr) minmax(0, 1.4fr)">
    <section aria-labelledby="log-title">
      <h2 id="log-title">Log</h2>
      <ChoiceField
        v-if="job.fills.length > 1"
        label="Bed"
        :model-value="bed"
        :options="beds"
        @update:model-value="bed = $event ?? ALL"
      />
      <div class="kinds">
        <Button label="Watered" icon="pi pi-check" @click="watered" />
        <Button
          v-for="kind in ENTRY_KINDS"
          :key="kind"
          :label="kind === 'watered' ? 'Watered so much' : ENTRY_NAMES[kind].name"
          outlined
          :aria-pressed="draft?.kind === kind"
          @click="begin(kind)"
        />
      </div>
      <DialogForm
        v-if="draft"
        :keep="`Keep: ${ENTRY_NAMES[draft.kind].name.toLowerCase()}`"
        :sound="problem === null"
        @keep="keep"
        @cancel="draft = null"
      >
        <QuantityField
          v-if="ENTRY_NAMES[draft.kind].quantity"
          :key="draft.kind"
          v-model="draft.value"
          :label="ENTRY_NAMES[draft.kind].ask"
          :quantity="ENTRY_NAMES[draft.kind].quantity!"
          :units="units"
          :problem="draft.value === 0 ? null : problem"
        />
        <QuantityField
          v-if="draft.kind === 'harvest'"
          v-model="draft.count"
          label="Number of pieces"
          quantity="number"
          :units="units"
        />
        <TextField v-model="draft.note" label="A word with it" :most="LONGEST_RECIPE_NOTE" />
        <p v-if="problem" class="soft">{{ problem.fix }}</p>
      </DialogForm>
    </section>
    <section aria-labelledby="course-title">
      <div class="row title">
        <h2 id="course-title">How it went</h2>
        <Button
          v-if="entries.length"
          label="Save as CSV"
          icon="pi pi-download"
          text
          size="small"
          @click="saveCsv"
        />
      </div>
      <p v-if="soFar">{{ soFar }}</p>
      <TextField
        v-if="entries.length > 8"
        v-model="search"
        label="Search the log"
        hide-label
        placeholder="Search the log"
      />
      <p v-if="entries.length === 0" class="soft">
        Nothing noted yet. One press notes a watering; what you read is kept beside what was expected.
      </p>
      <ListInSight v-slot="{ item }" :items="rows" class="plain">
        <div class="entry">
          <span class="day">{{ item.day }}</span>
          <span class="what">
            <strong>{{ item.name }}</strong> {{ item.text }}
            <small v-if="job.fills.length > 1">{{ item.bed }}</small>
          </span>
          <Button
            icon="pi pi-trash"
            text
            :aria-label="`Remove: ${item.name}, ${item.day}`"
            @click="garden.run({ type: 'entry/remove', entryId: item.id })"
          />
        </div>
      </ListInSight>
    </section>
  </StationFrame>
</template>

<style scoped>
.kinds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
  gap: 8px;
  margin: 12px 0;
}
.kinds .p-button {
  min-height: 48px;
}
.title {
  justify-content: space-between;
}
.entry {
  display: flex;
  gap: 12px;
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
.day {
  min-width: 6.5rem;
  color: var(--ink-soft);
  font-variant-numeric: tabular-nums;
}
.what {
  flex: 1;
}
.what small {
  display: block;
}
</style>
