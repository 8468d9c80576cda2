<script setup lang="ts">
/** A dialog over the page. Escape, the cross and, where nothing is being written, a press beside it shut it. */
import Dialog from 'primevue/dialog'

const {
  header,
  width = '40rem',
  writing = false,
  scrolls = false,
} = defineProps<{
  header: string
  width?: string
  /** Something is being written in it that a stray press must not lose. */
  writing?: boolean
  /** Its content has nothing to take the keyboard: let it be scrolled by keys. */
  scrolls?: boolean
}>()
const visible = defineModel<boolean>('visible', { required: true })
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="header"
    :dismissable-mask="!writing"
    :style="{ width: `min(${width}, 96vw)` }"
    :pt="scrolls ? { content: { tabindex: 0 } } : undefined"
  >
    <slot />
  </Dialog>
</template>
