import type { Situation } from '@/core/appraisal'
import type { Acidified } from '@/core/chemistry'
import type { Climate, WallKind } from '@/core/climate'
import type { Band, Crop, Tables } from '@/core/data'
import type { LayerKind } from '@/core/filling'
import type { Container } from '@/core/geometry'
import type { WindExposure } from '@/core/judgement'
import type { Place as DressingPlace, WaterIons } from '@/core/nutrients'
import type { Target } from '@/core/targets'
import type { WallMaterial } from '@/core/weight'

/**
 * Everything the answer about one mix depends on, as plain data: it crosses to workers. A job and a case of the
 * headless door both become one of these, and `prepare` is the only way on from here.
 */
export interface MixQuestion {
  bed: BedQuestion
  recipe: RecipeQuestion
  /** The leading crop first; empty where none is chosen. */
  crops: readonly Crop[]
  /** Null where nobody said where the garden is. */
  place: PlaceQuestion | null
  care: CareQuestion
  /** How it will be used and where parts come from, as far as anybody said. */
  situation: Situation
  tables: Tables
}

/** The bed or container the mix is judged in. */
export interface BedQuestion {
  container: Container
  /** Under the mix, from the base up. */
  layers: readonly BedLayer[]
  /** Share of its volume the mix loses on being firmed or pressed in; 0 where left out. */
  pressed?: number
  /** On the mix; cm. */
  cover?: { materialId: string; thickness: number } | null
  /** Litres of roots planted with their own soil. */
  rootBalls: number
  wallKind: WallKind
  /** What its sides are made of, for the weight of the empty container; or that weight, kg. */
  empty: { wall: WallMaterial } | { kg: number }
  /** Has to be lifted once filled. */
  carried: boolean
  /** Part of the ground: no wind tips it. */
  wide: boolean
}

/** A layer of a known kind, of one material, or of any mix; thickness in cm. */
export type BedLayer =
  | { kind: LayerKind; thickness: number }
  | { kind: 'material'; thickness: number; materialId: string }
  | { kind: 'mix'; thickness: number; lines: readonly RecipeLine[] }

/** A part: a finished mix of the same recipe or a material, by its id, in parts of one bucket. */
export interface RecipeLine {
  id: string
  parts: number
}

/** A mix complete in itself that goes into another as one of its parts. */
export interface FinishedMix {
  id: string
  lines: readonly RecipeLine[]
  /** Stirred in when it was made, g per litre of it. */
  lime?: LimeAmount
  dressings?: readonly { dressingId: string; gramsPerLitre: number }[]
}

/** Two limes together: g per litre of blended mix, and the share of dolomite by weight. */
export interface LimeAmount {
  gramsPerLitre: number
  dolomiteShare: number
}

export interface LimeWish {
  aim: { kind: 'none' } | { kind: 'dose'; gramsPerLitre: number } | { kind: 'pH'; target: number }
  /** How the two limes are shared: by weight, or so that calcium to magnesium comes to a ratio by weight. */
  dolomite: { kind: 'share'; share: number } | { kind: 'ratio'; calciumToMagnesium: number }
  /** Ids of the two limes; the first may be any, dolomite is the second. */
  calcitic: string
  dolomitic: string
}

export interface RecipeQuestion {
  lines: readonly RecipeLine[]
  mixes: readonly FinishedMix[]
  lime: LimeWish
  dressings: readonly DoseLine[]
}

/** g per litre of the mix it goes into. */
export interface DoseLine {
  dressingId: string
  gramsPerLitre: number
  place: DressingPlace
  /** Share of the mix that gets it, 0 to 1; all of it where left out. */
  share?: number
}

export interface PlaceQuestion {
  climate?: Climate
  /** meq/L. */
  waterAlkalinity: number
  /** dS/m; pure water where left out. */
  waterConductivity?: number
  /** From a softener; no where left out. */
  waterSoftened?: boolean
  /** Of a water report, mg/L. */
  waterIons?: WaterIons
  /** What acid took out of the water and left in it. */
  waterAcidified?: Acidified
  /** How windy it stands; null where nobody said. */
  wind: WindExposure | null
}

export interface CareQuestion {
  /** Plants in one container; null for as many as have room. */
  plants: number | null
  /** 1 to 12; null where nobody said. */
  plantingMonth: number | null
  /** Days between the waterings that can be kept; null where nobody said. */
  waterEvery: number | null
  /** Feeds given with water; days after planting, to the end of the season where `untilDay` is null. */
  liquidFeeds?: readonly LiquidFeedQuestion[]
  leachingFraction?: number
  /** Mean of the mix where no climate is known, C. */
  temperature?: number
  /** Bands the grower has moved. */
  bands: Partial<Record<Target, Band>>
}

/** g in a litre of water, litres of it for one container. */
export interface LiquidFeedQuestion {
  dressingId: string
  gramsPerLitre: number
  litres: number
  everyDays: number
  fromDay: number
  untilDay: number | null
}

/** The limes of the tables that growers know as limestone and dolomite. */
export const USUAL_LIMES = { calcitic: 'lime_calcitic', dolomitic: 'lime_dolomitic' } as const
