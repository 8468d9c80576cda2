import { tablesOf } from '../garden/tables'
import type { Evaluation, MixInContainer } from '@/core/evaluate'
import type { Outcome } from '@/core/outcome'
import { waterJudged, type Bands } from '@/core/targets'
import { recipeOf } from './versions'
import type { Footprint } from '@/core/footprint'
import { mixCost } from './cost'
import { mixFootprint } from './footprint'
import { placeOf, type Garden } from '@/model/garden/garden'
import { prepareJob } from './evaluateJob'
import { standingOf } from '@/core/judgement'
import { AT_REST, evaluatePrepared, judgementsOf, type PreparedMix } from './prepare'
import type { Job, Place, Recipe } from '@/model/garden/schemas'
import { verdictOf, type Verdict } from './verdict'

/** A mix to compare with others, in the bed of one job. */
export interface Rival {
  id: string
  name: string
  recipe: Recipe
  /** What it may be at most and least, where a label leaves that open. */
  corners: readonly Recipe[]
}

export interface Compared {
  rival: Rival
  answer: Outcome<Evaluation>
  /** What it is held to, and as the core takes it; null where it cannot be prepared. */
  bands: Bands | null
  input: MixInContainer | null
  /** What is said first of it; null where it cannot be worked out. */
  verdict: Verdict | null
  /** Share of drawn lots that meet every band; null until it is worked out. */
  chance: number | null
  /** Money for a litre of blended mix; null where some price is unknown. */
  costPerLitre: number | null
  /** kg of carbon dioxide for a litre of blended mix; null where a part has no figure. */
  footprint: Footprint | null
  /** The same at the corners of what its label leaves open. */
  corners: Compared[]
}

/** Every mix in the same bed, crop and season. */
export function compare(
  garden: Garden,
  job: Job,
  place: Place | undefined,
  rivals: readonly Rival[],
): Compared[] {
  const tables = tablesOf(garden)
  const one = (rival: Rival): Compared => {
    const prepared = prepareJob({ ...job, ...recipeOf(rival.recipe) }, place, tables)
    const answer = prepared.ok ? evaluatePrepared(prepared.value, AT_REST) : prepared
    return {
      rival,
      answer,
      bands: prepared.ok ? prepared.value.bands : null,
      input: prepared.ok ? prepared.value.input : null,
      verdict: prepared.ok && answer.ok ? verdictOf(prepared.value, answer.value) : null,
      chance: null,
      costPerLitre: answer.ok ? costOf(garden, rival, prepared.ok ? prepared.value : undefined) : null,
      footprint: answer.ok
        ? mixFootprint(rival.recipe, tables, prepared.ok ? prepared.value : undefined)
        : null,
      corners: rival.corners.map((recipe) => one({ ...rival, recipe, corners: [] })),
    }
  }
  return rivals.map(one)
}

/**
 * Ids of the mixes that suit a job's bed, crop and place best: fewest faults by `standingOf`, warnings counted; so many
 * at the most, the best first. Those that cannot be worked out are left aside.
 */
export function bestOf(garden: Garden, job: Job, rivals: readonly Rival[], most: number): string[] {
  const [place, tables] = [placeOf(garden), tablesOf(garden)]
  const ranked = rivals.flatMap(({ id, recipe }) => {
    const prepared = prepareJob({ ...job, ...recipeOf(recipe) }, place, tables)
    const answer = prepared.ok ? evaluatePrepared(prepared.value, AT_REST) : prepared
    if (!prepared.ok || !answer.ok) return []
    const perennial = prepared.value.question.crops[0]?.perennial ?? false
    const judgements = judgementsOf(prepared.value, answer.value)
    return [
      { id, faults: standingOf(answer.value, { bands: prepared.value.bands, perennial }, judgements).faults },
    ]
  })
  return ranked
    .sort((a, b) => a.faults - b.faults)
    .slice(0, most)
    .map(({ id }) => id)
}

function costOf(garden: Garden, rival: Rival, prepared?: PreparedMix): number | null {
  const { perLitre, missing } = mixCost(garden, rival.recipe, prepared)
  return missing.length > 0 ? null : perLitre
}

/** A figure held side by side: how to read it, and what counts as a difference worth a word. */
export interface Aspect {
  key: string
  of: (c: Compared) => number | null
  step: number
  /** Where the figure itself is a range, wherever its label leaves nothing open. */
  range?: (c: Compared) => { low: number; high: number } | null
}

/** What mixes are compared by. Steps as in the finder: differences a grower would notice. */
const ASPECTS: readonly Aspect[] = [
  { key: 'air', step: 0.02, of: (c) => value(c, (e) => e.mix.airFilledPorosity) },
  { key: 'water', step: 0.02, of: (c) => (c.bands ? value(c, (e) => waterJudged(e.mix, c.bands!)) : null) },
  {
    key: 'days',
    step: 0.3,
    of: (c) =>
      value(c, (e) =>
        e.growing?.thirstiestMonth ? e.growing.watering[e.growing.thirstiestMonth - 1]!.days.value : null,
      ),
  },
  { key: 'pH', step: 0.2, of: (c) => value(c, (e) => e.lime.pH) },
  {
    key: 'salts',
    step: 0.5,
    of: (c) => value(c, (e) => e.salts.most.saturatedExtract),
  },
  {
    key: 'wind',
    step: 1,
    of: (c) => value(c, (e) => (Number.isFinite(e.growing?.tippingWind) ? e.growing!.tippingWind : null)),
  },
  { key: 'chance', step: 0.1, of: (c) => c.chance },
  { key: 'weight', step: 1, of: (c) => value(c, (e) => e.weights.drained) },
  { key: 'feed', step: 0.1, of: (c) => value(c, (e) => e.growing?.feeding.fed ?? null) },
  {
    key: 'lost',
    step: 0.05,
    of: (c) => value(c, (e) => e.seasons.find((s) => s.years === 3)?.volumeLost ?? null),
  },
  { key: 'loss', step: 0.02, of: (c) => value(c, (e) => e.blend.blendingLoss) },
  { key: 'cost', step: 0.03, of: (c) => c.costPerLitre },
  { key: 'footprint', step: 0.05, of: (c) => c.footprint?.value ?? null, range: (c) => c.footprint },
]
function value(c: Compared, of: (e: Evaluation) => number | null): number | null {
  return c.answer.ok ? of(c.answer.value) : null
}

/**
 * Between what and what a figure lies where a label leaves it open by more than a grower would notice; null
 * elsewhere.
 */
function openOf(aspect: Aspect, c: Compared): { low: number; high: number } | null {
  if (aspect.range) return aspect.range(c)
  const values = [c, ...c.corners].flatMap((one) => aspect.of(one) ?? [])
  const [low, high] = [Math.min(...values), Math.max(...values)]
  return high - low >= aspect.step ? { low, high } : null
}

/** Aspects with their values, those that differ most first; `steps` is the spread in noticeable steps. */
export function differences(compared: readonly Compared[]) {
  return ASPECTS.map((aspect) => {
    const values = compared.map((c) => aspect.of(c))
    const known = values.filter((v): v is number => v !== null && Number.isFinite(v))
    const spread = known.length > 1 ? Math.max(...known) - Math.min(...known) : 0
    return {
      key: aspect.key,
      values,
      open: compared.map((c) => openOf(aspect, c)),
      steps: spread / aspect.step,
    }
  })
    .filter((row) => row.values.some((v) => v !== null))
    .sort((a, b) => b.steps - a.steps)
}
