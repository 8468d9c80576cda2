import { useMutationObserver } from '@vueuse/core'
import { ref, type Ref } from 'vue'

/** The theme in force, as it stands on the page. */
export function usePageTheme(): Readonly<Ref<string | undefined>> {
  const root = document.documentElement
  const theme = ref(root.dataset.theme)
  useMutationObserver(root, () => (theme.value = root.dataset.theme), { attributeFilter: ['data-theme'] })
  return theme
}
