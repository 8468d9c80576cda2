<script setup lang="ts">
/** Rows pasted from a spreadsheet or read from a file; looked at before anything is taken. */
import { common } from '@/text/base/common'
import { sheetReader as words } from '@/text/components/frame'
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Matches, SheetLook } from '@/model/sheets/sheet'
import { decodeText } from '@/model/sheets/decode'
import { readAsText } from '@/text/base/sheets'
import ChoiceField from '../field/ChoiceField.vue'
import FileButton from '../field/FileButton.vue'
import NoteField from '../field/NoteField.vue'
import DialogFrame from './DialogFrame.vue'
import FigureTable from './FigureTable.vue'

const { header, columns, placeholder, fileName, look, problems, summary, head, rows, keep, sound } =
  defineProps<{
    header: string
    /** The headings that are understood. */
    columns: string
    placeholder: string
    /** What the file is called for screen readers. */
    fileName: string
    /** How it was read; null while there is nothing to read. */
    look: SheetLook | null
    /** Rows that cannot be taken, and why. */
    problems: readonly string[]
    /** What can be taken; empty while that is nothing. */
    summary: string
    head: readonly string[]
    rows: readonly (readonly string[])[]
    /** What taking it is called. */
    keep: string
    sound: boolean
  }>()
const visible = defineModel<boolean>('visible', { required: true })
const text = defineModel<string>('text', { required: true })
/** What headings mean that nobody knows. */
const matches = defineModel<Matches>('matches', { required: true })
const emit = defineEmits<{ keep: [] }>()
const MOST = 12
const told = computed(() => problems.slice(0, MOST))
/** What a heading may be that nobody knows; nothing chosen yet is an empty choice. */
const LEAVE_OUT = '-'
const choices = computed(() => [
  { value: LEAVE_OUT, label: words.leaveItOut },
  ...(look?.free ?? []).map((id) => ({ value: id, label: id })),
])
const chosen = (heading: string) =>
  Object.hasOwn(matches.value, heading) ? matches.value[heading] || LEAVE_OUT : null
const choose = (heading: string, id: string | null) =>
  (matches.value = { ...matches.value, [heading]: id === LEAVE_OUT ? '' : (id ?? '') })
const readAs = computed(() => (look ? readAsText(look) : ''))
const fromFile = async (file: File) =>
  (text.value = decodeText(new Uint8Array(await file.arrayBuffer())).text)
function take() {
  emit('keep')
  text.value = ''
  matches.value = {}
  visible.value = false
}
</script>

<template>
  <DialogFrame v-model:visible="visible" :header="header" width="46rem" writing>
    <p>{{ words.pasteRowsFromASpreadsheet }} <slot /></p>
    <p class="soft">{{ words.columns }} <code>{{ columns }}</code>. <slot name="columns" /></p>
    <NoteField v-model="text" :label="words.rows" :rows="7" fixed :placeholder="placeholder" />
    <div class="file">
      <FileButton
        :label="words.chooseAFile"
        :name="fileName"
        accept=".csv,.tsv,.txt,text/csv"
        quiet
        @file="fromFile"
      />
    </div>
    <div v-if="look?.strangers.length" class="strangers">
      <ChoiceField
        v-for="heading in look.strangers"
        :key="heading"
        :label="words.theHeadingIs(heading)"
        :options="choices"
        :model-value="chosen(heading)"
        :placeholder="words.sayWhatItIs"
        @update:model-value="choose(heading, $event)"
      />
    </div>
    <div aria-live="polite">
      <p v-if="readAs" class="soft">{{ readAs }}</p>
      <ul v-if="problems.length" class="plain wrong">
        <li v-for="(p, i) in told" :key="i">{{ p }}</li>
        <li v-if="problems.length > MOST">{{ words.andMoreRows(problems.length - MOST) }}</li>
      </ul>
      <template v-if="summary">
        <p>{{ summary }}</p>
        <div class="scroll"><FigureTable :head="head" :rows="rows" /></div>
      </template>
    </div>
    <div class="row end">
      <Button :label="common.leaveIt" outlined @click="visible = false" />
      <Button :label="keep" :disabled="!sound" @click="take" />
    </div>
  </DialogFrame>
</template>

<style scoped>
.end {
  justify-content: flex-end;
  margin: 8px 0;
}
.file {
  margin-top: 6px;
}
.strangers {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 12px;
  margin: 8px 0;
}
.wrong {
  border-left: 4px solid var(--alarm);
  padding-left: 10px;
  margin: 8px 0;
}
.scroll {
  max-height: 220px;
  overflow: auto;
}
</style>
