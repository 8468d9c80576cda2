import type { Material } from '@/core/data'
import { ORIGINS, type Job, type OriginOf } from '@/model/garden/schemas'

/** What is asked about where a part comes from, and its answers. */
const ORIGIN_TEXTS: {
  [O in OriginOf]: { ask: string; label: string; answers: Record<(typeof ORIGINS)[O][number], string> }
} = {
  bag: {
    ask: 'What does the label of the potting mix say?',
    label: 'Potting mix in bags',
    answers: {
      limedAndFed: 'limed, with feed for some weeks',
      limed: 'limed, no feed',
      neither: 'neither lime nor feed',
    },
  },
  manure: {
    ask: 'Where does the manure come from?',
    label: 'Manure',
    answers: {
      unsprayed: 'rotted, from fields I know are not sprayed',
      doubtful: 'rotted, from bought hay or straw, or I do not know',
      fresh: 'fresh, not rotted yet',
    },
  },
  vermiculite: {
    ask: 'Where does the vermiculite come from?',
    label: 'Vermiculite',
    answers: { newBag: 'a new bag sold for growing', old: 'old insulation, or I do not know' },
  },
}

/** Is a material one whose figures or safety turn on where it comes from? */
const TURNS: Record<OriginOf, (material: Material) => boolean> = {
  bag: ({ id }) => id === 'potting_mix_bagged',
  manure: ({ family }) => family === 'manure',
  vermiculite: ({ family }) => family === 'vermiculite',
}

/** A question about where a part comes from: what heads it, its answers, the one given. */
export interface OriginQuestion {
  of: OriginOf
  /** The question while it is open, then the answer. */
  heading: string
  label: string
  options: { value: string; label: string }[]
  answer: string | null
}

/** What there is to ask about where the materials of a mix come from; nothing of most. */
export const originQuestions = (materials: readonly Material[], origins: Job['origins']): OriginQuestion[] =>
  (Object.keys(TURNS) as OriginOf[])
    .filter((of) => materials.some(TURNS[of]))
    .map((of) => {
      const { ask, label } = ORIGIN_TEXTS[of]
      const answers: Record<string, string> = ORIGIN_TEXTS[of].answers
      const answer = origins[of]
      return {
        of,
        heading: answer === null ? ask : `${label}: ${answers[answer]}`,
        label,
        options: ORIGINS[of].map((value) => ({ value, label: answers[value]! })),
        answer,
      }
    })
