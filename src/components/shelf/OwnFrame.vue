<script setup lang="ts" generic="O extends { note: string; retired: boolean }">
/**
 * The frame of something of the grower's own: its fields, a note, what they make of it, and what can be done with it.
 */
import { common } from '@/text/base/common'
import Button from 'primevue/button'
import { ownButtons as words } from '@/text/components/shelf'
import { LONGEST_NOTE } from '@/model/garden/limits'
import type { Sentence } from '@/text/base/problems.en'
import NoteField from '../field/NoteField.vue'
import DialogFrame from '../frame/DialogFrame.vue'
import DialogForm from '../frame/DialogForm.vue'

const {
  header,
  width = undefined,
  trouble,
  says,
  sound,
  listed,
} = defineProps<{
  header: string
  width?: string
  /** What is wrong with it, if anything. */
  trouble: Sentence | null
  /** What it comes to. */
  says: string
  /** It makes a whole row. */
  sound: boolean
  /** It is on the shelf already: it can be copied and retired. */
  listed: boolean
}>()
/** Null while the dialog is shut. */
const draft = defineModel<O | null>({ required: true })
const emit = defineEmits<{ save: []; copy: []; retire: []; close: [] }>()
</script>

<template>
  <DialogFrame
    :visible="draft !== null"
    :header="header"
    :width="width"
    writing
    @update:visible="emit('close')"
  >
    <DialogForm v-if="draft" :keep="common.keep" :sound="sound" @keep="emit('save')" @cancel="emit('close')">
      <slot />
      <NoteField v-model="draft.note" :label="common.whereItCameFrom" :rows="1" :most="LONGEST_NOTE" />
      <p role="status">
        <span v-if="trouble" class="said wrong"><strong>{{ trouble.why }}</strong> {{ trouble.fix }}</span>
        <template v-else>{{ says }}</template>
      </p>
      <template #beside>
        <template v-if="listed">
          <Button type="button" :label="common.copy" text :disabled="!sound" @click="emit('copy')" />
          <Button
            type="button"
            :label="draft.retired ? words.offerItAgain : words.offerItNoMore"
            text
            :disabled="!sound"
            @click="emit('retire')"
          />
        </template>
      </template>
    </DialogForm>
  </DialogFrame>
</template>
