import { z } from 'zod/mini'

/** Settings, version 1 to 2: the hand, big steps and the cautions read. */
export function settingsV2(data: unknown): unknown {
  return { ...z.looseObject({}).parse(data), hand: 'right', bigSteps: false, cautionsRead: {} }
}
