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

/** How far the app is kept on this device: not at all, being fetched, or all of it. */
export type Kept = 'no' | 'fetching' | 'all'

/** Whether the app works on this device with no network. */
export const KEPT_TEXTS: Record<Kept, string> = {
  no: 'This browser does not keep Open Bed on the device: it needs the network to start. Your garden is kept all the same.',
  fetching: 'Open Bed is being put on this device …',
  all: 'Open Bed is on this device, all of it: it starts and works with no network.',
}
