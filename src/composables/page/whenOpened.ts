import { watch } from 'vue'

/**
 * Fills a dialog's fields when it opens for something, known by its key, and not again while it is open: what is typed
 * stays, though the garden behind it changes and hands the same thing over anew.
 */
export const whenOpened = (key: () => string | null, fill: () => void): void => {
  watch(
    key,
    (now) => {
      if (now !== null) fill()
    },
    { immediate: true },
  )
}
