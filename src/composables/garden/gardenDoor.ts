import type { Command } from '@/model/garden/commands'
import type { Garden } from '@/model/garden/garden'
import type { Settings } from '@/model/garden/schemas'

/**
 * What composables need of a garden: its records, its settings and one way to change it. The store is one; a test
 * makes another.
 */
export interface GardenDoor {
  readonly records: Garden
  readonly settings: Settings
  run: (command: Command) => void
}
