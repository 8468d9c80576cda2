import type { FieldTest } from '@/core/fieldTests'
import type { Test } from '../garden/schemas'

/** A test that is just begun. */
export const startingTest = (
  id: string,
  test: FieldTest,
  of: Partial<Pick<Test, 'jobId' | 'fillId' | 'materialId'>>,
  startedAt: string,
): Test => ({
  id,
  test,
  jobId: null,
  fillId: null,
  materialId: null,
  ...of,
  startedAt,
  finishedAt: null,
  doneSteps: [],
  timers: [],
  repeats: [{}],
  strips: false,
  expected: {},
  note: '',
})
