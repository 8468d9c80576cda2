import { isCarried, isTender, type Topic } from '@/core/appraisal'
import { isHomeMade, materialIn, mayBeOffered, type Material, type Tables } from '@/core/data'
import type { Move } from '@/core/finder'
import { isForSeedlings } from '@/core/judgement'
import { blend, preparedMaterial } from '@/core/mixing'
import { containerProfile } from '@/core/water'
import type { DressingLine, LimeSetting, Recipe } from '../garden/schemas'
import { doseOffers } from '../mix/doses'
import { prepare } from '../mix/prepare'
import { recipeQuestion } from '../mix/questionOfJob'
import type { BenchMove, Idea, Looked, MovesRequest } from './moveTypes'

/** Slices are enough to tell one side of a band from the other. */
const PROFILE_SLICES = 24
/** How far inside a band lime aims when it aims at its edge, pH. Source: our assumption: meters show a tenth. */
const INSIDE = 0.1

/** Lime to the middle of the band or just inside its nearer edge, more or less than now; half where it does little. */
export function limeIdeas(
  recipe: Recipe,
  { prepared, evaluation, judgements, standing, findings }: Looked,
): Omit<Idea, 'figures'>[] {
  const isSaid = (topic: Topic) => findings.some((f) => f.topic === topic && f.severity !== 'note')
  const now = prepared.lime.own.gramsPerLitre
  const { lime } = recipe
  const { low, high } = prepared.bands.pH
  const edge = evaluation.lime.pH > high ? high - INSIDE : low + INSIDE
  const settings: LimeSetting[] = []
  // Where pH below the band is nothing to mend, lime mends nothing.
  if (standing.misses.pH !== undefined && (isSaid('ph-low') || evaluation.lime.pH > low))
    for (const pH of [(low + high) / 2, edge]) {
      const target = Number(pH.toFixed(1))
      if (lime.mode !== 'toTarget' || lime.target !== target)
        settings.push({ ...lime, mode: 'toTarget', target })
    }
  if (now > 0 && judgements.some((j) => j.code === 'lime-does-little'))
    settings.push({ ...lime, mode: 'fixed', gramsPerLitre: Number((now / 2).toFixed(1)) })
  if (now > 0 && (isSaid('lime-already-in-bag') || isSaid('lime-too-much')))
    settings.push({ ...lime, mode: 'none' })
  return settings.flatMap((setting) => {
    const next = { ...recipe, lime: setting }
    const there = prepare({ ...prepared.question, recipe: recipeQuestion(next) })
    if (!there.ok) return []
    return [{ change: { kind: 'lime', from: now, to: there.value.lime.own.gramsPerLitre }, recipe: next }]
  })
}

/**
 * What would mend feed or pH from a bag: as it is offered beside the dressings; and with the lime that would be offered
 * too, for a mix that is hungry and sour. An acid that cannot reach its pH is none.
 */
export function dressIdeas(
  recipe: Recipe,
  looked: Looked,
  limes: readonly Omit<Idea, 'figures'>[],
): Omit<Idea, 'figures'>[] {
  return doseOffers(looked.prepared, looked.evaluation).flatMap(({ line, why }) => {
    if (why.code === 'acid' && why.capped) return []
    const dress = { kind: 'dress', dressingId: line.dressingId, gramsPerLitre: line.gramsPerLitre } as const
    const dressed = (of: Recipe) => ({ ...of, dressings: [...of.dressings, line as DressingLine] })
    return [
      { change: dress, recipe: dressed(recipe) },
      ...limes.flatMap(({ change, recipe: limed }) =>
        change.kind === 'lime'
          ? [{ change: { kind: 'limeAndDress', lime: change, dress } as const, recipe: dressed(limed) }]
          : [],
      ),
    ]
  })
}

/** Each dressing left out, or half of it. */
export const undressIdeas = ({ dressings, ...recipe }: Recipe): Omit<Idea, 'figures'>[] =>
  dressings.flatMap((line, i) =>
    [0, line.gramsPerLitre / 2].map((to): Omit<Idea, 'figures'> => ({
      change: { kind: 'undress', dressingId: line.dressingId, from: line.gramsPerLitre, to },
      recipe: {
        ...recipe,
        dressings:
          to > 0
            ? dressings.with(i, { ...line, gramsPerLitre: Number(to.toPrecision(2)) })
            : dressings.filter((_, j) => j !== i),
      },
    })),
  )

/** What a move brings in; null where it takes away only. */
const comesIn = (move: Move) => (move.kind === 'add' ? move.material : move.kind === 'swap' ? move.to : null)

/** Does a material by itself lie on the side a mix has to go, where it misses air? */
function mends(material: Material, { evaluation: e, prepared: { input, bands }, standing }: Looked): boolean {
  const alone = blend([{ material: preparedMaterial(material), parts: 1 }])
  if (standing.misses.air === undefined || !alone.ok) return alone.ok
  const { totalPorosity, waterAt } = alone.value
  const { airFilledPorosity: air } = containerProfile(
    input.container,
    [{ top: e.fill.mixHeight, totalPorosity, waterAt }],
    PROFILE_SLICES,
  )
  const wanted = bands.airFilledPorosity
  return e.mix.airFilledPorosity < wanted.low ? air >= wanted.low : air <= wanted.high
}

/** Is what a move brings in meant for such a mix, and does it mend? What is in it already is meant for it. */
export function mayTake(move: Move, now: Looked, { recipe, question, problem }: MovesRequest): boolean {
  const { evaluation: e, prepared } = now
  const id = comesIn(move)
  const row = id === null ? null : materialIn(question.tables, id)
  if (!row) return true
  if (!mends(row, now)) return false
  if (recipe.parts.some((p) => p.materialId === id)) return true
  const onShelf = problem.shelf.find((s) => s.material.material.id === id)
  if (isHomeMade(row.id) && !(onShelf && (onShelf.stock > 0 || onShelf.pricePerLitre !== null))) return false
  return mayBeOffered(row, {
    tender: isForSeedlings(e) || isTender(question.situation),
    litres: e.mix.mixVolume,
    inGround: prepared.input.container.base.kind === 'onSoil',
    carried: isCarried(question.situation),
  })
}

/** Of moves that do the same with the same kind of material only the best: three offers are three ways. */
export function differing<M extends BenchMove>(moves: readonly M[], tables: Tables): M[] {
  const seen = new Set<string>()
  return moves.filter(({ change: c }) => {
    const family = (id: string) => materialIn(tables, id)?.family ?? id
    const key =
      c.kind === 'add'
        ? `in ${family(c.material)}`
        : c.kind === 'swap'
          ? `in ${family(c.to)}`
          : c.kind === 'takeAway'
            ? `out ${c.material}`
            : c.kind === 'lime'
              ? 'lime'
              : c.kind === 'limeAndDress'
                ? 'lime and feed'
                : `${c.kind} ${c.dressingId}`
    return !seen.has(key) && seen.add(key)
  })
}
