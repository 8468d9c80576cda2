<script setup lang="ts">
/** A button that asks for a file and hands it on; one that is too large gets a sentence instead. */
import { fileButton as words } from '@/text/components/field'
import Button from 'primevue/button'
import { ref } from 'vue'

const {
  label,
  name,
  accept,
  most = 2,
  quiet = false,
} = defineProps<{
  label: string
  /** For screen readers: what file. */
  name: string
  accept: string
  /** Megabytes at the most. */
  most?: number
  quiet?: boolean
}>()
const emit = defineEmits<{ file: [file: File] }>()
const picker = ref<HTMLInputElement | null>(null)
const tooLarge = ref('')
function taken(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  tooLarge.value = file && file.size > most * 1e6 ? file.name : ''
  if (file && !tooLarge.value) emit('file', file)
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
  <p v-if="tooLarge" class="wrong" role="status">
    <strong>{{ words.isLargerThanMb(tooLarge, most) }}</strong> {{ words.nothingWasReadIsIt }}
  </p>
</template>
