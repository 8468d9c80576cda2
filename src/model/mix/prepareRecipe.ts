import {
  limeForTarget,
  limeForTargetAndRatio,
  type AcidityInput,
  type LimeChoice,
  type LimeDose,
  type Temperature,
  type WaterStretch,
} from '@/core/chemistry'
import { limeIn, materialIn, type LimingMaterial, type Tables } from '@/core/data'
import { dressingIn } from '@/core/data/dressings'
import {
  blend,
  flattenRecipe,
  preparedMaterial,
  type Blend,
  type FlatRecipe,
  type Ingredient,
} from '@/core/mixing'
import { acidityOfDoses, IMMEDIATE, supplyOfParts, type DressingDose } from '@/core/nutrients'
import { fail, succeed, type Note, type Outcome } from '@/core/outcome'
import { USUAL_TEMPERATURE } from '@/core/evaluate'
import { AMOUNT_LIMITS, isDose } from '@/core/amounts'
import {
  USUAL_LIMES,
  type FinishedMix,
  type LimeAmount,
  type LimeWish,
  type RecipeLine,
  type RecipeQuestion,
} from './question'

/** A recipe on its own, before any bed: what it blends to, what is given with it and how much lime it takes. */
export interface PreparedRecipe {
  flat: FlatRecipe
  blend: Blend
  /** Lime and dressings that finished mixes hold already, over the blended mix. */
  premixed: Premixed
  /** Dressings of the recipe and of its finished mixes. */
  doses: DressingDose[]
  /** What they do to pH, with the temperature it is done at. */
  given: AcidityInput
  lime: PreparedLime
}

/** Lime by who brings it: `own` is to be added, `premixed` is in finished mixes, `together` is what works. */
export interface PreparedLime {
  own: LimeAmount
  premixed: LimeAmount
  together: LimeAmount
  /** Each lime with the share it has of `together`. */
  limes: LimeChoice[]
}

export interface Premixed {
  lime: LimeAmount
  dressings: { dressingId: string; gramsPerLitre: number }[]
}

export interface RecipeSetting {
  tables: Tables
  /** Depth of mix that dressings on top are averaged over, cm. */
  depth: number
  temperature?: Temperature
  /** What watering brings and takes, for a litre of mix. */
  water?: readonly WaterStretch[]
}

const NO_LIME: LimeAmount = { gramsPerLitre: 0, dolomiteShare: 0 }

function ingredientsOf(
  lines: readonly RecipeLine[],
  mixIds: ReadonlySet<string>,
  tables: Tables,
): Outcome<Ingredient[]> {
  const list: Ingredient[] = []
  for (const { id, parts } of lines) {
    if (mixIds.has(id)) {
      list.push({ kind: 'mix', mix: id, parts })
      continue
    }
    const row = materialIn(tables, id)
    if (!row) return fail({ code: 'unknown-material', material: id })
    list.push({ kind: 'material', material: preparedMaterial(row), parts })
  }
  return succeed(list)
}

/**
 * Lines as loose parts of materials only, whatever finished mixes are among them. Parts in any unit of volume.
 * Errors: a material nobody knows; those of `flattenRecipe`.
 */
export function flatOf(
  lines: readonly RecipeLine[],
  mixes: readonly FinishedMix[],
  tables: Tables,
): Outcome<FlatRecipe> {
  const ids = new Set(mixes.map((m) => m.id))
  const inside = new Map<string, Ingredient[]>()
  for (const mix of mixes) {
    const list = ingredientsOf(mix.lines, ids, tables)
    if (!list.ok) return list
    inside.set(mix.id, list.value)
  }
  const outside = ingredientsOf(lines, ids, tables)
  return outside.ok ? flattenRecipe(outside.value, inside) : outside
}

/** Litres of a finished mix in one litre of the blend it goes into. */
const shareOf = (mix: FinishedMix, lines: readonly RecipeLine[], flat: FlatRecipe) =>
  lines.reduce((sum, line) => sum + (line.id === mix.id ? line.parts : 0), 0) /
  (flat.measured * (1 - flat.lossHere))

