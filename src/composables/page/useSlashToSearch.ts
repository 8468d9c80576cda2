import { onKeyStroke } from '@vueuse/core'
import type { Ref } from 'vue'
import { isTyping } from './isTyping'

/** The slash takes the keyboard to a page's search box, unless words are being written. */
export function useSlashToSearch(box: Ref<{ focus: () => void } | null>) {
  onKeyStroke('/', (event) => {
    if (isTyping(event)) return
    event.preventDefault()
    box.value?.focus()
  })
}
