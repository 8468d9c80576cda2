import { pressedLoss } from '@/core/filling/firmness'
import { dressingIn } from '@/core/data/dressings'
import { cropById, type Crop, type Tables } from '@/core/data'
import { treatedWater } from '@/core/irrigation'
import { fail, succeed, type Outcome } from '@/core/outcome'
import {
  USUAL_LIMES,
  type FinishedMix,
  type LimeWish,
  type MixQuestion,
  type PlaceQuestion,
  type RecipeLine,
  type RecipeQuestion,
} from '../mix/question'
import { askedWater } from '../mix/jobWater'
import type { CaseOf } from './cases'
import { tablesOfCase, type RowsAtHand } from './tablesOfCase'

type EvaluateCase = CaseOf<'evaluate'>
type Lines = EvaluateCase['mix']

const linesOf = (lines: Lines): RecipeLine[] =>
  lines.map((line) => ({ id: 'mix' in line ? line.mix : line.material, parts: line.parts }))

/** The water of a case, treated as it asks. */
function waterOfCase(
  { waterTreatment, ...growing }: NonNullable<EvaluateCase['growing']>,
  situation: EvaluateCase['situation'],
): Partial<PlaceQuestion> & Pick<PlaceQuestion, 'waterAlkalinity'> {
  const conductivity = growing.waterConductivity ?? situation?.waterEc
  const softened = growing.waterSoftened ?? situation?.softened
  const asGiven = {
    waterAlkalinity: growing.waterAlkalinity ?? 0,
    waterConductivity: conductivity,
    waterSoftened: softened,
    waterIons: growing.waterIons,
  }
  if (!waterTreatment) return asGiven
  const tap = {
    alkalinity: asGiven.waterAlkalinity,
    conductivity: conductivity ?? 0,
    softened: softened ?? false,
    ions: growing.waterIons ?? {},
    acidified: null,
  }
  return askedWater(treatedWater(tap, { rain: waterTreatment.rain, acid: waterTreatment.acid ?? null }))
}

/** Every mix a case names stands in the question, whether or not it is used: a wrong one is reported. */
const mixesOf = (mixes: EvaluateCase['mixes']): FinishedMix[] =>
  Object.entries(mixes ?? {}).map(([id, lines]) => ({ id, lines: linesOf(lines) }))

/** A line that names a mix must name one of the case: a material of the same name is something else. */
function mixNamed(lines: Lines, mixes: EvaluateCase['mixes']): Outcome<null> {
  for (const line of lines)
    if ('mix' in line && !Object.hasOwn(mixes ?? {}, line.mix))
      return fail({ code: 'unknown-mix', mix: line.mix })
  return succeed(null)
}

function limeWishOf(lime: EvaluateCase['lime']): LimeWish {
  if (!lime) return { aim: { kind: 'none' }, dolomite: { kind: 'share', share: 0 }, ...USUAL_LIMES }
  const { calcitic, dolomitic } = lime
  return 'gramsPerLitre' in lime
    ? {
        aim: { kind: 'dose', gramsPerLitre: lime.gramsPerLitre },
        dolomite: { kind: 'share', share: lime.dolomiteShare },
        calcitic,
        dolomitic,
      }
    : {
        aim: { kind: 'pH', target: lime.targetPH },
        dolomite: { kind: 'ratio', calciumToMagnesium: lime.calciumToMagnesium },
        calcitic,
        dolomitic,
      }
}

export type RecipeCase = Pick<
  EvaluateCase,
  'mix' | 'mixes' | 'lime' | 'dressings' | 'ownMaterials' | 'ownDressings'
>

/** The recipe of a case with its own rows. Errors: those of `tablesOfCase`; a mix the case does not name. */
export function recipeOfCase(
  c: RecipeCase,
  rows: RowsAtHand,
): Outcome<{ recipe: RecipeQuestion; tables: Tables }> {
  const tables = tablesOfCase(c, rows)
  if (!tables.ok) return tables
  for (const lines of [c.mix, ...Object.values(c.mixes ?? {})]) {
    const named = mixNamed(lines, c.mixes)
    if (!named.ok) return named
  }
  return succeed({
    tables: tables.value,
    recipe: {
      lines: linesOf(c.mix),
      mixes: mixesOf(c.mixes),
      lime: limeWishOf(c.lime),
      dressings: (c.dressings ?? []).map(({ dressing, ...rest }) => ({ dressingId: dressing, ...rest })),
    },
  })
}

/** A crop of the tables. */
export function cropOf(id: string): Outcome<Crop> {
  const crop = cropById(id)
  return crop ? succeed(crop) : fail({ code: 'unknown-crop', crop: id })
}

/** An evaluate case as the question a job makes too. Errors: those of `recipeOfCase`; a crop nobody knows. */
export function questionOfCase(c: EvaluateCase, rows: RowsAtHand): Outcome<MixQuestion> {
  const recipe = recipeOfCase(c, rows)
  if (!recipe.ok) return recipe
  const { growing, situation } = c
  const crop = growing ? cropOf(growing.crop) : null
  if (crop && !crop.ok) return crop
  for (const { dressing } of growing?.liquidFeeds ?? [])
    if (!dressingIn(recipe.value.tables, dressing)) return fail({ code: 'unknown-dressing', dressing })
  return succeed({
    ...recipe.value,
    bed: {
      container: c.container,
      layers: (c.bottomLayers ?? []).map(({ thickness, mix }) => ({
        kind: 'mix',
        thickness,
        lines: linesOf(mix),
      })),
      pressed: pressedLoss(c.firmness),
      cover: c.cover ? { materialId: c.cover.material, thickness: c.cover.thickness } : null,
      rootBalls: 0,
      wallKind: growing?.wallKind ?? 'closed',
      empty: { kg: growing?.emptyWeight ?? 0 },
      carried: false,
      wide: false,
    },
    crops: crop ? [crop.value] : [],
    place: growing
      ? {
          climate: growing.climate,
          ...waterOfCase(growing, situation),
          wind: null,
        }
      : null,
    care: {
      plants: growing?.plants ?? null,
      plantingMonth: growing?.plantingMonth ?? null,
      waterEvery: null,
      liquidFeeds: growing?.liquidFeeds?.map(({ dressing, untilDay, ...feed }) => ({
        ...feed,
        dressingId: dressing,
        untilDay: untilDay ?? null,
      })),
      leachingFraction: growing?.leachingFraction,
      temperature: c.temperature,
      bands: {},
    },
    situation: situation ?? {},
  })
}
