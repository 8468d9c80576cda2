<script setup lang="ts">
/** Every key that does something. */
import { keysDialog as words } from '@/text/components/app'
import DialogFrame from '../frame/DialogFrame.vue'

const visible = defineModel<boolean>('visible', { required: true })
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
  <DialogFrame v-model:visible="visible" :header="words.keys" width="34rem">
    <table class="plain">
      <tbody>
        <tr v-for="row in KEYS" :key="row.does">
          <td>
            <template v-for="k in row.keys" :key="k"
              ><kbd>{{ k }}</kbd
              >&nbsp;</template
            >
          </td>
          <td>{{ row.does }}</td>
        </tr>
      </tbody>
    </table>
  </DialogFrame>
</template>
