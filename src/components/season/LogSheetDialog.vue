<script setup lang="ts">
/** Lines of the log from a meter or a spreadsheet; looked at before anything is taken. */
import { common } from '@/text/base/common'
import { logSheetDialog as words } from '@/text/components/season'
import { computed, ref } from 'vue'
import type { Entry } from '@/model/garden/schemas'
import { LOG_COLUMNS, type LogProblem } from '@/model/sheets/logSheet'
import { counted } from '@/text/base/counted'
import { dayText } from '@/text/base/dates'
import { sheetProblemText } from '@/text/base/fields'
import { ENTRY_NAMES, entryText } from '@/text/season/log'
import type { UnitSystem } from '@/text/base/units'
import SheetReader from '../frame/SheetReader.vue'

const { units, read, bedName } = defineProps<{
  units: UnitSystem
  read: (text: string) => { entries: Entry[]; problems: LogProblem[] }
  bedName: (fillId: string | null) => string
}>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ take: [entries: Entry[]] }>()

/** Rows that are shown; all of them are taken. */
const SHOWN = 60
const text = ref('')
const found = computed(() => (text.value.trim() === '' ? { entries: [], problems: [] } : read(text.value)))
const rows = computed(() =>
  found.value.entries
    .slice(0, SHOWN)
    .map((e) => [dayText(e.at), ENTRY_NAMES[e.kind].name, entryText(e, units), bedName(e.fillId)]),
)
const lines = computed(() => counted(found.value.entries.length, 'line'))
</script>

<template>
  <SheetReader
    v-model:visible="visible"
    v-model:text="text"
    :header="words.readingsFromASheet"
    :columns="LOG_COLUMNS.join(', ')"
    :placeholder="`date\twhat\tvalue\tunit\n2026-05-14\tpH\t6.2\t\n2026-05-14\tEC\t1.1\tdS/m`"
    :file-name="words.csvFileOfReadings"
    :problems="found.problems.map((p) => sheetProblemText(p, units))"
    :summary="rows.length ? words.canBeAdded(lines) : ''"
    :head="[common.day, words.what, words.value, common.bed]"
    :rows="rows"
    :keep="rows.length ? `Add ${lines}` : common.add"
    :sound="rows.length > 0"
    @keep="emit('take', found.entries)"
  >
    {{ words.aRowForEachReading }}
    <template #columns>{{ words.whatWateredFedPhSalts }}</template>
  </SheetReader>
</template>
