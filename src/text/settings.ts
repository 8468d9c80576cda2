import type { Settings } from '@/model/garden/schemas'

export const UNIT_NAMES: { value: Settings['units']; label: string }[] = [
  { value: 'metric', label: 'Metric' },
  { value: 'us', label: 'US' },
]
export const THEME_NAMES: { value: Settings['theme']; label: string }[] = [
  { value: 'auto', label: 'As the device' },
  { value: 'light', label: 'Light' },
  { value: 'dark', label: 'Dark' },
  { value: 'contrast', label: 'Bright sun' },
]
