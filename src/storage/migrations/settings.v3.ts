import { z } from 'zod/mini'

/** Settings, version 2 to 3: the lessons gone through. */
export function settingsV3(data: unknown): unknown {
  return { ...z.looseObject({}).parse(data), lessonsSeen: [] }
}