/** Lime and dressings that finished mixes hold already, g per litre of the blended mix. */
export function premixedIn(
  lines: readonly RecipeLine[],
  mixes: readonly FinishedMix[],
  flat: FlatRecipe,
): Premixed {
  const dressings: Premixed['dressings'] = []
  let grams = 0
  let dolomite = 0
  for (const mix of mixes) {
    const share = shareOf(mix, lines, flat)
    if (!(share > 0)) continue
    const lime = mix.lime ?? NO_LIME
    grams += lime.gramsPerLitre * share
    dolomite += lime.gramsPerLitre * lime.dolomiteShare * share
    for (const { dressingId, gramsPerLitre } of mix.dressings ?? [])
      dressings.push({ dressingId, gramsPerLitre: gramsPerLitre * share })
  }
  return { lime: { gramsPerLitre: grams, dolomiteShare: grams > 0 ? dolomite / grams : 0 }, dressings }
}

/** What is wrong with an amount given by weight, if anything: too much of it is worked out and warned of. */
const amountProblem = (field: string, value: number) =>
  value >= 0 && Number.isFinite(value) ? null : fail({ code: 'amount-negative', field, value })

function dosesOf(recipe: RecipeQuestion, premixed: Premixed, tables: Tables): Outcome<DressingDose[]> {
  const doses = premixed.dressings.flatMap(({ dressingId, gramsPerLitre }): DressingDose[] => {
    const dressing = dressingIn(tables, dressingId)
    return dressing ? [{ dressing, gramsPerLitre, place: { kind: 'throughout' } }] : []
  })
  for (const { dressingId, gramsPerLitre, place } of recipe.dressings) {
    const dressing = dressingIn(tables, dressingId)
    if (!dressing) return fail({ code: 'unknown-dressing', dressing: dressingId })
    const wrong = amountProblem(dressingId, gramsPerLitre)
    if (wrong) return wrong
    doses.push({ dressing, gramsPerLitre, place })
  }
  return succeed(doses)
}

/** Two limes as the core takes them, by the share of the second. */
const choiceOf = (
  { calcitic, dolomitic }: Record<'calcitic' | 'dolomitic', LimingMaterial>,
  dolomiteShare: number,
): LimeChoice[] => [
  { lime: calcitic, share: 1 - dolomiteShare },
  { lime: dolomitic, share: dolomiteShare },
]

/** Dolomite and another lime of the tables, by the share of dolomite. A lime nobody knows counts as limestone. */
export const limesByShare = (
  dolomiteShare: number,
  tables: Tables,
  limeId: string = USUAL_LIMES.calcitic,
): LimeChoice[] => {
  const calcitic = limeIn(tables, limeId) ?? limeIn(tables, USUAL_LIMES.calcitic)!
  return choiceOf({ calcitic, dolomitic: limeIn(tables, USUAL_LIMES.dolomitic)! }, dolomiteShare)
}

/** Doses of a choice, g per litre. */
const dosesBy = (choice: readonly LimeChoice[], gramsPerLitre: number): LimeDose[] =>
  choice
    .map(({ lime, share }) => ({ lime, gramsPerLitre: gramsPerLitre * share }))
    .filter((d) => isDose(d.gramsPerLitre))

/** The two limes by their ids. Errors: one that nobody knows. */
export function limesOf(
  wish: Pick<LimeWish, 'calcitic' | 'dolomitic'>,
  tables: Tables,
): Outcome<Record<'calcitic' | 'dolomitic', LimingMaterial>> {
  const [calcitic, dolomitic] = [limeIn(tables, wish.calcitic), limeIn(tables, wish.dolomitic)]
  if (!calcitic) return fail({ code: 'unknown-dressing', dressing: wish.calcitic })
  if (!dolomitic) return fail({ code: 'unknown-dressing', dressing: wish.dolomitic })
  return succeed({ calcitic, dolomitic })
}

/** Lime that a mix already at its target would ask for is none. */
const worthLiming = (gramsPerLitre: number) =>
  gramsPerLitre < AMOUNT_LIMITS.leastLime.value ? 0 : gramsPerLitre

