import { SETTINGS_KEY } from '@/model/garden/garden'
import { settingsFor } from '@/model/garden/locale'
import type { Seed } from './connection'

/** A new garden takes its units and its money from the browser; one that was begun before keeps what it had. */
export const ownSeed =
  (language: string, isEmpty: () => boolean): Seed =>
  async () =>
    new Map([[SETTINGS_KEY, settingsFor(isEmpty() ? language : '')]])
