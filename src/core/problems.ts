/**
 * Every way an input can be unusable, as plain data. The wording lives in src/text, one sentence of
 * why and one of what to do for each code; a missing text is a compile error there.
 */
export type Problem =
  | { code: 'not-a-number'; field: string }
  | { code: 'size-not-positive'; field: string; value: number }
  | { code: 'size-too-large'; field: string; value: number; limit: number }
  | { code: 'size-negative'; field: string; value: number }
  | { code: 'headspace-fills-container'; headspace: number; height: number }
  | { code: 'layers-fill-container'; thickness: number; mixHeight: number }
  | { code: 'hole-above-mix'; holeHeight: number; mixHeight: number }
  | { code: 'outline-crosses-itself' }
  | { code: 'count-not-whole'; value: number }
  | { code: 'no-parts' }
  | { code: 'part-not-positive'; material: string; value: number }
  | { code: 'unknown-material'; material: string }
  | { code: 'pH-out-of-range'; value: number; low: number; high: number }
  | { code: 'target-above-lime-ceiling'; target: number; reachable: number; limit: number }
  | { code: 'vessel-too-small'; vessel: number; smallest: number }
  | { code: 'amount-negative'; field: string; value: number }
  | { code: 'unknown-dressing'; dressing: string }
  | { code: 'unknown-crop'; crop: string }
  /** Nothing is known of the crop, or of the weather of the place. */
  | { code: 'no-place' }
  | { code: 'part-not-measurable'; material: string; value: number }
  | { code: 'unknown-mix'; mix: string }
  | { code: 'mix-contains-itself'; path: string[] }
  | { code: 'shares-do-not-add-up'; sum: number; open: number }
  | { code: 'unknown-family'; family: string }
  | { code: 'value-out-of-range'; field: string; value: number; low: number; high: number }
  | { code: 'no-dressing-for-target'; wanted: string }
  | { code: 'target-out-of-reach'; quantity: string; target: number; reachable: number }
  /** Seed does not come up: C. */
  | { code: 'too-cold-to-emerge'; least: number }
  | { code: 'too-warm-to-emerge'; most: number }
  | { code: 'nothing-to-choose-from' }
  | { code: 'rules-contradict'; material: string }