/** Lime to add to what finished mixes bring, g per litre. */
function limeWanted(
  wish: LimeWish,
  limes: Record<'calcitic' | 'dolomitic', LimingMaterial>,
  mixed: Blend,
  given: AcidityInput,
): Outcome<LimeAmount> {
  const { aim, dolomite } = wish
  const share = dolomite.kind === 'share' ? dolomite.share : 0
  if (aim.kind === 'none') return succeed({ gramsPerLitre: 0, dolomiteShare: share })
  if (aim.kind === 'dose') {
    const { gramsPerLitre } = aim
    const wrong = amountProblem('limeGramsPerLitre', gramsPerLitre)
    return wrong ?? succeed({ gramsPerLitre, dolomiteShare: share })
  }
  if (dolomite.kind === 'share') {
    const plan = limeForTarget(mixed, { choice: choiceOf(limes, share), target: aim.target }, given)
    return plan.ok
      ? succeed({ gramsPerLitre: worthLiming(plan.value.gramsPerLitre), dolomiteShare: share }, ...plan.notes)
      : plan
  }
  const inParts = supplyOfParts(mixed, given.temperature ?? USUAL_TEMPERATURE)(IMMEDIATE).charge
  const already = (of: 'calcium' | 'magnesium') =>
    (given.limes ?? []).reduce((sum, d) => sum + 1000 * d.gramsPerLitre * d.lime[of], inParts[of])
  const plan = limeForTargetAndRatio(mixed, limes, aim.target, {
    ratio: dolomite.calciumToMagnesium,
    already: { calcium: already('calcium'), magnesium: already('magnesium') },
    given,
  })
  return plan.ok
    ? succeed(
        {
          gramsPerLitre: worthLiming(plan.value.plan.gramsPerLitre),
          dolomiteShare: plan.value.dolomiteShare,
        },
        ...plan.notes,
      )
    : plan
}

/** Lime of its own and lime brought, as one amount and the share of each lime in it. */
function limeTogether(
  own: LimeAmount,
  choice: readonly LimeChoice[],
  premixed: LimeAmount,
  tables: Tables,
): Pick<PreparedLime, 'together' | 'limes'> {
  const gramsPerLitre = own.gramsPerLitre + premixed.gramsPerLitre
  if (!(premixed.gramsPerLitre > 0))
    return { together: { gramsPerLitre, dolomiteShare: own.dolomiteShare }, limes: [...choice] }
  const grams = new Map<LimingMaterial, number>()
  for (const { lime, gramsPerLitre: g } of [
    ...choice.map((c) => ({ lime: c.lime, gramsPerLitre: own.gramsPerLitre * c.share })),
    ...limesByShare(premixed.dolomiteShare, tables).map((c) => ({
      lime: c.lime,
      gramsPerLitre: premixed.gramsPerLitre * c.share,
    })),
  ])
    grams.set(lime, (grams.get(lime) ?? 0) + g)
  const dolomite = own.gramsPerLitre * own.dolomiteShare + premixed.gramsPerLitre * premixed.dolomiteShare
  return {
    together: { gramsPerLitre, dolomiteShare: Math.min(1, dolomite / gramsPerLitre) },
    limes: [...grams].map(([lime, g]) => ({ lime, share: g / gramsPerLitre })),
  }
}

/**
 * A recipe worked out as far as it goes without a bed. Lime to a pH counts what finished mixes bring; nothing takes
 * that out again. g per litre of blended mix.
 *
 * Errors: a material or dressing nobody knows, an amount below zero, those of
 * `flattenRecipe`, `blend` and the lime solver. Notes: those of the lime solver.
 */
export function prepareRecipe(recipe: RecipeQuestion, setting: RecipeSetting): Outcome<PreparedRecipe> {
  const { tables, depth, temperature, water } = setting
  const flat = flatOf(recipe.lines, recipe.mixes, tables)
  if (!flat.ok) return flat
  const mixed = blend(flat.value.parts)
  if (!mixed.ok) return mixed
  const premixed = premixedIn(recipe.lines, recipe.mixes, flat.value)
  const limes = limesOf(recipe.lime, tables)
  if (!limes.ok) return limes
  const doses = dosesOf(recipe, premixed, tables)
  const fromDoses = acidityOfDoses(doses.ok ? doses.value : [], depth)
  const brought = dosesBy(limesByShare(premixed.lime.dolomiteShare, tables), premixed.lime.gramsPerLitre)
  const given = { acids: fromDoses.acids, limes: [...fromDoses.limes, ...brought], temperature, water }
  const wanted = limeWanted(recipe.lime, limes.value, mixed.value, given)
  if (!wanted.ok) return wanted
  if (!doses.ok) return doses
  const own = wanted.value
  const notes: Note[] = [...wanted.notes]
  return succeed(
    {
      flat: flat.value,
      blend: mixed.value,
      premixed,
      doses: doses.value,
      given,
      lime: {
        own,
        premixed: premixed.lime,
        ...limeTogether(own, choiceOf(limes.value, own.dolomiteShare), premixed.lime, tables),
      },
    },
    ...notes,
  )
}
