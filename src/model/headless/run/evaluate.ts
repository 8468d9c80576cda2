import { FULL_EFFORT, type Evaluation, type MixInContainer } from '@/core/evaluate'
import { succeed, type Outcome } from '@/core/outcome'
import {
  figuresOf,
  learnAtOnce,
  learnedOfMaterial,
  materialsOf,
  rangesAtOnce,
  type Measurement,
} from '@/core/ranges'
import type { Finding } from '@/core/appraisal'
import { appraisalOf } from '../../mix/appraisal'
import { evaluatePrepared, judgementsOf, prepare, type PreparedMix } from '../../mix/prepare'
import type { RowsAtHand } from '../tablesOfCase'
import type { CaseOf } from '../cases'
import { questionOfCase } from '../questionOfCase'
import { offersOf } from './offers'

/** What an adviser would say of it, the gravest first. */
const appraised = (prepared: PreparedMix, e: Evaluation): Finding[] =>
  appraisalOf(prepared, e, judgementsOf(prepared, e))

/** An evaluation as plain data worth keeping: figures by name, the profile by depth, courses by the week. */
function written(e: Evaluation, input: MixInContainer) {
  return {
    figures: figuresOf(e),
    parts: e.blend.shares.map(({ material, share }) => ({ material: material.id, share })),
    lime: {
      gramsPerLitre: input.limeGramsPerLitre,
      doses: e.lime.doses.map((d) => ({ lime: d.lime.id, gramsPerLitre: d.gramsPerLitre })),
    },
    container: e.fill,
    // A dozen depths are enough to draw from; the figures use all of them.
    profile: e.profile.slices
      .filter((_, i, all) => i % Math.ceil(all.length / 24) === 0)
      .map(({ height, solids, water, air }) => ({ height, solids, water, air })),
    layers: e.profile.layers,
    salts: e.salts,
    flags: e.flags,
    acidity: e.acidity.map(({ day, pH, residual }) => ({ day, pH, residual })),
    seasons: e.seasons,
    growing: e.growing,
  }
}

/** Figures alone, as the mix screen shows them: one of many mixes that are compared by them. */
function briefly(prepared: PreparedMix): Outcome<object> {
  const { input, lime } = prepared
  const e = evaluatePrepared(prepared)
  if (!e.ok) return e
  const dose = { gramsPerLitre: input.limeGramsPerLitre, toAdd: lime.own.gramsPerLitre }
  return succeed(
    { figures: figuresOf(e.value, false), lime: dose, mixVolume: e.value.fill.mixVolume },
    ...e.notes,
  )
}

/** Works an evaluate case out, with ranges where it asks for them. */
export function runEvaluate(c: CaseOf<'evaluate'>, rows: RowsAtHand): Outcome<object> {
  const question = questionOfCase(c, rows)
  if (!question.ok) return question
  const prepared = prepare(question.value)
  if (!prepared.ok) return prepared
  if (c.answer === 'figures' && !c.ranges) {
    const brief = briefly(prepared.value)
    return brief.ok ? succeed(brief.value, ...prepared.notes, ...brief.notes) : brief
  }
  const { input } = prepared.value
  if (!c.ranges) {
    const answer = evaluatePrepared(prepared.value, FULL_EFFORT)
    return answer.ok
      ? succeed(
          {
            ...written(answer.value, input),
            appraisal: appraised(prepared.value, answer.value),
            ...(c.offers ? { offers: offersOf(c, question.value) } : {}),
          },
          ...prepared.notes,
          ...answer.notes,
        )
      : answer
  }
  const measurements = c.ranges.measurements as Measurement[]
  const learned = learnAtOnce([
    {
      key: 'mix',
      input,
      readings: measurements.map((measurement, i) => ({ id: String(i + 1), measurement })),
    },
  ])
  if (!learned.ok) return learned
  const { learning, readings } = learned.value
  const { draws, seed } = c.ranges
  const ranged = rangesAtOnce({ input, draws, seed, learning })
  if (!ranged.ok) return ranged
  const { best, ranges } = ranged.value
  return succeed(
    {
      ...written(best, input),
      appraisal: appraised(prepared.value, best),
      ranges,
      readings,
      learned: [...materialsOf(input).values()].flatMap((m) => learnedOfMaterial(m, learning) ?? []),
      draws: ranged.value.draws,
    },
    ...prepared.notes,
    ...ranged.notes,
  )
}
