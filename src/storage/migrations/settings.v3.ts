import { z } from 'zod'

/** Settings, version 2 to 3: the lessons gone through. */
export function settingsV3(data: unknown): unknown {
  return { ...z.looseObject({}).parse(data), lessonsSeen: [] }
}
