import type { DressingDose } from '../nutrients'
import type { LimeChoice } from '../chemistry'
import type { Band, Crop } from '../data/types'
import type { Evaluation } from '../evaluate'
import type { Container } from '../geometry'
import type { BlendPart } from '../mixing'
import type { FeedFlag, IonConcern, Trace, WaterIons } from '../nutrients'
import type { Centimetres, Days, Fraction } from '../units'
import type { WindExposure } from './limits'

/** Something the numbers say that a grower should hear, as plain data; ranked by `level`. */
export type Judgement = { level: 'alarm' | 'warn' | 'note' } & (
  | { code: 'too-little-air'; air: Fraction; wanted: Fraction; depth: Centimetres; inGround: boolean }
  | { code: 'foot-drowned'; height: Centimetres; depth: Centimetres; air: Fraction; inGround: boolean }
  | { code: 'stays-wet'; months: number[]; air: Fraction; better: Fraction }
  | {
      code: 'sand-lowers-air'
      material: string
      isSoil: boolean
      share: Fraction
      air: Fraction
      without: Fraction
    }
  /** Root room of one plant, and what its crop wants; litres. */
  | { code: 'pot-too-small'; crop: string; room: number; wanted: number; share: Fraction }
  | { code: 'lime-does-little'; gramsPerLitre: number; pH: number; halfPH: number }
  /** All limes together, as calcium carbonate, and how many times what a mix takes. */
  | { code: 'lime-too-much'; gramsPerLitre: number; times: number }
  /** Lime is given against sulfur or another acidifier of the same mix; `lime` g per litre. */
  | { code: 'lime-against-acid'; dressing: string; lime: number }
  /** Alkalinity of the water, meq/L. */
  | { code: 'water-raises-ph'; from: number; to: number; weeks: number; most: number; alkalinity: number }
  /** Salts rise beyond the crop's limit; `leaching` is the share of the water that has to drain against it. */
  | {
      code: 'salts-rise'
      from: number
      to: number
      week: number
      limit: number
      yieldKept: Fraction
      leaching: Fraction
    }
  | { code: 'softened-water' }
  /** mg/L. */
  | ({ code: 'water-ion' } & IonConcern)
  | { code: 'hard-water-for-acid'; alkalinity: number; limit: number; most: number }
  | { code: 'rich-for-seedlings'; share: Fraction; ec: number; limit: number }
  | { code: 'unsterile-for-seeds'; materials: string[] }
  | { code: 'coir-wants-calcium'; share: Fraction; calcium: number; wanted: number }
  /** Traces a crop will lack: nothing brings them, or pH keeps them back. */
  | { code: 'traces-short'; unsupplied: Trace[]; heldBack: Trace[]; pH: number }
  | { code: 'traces-harm'; traces: Trace[]; pH: number }
  | { code: 'tips-in-wind'; at: number; met: number; tooHeavy: boolean }
  | {
      code: 'slumps'
      years: number
      lost: Fraction
      air: Fraction
      wanted: Fraction
      /** Materials of which half or more is gone by then, those that stay, and what takes most of the loss. */
      going: string[]
      staying: string[]
      losing: string[]
    }
  | { code: 'nitrogen-for-roots'; mgPerLitre: number; limit: number }
  | { code: 'blossom-end-rot'; days: Days; keeps: Days; crop: string }
  | { code: 'much-compost'; share: Fraction; limit: Fraction }
  | FeedFlag
)
export type JudgementCode = Judgement['code']

export interface JudgementQuestion {
  evaluation: Evaluation
  container: Container
  parts: readonly BlendPart[]
  limes: readonly LimeChoice[]
  crop?: Crop
  /** Plants in one container; one where left out. */
  plants?: number
  airWanted: Band
  pHWanted: Band
  /** Most that may be lifted, kg; null where nothing has to be. */
  liftable: number | null
  /** Where it stands; null where nobody said. */
  wind: WindExposure | null
  /** Bed of the ground: no wind tips it. */
  wide: boolean
  /** Days between the waterings that can be kept; null where nobody said. */
  waterEvery: Days | null
  /** Alkalinity of the water, meq/L. */
  waterAlkalinity: number
  /** Ions of its report, mg/L; none known where left out. */
  waterIons?: WaterIons
  /** Elemental calcium of what is given beside lime, mg/L. */
  calciumGiven: number
  /** What is given besides lime. */
  dressings: readonly DressingDose[]
}
