<script setup lang="ts">
/** Every key that does something, and every word of the field. */
import { keysDialog as words } from '@/text/components/app'
import { defineAsyncComponent, ref } from 'vue'
import DialogFrame from '../frame/DialogFrame.vue'
import SwitchField from '../field/SwitchField.vue'

const WordList = defineAsyncComponent(() => import('./WordList.vue'))

const visible = defineModel<boolean>('visible', { required: true })
const shown = ref<'keys' | 'words'>(matchMedia('(hover: hover)').matches ? 'keys' : 'words')
const PARTS = [
  { value: 'keys', label: words.keys },
  { value: 'words', label: words.words },
] as const
/** Keys pressed together or one for another, and what they do. */
const KEYS: { keys: string[]; does: string }[] = [
  { keys: ['Tab'], does: 'to the next control; Enter or Space presses it' },
  { keys: ['Ctrl', 'Z'], does: 'undo; Ctrl Y does it again' },
  { keys: ['/'], does: 'on the mix: add a material; on lists: search' },
  { keys: ['↑', '↓'], does: words.onTheMixFromPart },
  { keys: ['+', '−'], does: words.onAPartOneMeasure },
  { keys: ['Delete'], does: words.onAPartTakeIt },
  { keys: ['1', '…', '7'], does: words.toAStation },
  { keys: ['A', '…', 'E'], does: words.onTheMixTakesA },
  { keys: ['?'], does: words.thisList },
]
</script>

<template>
  <DialogFrame v-model:visible="visible" :header="words.keysAndWords" width="34rem">
    <SwitchField v-model="shown" class="parts" :options="PARTS" :label="words.keysAndWords" />
    <WordList v-if="shown === 'words'" />
    <table v-else class="plain">
      <tbody>
        <tr v-for="row in KEYS" :key="row.does">
          <td>
            <template v-for="k in row.keys" :key="k"><kbd>{{ k }}</kbd>&nbsp;</template>
          </td>
          <td>{{ row.does }}</td>
        </tr>
      </tbody>
    </table>
  </DialogFrame>
</template>

<style scoped>
.parts {
  margin-bottom: 10px;
}
</style>
