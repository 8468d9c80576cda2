<script setup lang="ts">
/** One record: what went in, what was expected, and the note. */
import { common } from '@/text/base/common'
import { recordSheet as words } from '@/text/components/record'
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import { LONGEST_NOTE } from '@/model/garden/limits'
import type { MixRecord } from '@/model/garden/schemas'
import { dayProblem } from '@/text/base/dates'
import { predictedText } from '@/text/make/predicted'
import { costText, measuredText, recordAbout, tubTexts, wentInRows } from '@/text/base/records'
import type { UnitSystem } from '@/text/base/units'
import NoteField from '../field/NoteField.vue'
import TextField from '../field/TextField.vue'
import FigureTable from '../frame/FigureTable.vue'

const { record, units, hasJob } = defineProps<{
  record: MixRecord
  units: UnitSystem
  /** Its job is still there. */
  hasJob: boolean
}>()
const emit = defineEmits<{
  edit: [change: { madeOn?: string; note?: string }]
  open: []
  again: []
  remove: []
}>()
/** As typed: a day half typed is not kept, and not lost either. */
const day = ref(record.madeOn)
watch(
  () => record.madeOn,
  (kept) => (day.value = kept),
)
const printPage = () => window.print()
const problem = computed(() => dayProblem(day.value, 'mixed'))
function setDay(typed: string) {
  day.value = typed
  if (!problem.value) emit('edit', { madeOn: typed })
}
</script>

<template>
  <article class="card" :aria-label="record.jobName">
    <h2 class="paper-title">{{ record.jobName }}</h2>
    <p class="soft">{{ recordAbout(record) }}</p>
    <TextField
      class="day"
      :label="common.mixedOn"
      type="date"
      :problem="problem"
      :model-value="day"
      @update:model-value="setDay"
    />
    <h3>{{ words.whatWentIn }}</h3>
    <FigureTable :rows="wentInRows(record, units)" />
    <p class="soft">{{ measuredText(record, units) }}</p>
    <ul v-if="record.otherwise.length" class="plain soft">
      <li v-for="o in record.otherwise" :key="o">{{ o }}</li>
    </ul>
    <template v-if="record.readings.length + record.corrections.length">
      <h3>{{ words.readAtTheTub }}</h3>
      <ul class="plain">
        <li v-for="line in tubTexts(record, units)" :key="line">{{ line }}</li>
      </ul>
    </template>
    <p v-if="record.used !== null">{{ costText(record) }}</p>
    <h3>{{ words.whatWasExpected }}</h3>
    <p>{{ predictedText(record, units) }}</p>
    <NoteField
      :label="common.note"
      :most="LONGEST_NOTE"
      :model-value="record.note"
      @update:model-value="emit('edit', { note: $event })"
    />
    <slot />
    <div class="row no-print">
      <Button
        v-if="hasJob"
        :label="words.makeItAgain"
        icon="pi pi-replay"
        size="small"
        outlined
        @click="emit('again')"
      />
      <Button :label="words.print" icon="pi pi-print" text size="small" @click="printPage" />
      <Button v-if="hasJob" :label="words.openItsJob" outlined size="small" @click="emit('open')" />
      <Button :label="words.removeThisRecord" severity="danger" text size="small" @click="emit('remove')" />
      <small>{{ words.undoBringsItBack }}</small>
    </div>
  </article>
</template>

<style scoped>
.day {
  width: fit-content;
}
h3 {
  margin: 16px 0 2px;
}
.row {
  margin-top: 10px;
}
</style>
