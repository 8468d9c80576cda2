<script setup lang="ts">
/** A laboratory report pasted or read from a file: its figures go into the fields, lines nobody can read are named. */
import { labPaste as words } from '@/text/components/tests'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { Repeat } from '@/core/fieldTests'
import { decodeText } from '@/model/sheets/decode'
import { labFromText } from '@/model/sheets/labSheet'
import FileButton from '../field/FileButton.vue'
import NoteField from '../field/NoteField.vue'
import FoldBox from '../frame/FoldBox.vue'

const repeat = defineModel<Repeat>({ required: true })
const text = ref('')
const read = computed(() => labFromText(text.value))
const count = computed(() => Object.keys(read.value.figures).length)
async function fromFile(file: File) {
  text.value = decodeText(new Uint8Array(await file.arrayBuffer())).text
}
function take() {
  repeat.value = { ...repeat.value, ...read.value.figures }
  text.value = ''
}
</script>

<template>
  <FoldBox id="lab-paste" :title="words.paste" :says="words.pasteSays">
    <NoteField v-model="text" :label="words.report" :most="20_000" :placeholder="words.example" />
    <FileButton
      :label="words.file"
      :name="words.fileName"
      accept=".csv,.tsv,.txt,text/csv"
      quiet
      @file="fromFile"
    />
    <ul v-if="read.problems.length" role="alert">
      <li v-for="p in read.problems" :key="p.row">{{ words.problem(p.row, p.code, p.text) }}</li>
    </ul>
    <Button :label="words.take(count)" outlined :disabled="count === 0" @click="take" />
  </FoldBox>
</template>
