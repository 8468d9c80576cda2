<script setup lang="ts">
/** A button that asks for a file and hands on its name and text. */
import Button from 'primevue/button'
import { ref } from 'vue'

const {
  label,
  name,
  accept,
  quiet = false,
} = defineProps<{
  label: string
  /** For screen readers: what file. */
  name: string
  accept: string
  quiet?: boolean
}>()
const emit = defineEmits<{ file: [text: string, name: string] }>()
const picker = ref<HTMLInputElement | null>(null)
async function taken(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file) emit('file', await file.text(), file.name)
  // The same file again is a new question.
  input.value = ''
}
</script>

<template>
  <Button
    :label="label"
    icon="pi pi-upload"
    :text="quiet"
    :outlined="!quiet"
    :size="quiet ? 'small' : undefined"
    @click="picker?.click()"
  />
  <input
    ref="picker"
    class="visually-hidden"
    type="file"
    :accept="accept"
    :aria-label="name"
    tabindex="-1"
    @change="taken"
  />
</template>
