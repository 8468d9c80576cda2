import { MATERIALS } from '@/core/data'
import { preparedMaterial } from '@/core/mixing'
import { finderProblem } from '../../find/finderProblem'
import { movesAtOnce, type Change } from '../../find/nextMoves'
import type { LimeSetting, Recipe } from '../../garden/schemas'
import type { MixQuestion } from '../../mix/question'
import type { CaseOf } from '../cases'

/** Offers that are asked for. */
const MOST = 3
const TWELFTHS = 12

/** Dolomite as the garden has it, by weight; a wanted ratio stands for half and half here. */
const HALF = 0.5

function limeSetting({ aim, dolomite, calcitic }: MixQuestion['recipe']['lime']): LimeSetting {
  return {
    mode: aim.kind === 'none' ? 'none' : aim.kind === 'dose' ? 'fixed' : 'toTarget',
    target: aim.kind === 'pH' ? aim.target : 6,
    gramsPerLitre: aim.kind === 'dose' ? aim.gramsPerLitre : 0,
    dolomiteShare: dolomite.kind === 'share' ? dolomite.share : HALF,
    limeId: calcitic,
  }
}

/** The recipe of a case as a garden keeps it: parts in twelfths, so small ones scaled up. */
function recipeOf({ recipe }: MixQuestion): Recipe {
  const least = Math.min(...recipe.lines.map((l) => l.parts))
  const scale = least < 1 / TWELFTHS ? 1 / (TWELFTHS * least) : 1
  return {
    parts: recipe.lines.map((l) => ({
      materialId: l.id,
      twelfths: Math.max(1, Math.round(l.parts * scale * TWELFTHS)),
    })),
    mixes: [],
    lime: limeSetting(recipe.lime),
    dressings: recipe.dressings.map((d, i) => ({ id: `d${i}`, ...d })) as Recipe['dressings'],
  }
}

/** A change as a word and what it is of: "more:perlite_coarse", "less:peat_fine", "lime", "lime-less". */
function written(change: Change): string[] {
  switch (change.kind) {
    case 'add':
      return [`more:${change.material}`]
    case 'takeAway':
      return [`less:${change.material}`]
    case 'swap':
      return [`more:${change.to}`, `less:${change.from}`]
    case 'lime':
      return [change.to > change.from ? 'lime' : 'lime-less']
    case 'limeAndDress':
      return [...written(change.lime), ...written(change.dress)]
    case 'undress':
      return [`less:${change.dressingId}`]
    case 'dress':
      return [`more:${change.dressingId}`]
  }
}

/** One offer: what changes, and how much of what there was to say it takes away. */
export interface WrittenOffer {
  changes: string[]
  change: Change
  gain: number
  eases: number
}

/**
 * The next moves of a case, the best three, from every material of the tables; empty for a mix that needs none, and
 * where the case has mixes within its mix.
 */
export function offersOf(c: CaseOf<'evaluate'>, question: MixQuestion): WrittenOffer[] {
  if (c.mixes) return []
  const problem = finderProblem(
    question,
    MATERIALS.filter((m) => m.family !== 'mix' || question.recipe.lines.some((l) => l.id === m.id)).map(
      (m) => ({ material: preparedMaterial(m), pricePerLitre: null, stock: 0, packLitres: 50 }),
    ),
  )
  if (!problem.ok) return []
  const found = movesAtOnce({
    question,
    recipe: recipeOf(question),
    problem: problem.value,
    mixes: [],
    prices: {},
    answered: [],
    most: MOST,
  })
  if (!found.ok) return []
  return found.value.moves.map(({ change, gain, eases }) => ({
    changes: written(change),
    change,
    gain,
    eases,
  }))
}
