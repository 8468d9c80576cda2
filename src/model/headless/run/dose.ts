import { acidForTarget } from '../../../core/chemistry'
import { finish, type Finished } from '../../../core/finder'
import { fail, succeed, type Note, type Outcome } from '../../../core/outcome'
import type { RowsAtHand } from '../tablesOfCase'
import type { CaseOf } from '../cases'
import { wishesOf } from './finishOf'
import { dressingIn } from '../../../core/data/dressings'
import { flatOf } from '../../mix/prepareRecipe'
import { recipeOfCase } from '../questionOfCase'
import { blend } from '@/core/mixing'

/** Lime and feed as plain data. g per litre of blend, mg per litre reached. */
export function writtenDoses({ lime, feed }: Finished) {
  return {
    feed: feed && {
      ...feed,
      doses: feed.doses.map(({ dressing, ...d }) => ({ dressing: dressing.id, ...d })),
    },
    lime: lime && {
      gramsPerLitre: lime.plan.gramsPerLitre,
      doses: lime.plan.doses.map((d) => ({ lime: d.lime.id, gramsPerLitre: d.gramsPerLitre })),
      dolomiteShare: lime.dolomiteShare,
      calciumToMagnesium: lime.calciumToMagnesium,
      pH: lime.plan.pH,
      residual: lime.plan.residual,
    },
  }
}

/** Feed, then lime with the feed's acid counted, then acidifier: whichever the case asks for. g per litre of blend. */
export function runDose(c: CaseOf<'dose'>, rows: RowsAtHand): Outcome<object> {
  const mix = recipeOfCase({ ...c, lime: undefined, dressings: [] }, rows)
  if (!mix.ok) return mix
  const { recipe, tables } = mix.value
  const flat = flatOf(recipe.lines, recipe.mixes, tables)
  if (!flat.ok) return flat
  const blended = blend(flat.value.parts)
  if (!blended.ok) return blended
  const mixed = blended.value
  const wishes = wishesOf(c, tables)
  if (!wishes.ok) return wishes
  const finished = finish(flat.value.parts, wishes.value)
  if (!finished.ok) return finished
  const notes: Note[] = [...finished.notes]
  const answer = {
    pHBefore: mixed.pH,
    bufferCapacity: mixed.bufferCapacity,
    ...writtenDoses(finished.value),
  }
  if (!c.acid) return succeed(answer, ...notes)
  const dressing = dressingIn(tables, c.acid.dressing)
  if (!dressing) return fail({ code: 'unknown-dressing', dressing: c.acid.dressing })
  const plan = acidForTarget(mixed, { dressing, target: c.acid.targetPH }, c.acid.days, {
    acids: finished.value.feed?.doses ?? [],
    temperature: c.temperature,
  })
  return plan.ok
    ? succeed({ ...answer, acid: { dressing: dressing.id, ...plan.value } }, ...notes, ...plan.notes)
    : plan
}
