<script setup lang="ts">
/** Every key that does something. */
import DialogFrame from '../frame/DialogFrame.vue'

const visible = defineModel<boolean>('visible', { required: true })
/** Keys pressed together or one for another, and what they do. */
const KEYS: { keys: string[]; does: string }[] = [
  { keys: ['Tab'], does: 'to the next control; Enter or Space presses it' },
  { keys: ['Ctrl', 'Z'], does: 'undo; Ctrl Y does it again' },
  { keys: ['/'], does: 'on the mix: add a material; on lists: search' },
  { keys: ['↑', '↓'], does: 'on the mix: from part to part' },
  { keys: ['+', '−'], does: 'on a part: one measure more or less' },
  { keys: ['Delete'], does: 'on a part: take it out' },
  { keys: ['1', '…', '5'], does: 'on the mix: takes a next move' },
  { keys: ['?'], does: 'this list' },
]
</script>

<template>
  <DialogFrame v-model:visible="visible" header="Keys" width="34rem">
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
