import { usePreferredContrast, usePreferredDark } from '@vueuse/core'
import { computed, toValue, watchEffect, type MaybeRefOrGetter } from 'vue'
import type { Settings } from '@/model/garden/schemas'

/** The theme in force, written on the page; `auto` follows the device. */
export function useTheme(setting: MaybeRefOrGetter<Settings['theme']>) {
  const dark = usePreferredDark()
  const contrast = usePreferredContrast()
  const theme = computed(() => {
    const wanted = toValue(setting)
    if (wanted !== 'auto') return wanted
    if (contrast.value === 'more') return 'contrast'
    return dark.value ? 'dark' : 'light'
  })
  watchEffect(() => {
    document.documentElement.dataset.theme = theme.value
  })
  return theme
}
