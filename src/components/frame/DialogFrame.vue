<script setup lang="ts">
/** A dialog over the page. Escape, the cross and, where nothing is being written, a press beside it shut it. */
import Dialog from 'primevue/dialog'
import { useShutByBack } from '@/composables/page/useBackShuts'

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
useShutByBack(visible)

/**
 * The keyboard begins at the first field of what is written; on a touch screen that would bring its keys up unasked.
 */
function beginAtField() {
  if (!writing || !matchMedia('(hover: hover)').matches) return
  const content = [...document.querySelectorAll('.p-dialog-content')].at(-1)
  if (content?.querySelector('[autofocus]')) return
  const field = 'input:not([type="hidden"], [type="file"], [disabled]), textarea, [role="combobox"]'
  content?.querySelector(field)?.setAttribute('autofocus', '')
}
/** A choice keeps Escape to itself though it is shut: there it shuts the dialog. */
function shutFromChoice(event: KeyboardEvent) {
  const at = event.target as HTMLElement
  if (event.key !== 'Escape' || !at.matches('[role="combobox"]')) return
  if (at.getAttribute('aria-expanded') !== 'true') visible.value = false
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="header"
    :dismissable-mask="!writing"
    :style="{ width: `min(${width}, 96vw)` }"
    :pt="{
      root: { onKeydownCapture: shutFromChoice },
      content: scrolls ? { tabindex: 0 } : {},
    }"
    @show="beginAtField"
  >
    <slot />
  </Dialog>
</template>
