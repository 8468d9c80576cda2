/** A judgement in words. */
export interface JudgementText {
  /** What is the matter, with its numbers. */
  says: string
  /** What to do. */
  does: string
  /** On whose word. */
  source: string
}
