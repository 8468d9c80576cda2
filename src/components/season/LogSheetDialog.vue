<script setup lang="ts">
/** Lines of the log from a meter or a spreadsheet; looked at before anything is taken. */
import { common } from '@/text/base/common'
import { logSheetDialog as words } from '@/text/components/season'
import { computed, ref } from 'vue'
import type { Entry } from '@/model/garden/schemas'
import { LOG_COLUMNS, type LogResult } from '@/model/sheets/logSheet'
import type { Matches } from '@/model/sheets/sheet'
import { counted } from '@/text/base/counted'
import { dayText } from '@/text/base/dates'
import { sheetProblemText } from '@/text/base/fields'
import { ENTRY_NAMES, entryText } from '@/text/season/log'
import type { UnitSystem } from '@/text/base/units'
import SheetReader from '../frame/SheetReader.vue'

const { units, read, bedName } = defineProps<{
  units: UnitSystem
  read: (text: string, matches: Matches) => LogResult
  bedName: (fillId: string | null) => string
}>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ take: [entries: Entry[]] }>()

/** Rows that are shown; all of them are taken. */
const SHOWN = 60
const text = ref('')
const matches = ref<Matches>({})
const nothing = { entries: [], problems: [], look: null, already: 0 }
const found = computed(() => (text.value.trim() === '' ? nothing : read(text.value, matches.value)))
const rows = computed(() =>
  found.value.entries
    .slice(0, SHOWN)
    .map((e) => [dayText(e.at), ENTRY_NAMES[e.kind].name, entryText(e, units), bedName(e.fillId)]),
)
const summary = computed(() =>
  [
    rows.value.length ? words.canBeAdded(lines.value) : '',
    found.value.already ? words.inTheLogAlready(counted(found.value.already, 'line')) : '',
  ]
    .filter(Boolean)
    .join(' '),
)
const lines = computed(() => counted(found.value.entries.length, 'line'))
</script>

<template>
  <SheetReader
    v-model:visible="visible"
    v-model:text="text"
    v-model:matches="matches"
    :look="found.look"
    :header="words.readingsFromASheet"
    :columns="LOG_COLUMNS.join(', ')"
    :placeholder="`date\twhat\tvalue\tunit\n2026-05-14\tpH\t6.2\t\n2026-05-14\tEC\t1.1\tdS/m`"
    :file-name="words.csvFileOfReadings"
    :problems="found.problems.map((p) => sheetProblemText(p, units))"
    :summary="summary"
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
