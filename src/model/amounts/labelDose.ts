import type { Dressing, Label } from '@/core/data'
import { fail, succeed, type Outcome } from '@/core/outcome'
import { doseOf, type Amount, type AmountSetting } from './amount'

export const NUTRIENTS = ['nitrogen', 'phosphate', 'potash'] as const
export type Nutrient = (typeof NUTRIENTS)[number]

/** All of a feed, %. */
const WHOLE = 100

/** "4-4-4", "15 : 15 : 15", "NPK 5/1/1" as the three numbers of a label; null where it is none, or more than all. */
export function readLabel(text: string): Label | null {
  const read =
    /^(?:npk|n-p-k)?\s*(\d+(?:[.,]\d+)?)\s*[-–:/ ]\s*(\d+(?:[.,]\d+)?)\s*[-–:/ ]\s*(\d+(?:[.,]\d+)?)$/i.exec(
      text.trim(),
    )
  if (!read) return null
  const [nitrogen, phosphate, potash] = read.slice(1).map((n) => Number(n.replace(',', '.'))) as [
    number,
    number,
    number,
  ]
  const sum = nitrogen + phosphate + potash
  return sum > 0 && sum <= WHOLE ? { nitrogen, phosphate, potash } : null
}

/** Nutrients of the label together, %: richer than this is a salt. Our assumption. */
const SALT_RICH = 25

/**
 * g/mL of a feed of which only the label is known: meals are light, salts heavy. Source: our assumption, between the
 * tables' organic feeds (0.6 to 0.75) and salts (0.9 to 1.1).
 */
const guessedDensity = ({ nitrogen, phosphate, potash }: Label): number =>
  nitrogen + phosphate + potash > SALT_RICH ? 1 : 0.7

export interface LabelDose {
  /** Of one's own feed, g per litre of mix. */
  gramsPerLitre: number
  /** Grams of it for a gram of what the recipe names. */
  ratio: number
  /** Share by which each nutrient becomes more (or, negative, less); null where the recipe's feed has none. */
  changes: Record<Nutrient, number | null>
  /** Nutrients one's own feed brings and the recipe's has none of, g per litre. */
  extra: Partial<Record<Nutrient, number>>
}

/**
 * How much of one's own feed gives as much of a nutrient as a recipe's dose of another: dose_b = dose_a N_a / N_b.
 * Errors: a nutrient that one of the two has none of; an amount the job cannot count. Source: arithmetic on labels.
 */
export function labelDose(
  { label: recipe, amount }: { label: Label; amount: Amount },
  mine: Pick<Dressing, 'id' | 'label'>,
  nutrient: Nutrient,
  setting: Omit<AmountSetting, 'bulkDensity'>,
): Outcome<LabelDose> {
  const own = mine.label?.[nutrient] ?? 0
  const wanted = doseOf(amount, { ...setting, bulkDensity: guessedDensity(recipe) })
  if (!(own > 0) || !(recipe[nutrient] > 0)) return fail({ code: 'no-dressing-for-target', wanted: nutrient })
  if (wanted === null) return fail({ code: 'size-not-positive', field: 'wanted', value: 0 })
  const ratio = recipe[nutrient] / own
  const changes = {} as LabelDose['changes']
  const extra: LabelDose['extra'] = {}
  for (const n of NUTRIENTS) {
    const brings = ratio * (mine.label?.[n] ?? 0)
    changes[n] = recipe[n] > 0 ? brings / recipe[n] - 1 : null
    if (recipe[n] === 0 && brings > 0) extra[n] = (wanted * brings) / 100
  }
  return succeed({ gramsPerLitre: wanted * ratio, ratio, changes, extra })
}
