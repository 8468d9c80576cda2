import type { Finding, mendedBy } from '@/core/appraisal'
import type { Evaluation } from '@/core/evaluate'
import type { FinderProblem, MixPart, Move, QuickFigures } from '@/core/finder'
import type { Judgement, Standing } from '@/core/judgement'
import type { Recipe } from '../garden/schemas'
import type { DosePrices } from '../mix/doseCost'
import type { DoseOffer, LimeOffer } from '../mix/doses'
import type { PreparedMix } from '../mix/prepare'
import type { MixQuestion } from '../mix/question'

/** Everything next moves are worked out from, as plain data: it crosses to a worker. */
export interface MovesRequest {
  question: MixQuestion
  recipe: Recipe
  problem: FinderProblem
  mixes: MixPart[]
  prices: DosePrices
  /** Warnings the grower has answered. */
  answered: string[]
  /** Moves wanted. */
  most: number
}

interface LimeChange {
  kind: 'lime'
  from: number
  to: number
}
interface DressChange {
  kind: 'dress'
  dressingId: string
  gramsPerLitre: number
}

/** One change of a mix: of its parts, its lime or what dresses it. Doses in g per litre. */
export type Change =
  | Move
  | LimeChange
  | DressChange
  /** Both at once, for a mix that is hungry and sour. */
  | { kind: 'limeAndDress'; lime: LimeChange; dress: DressChange }
  /** Less of a dressing; none where `to` is 0. */
  | { kind: 'undress'; dressingId: string; from: number; to: number }

/** Figures that say what a move does, as the bench shows them. */
export interface MoveFigures {
  air: number
  water: number
  /** In six weeks. */
  pH: number
  /** dS/m. */
  salts: number
  /** kg, drained. */
  weight: number
  /** Days between waterings; null where unknown. */
  days: number | null
  /** Wind it stands, m/s; null where it stands every wind it gets. */
  wind: number | null
  /** Share of the season's nitrogen it gives; null where nobody grows in it. */
  fed: number | null
  /** Money per litre; NaN where some price is unknown. */
  cost: number
}

export interface BenchMove {
  change: Change
  /** The recipe it leads to. */
  recipe: Recipe
  before: MoveFigures
  after: MoveFigures
  /** Steps it mends. */
  gain: number
  /** What it takes off the appraisal: see `easedBy`. */
  eases: number
  /** What the appraisal says less of afterwards. */
  mends: ReturnType<typeof mendedBy>
}

export interface NextMoves {
  /** How the mix compares as it is. */
  standing: Standing
  /** Things said that are no warnings. */
  notes: number
  moves: BenchMove[]
  /** Doses that mend the mix, for beside its lime and its dressings: those of the moves, and no others. */
  doses: DoseOffer[]
  lime: LimeOffer | null
}

/** A recipe as the bench sees it. */
export interface Looked {
  prepared: PreparedMix
  evaluation: Evaluation
  judgements: Judgement[]
  standing: Standing
  findings: Finding[]
}

/** A change with the recipe it leads to and its quick figures. */
export interface Idea {
  change: Change
  recipe: Recipe
  figures: QuickFigures
}
