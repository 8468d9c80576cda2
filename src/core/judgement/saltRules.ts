import type { Evaluation } from '../evaluate'
import { leachingFor, relativeYield, saltBand, USUAL_SALT_LIMIT } from '../nutrients'
import type { Fraction } from '../units'
import type { Judgement, JudgementQuestion } from './judgement'
import { JUDGEMENT_LIMITS as L } from './limits'

type Flag = Evaluation['flags'][number]
const keptAt = (ec: number, crop: JudgementQuestion['crop']) =>
  relativeYield(ec, crop?.properties.saltThreshold.value ?? 2.5, crop?.properties.saltSlope?.value)

/** Salts too high from the start are told as the most they come to, as the bench shows them. */
export const saltsOfSeason = (
  flag: Flag,
  { evaluation: { salts }, crop }: Pick<JudgementQuestion, 'evaluation' | 'crop'>,
): Flag =>
  flag.code === 'salts-high' && flag.where === 'mix'
    ? { ...flag, ec: salts.most.saturatedExtract, yieldKept: keptAt(salts.most.saturatedExtract, crop) }
    : flag

/** Yield kept at the grave end of salts: a quarter is lost. Source: beside the limit. */
export const isGrave = (yieldKept: Fraction) => yieldKept < 1 - L.graveSalts.value

/** What water and feed leave in a mix that was within when it was made. */
export const saltsRise = ({
  evaluation: { salts, blend },
  crop,
}: Pick<JudgementQuestion, 'evaluation' | 'crop'>): Judgement[] => {
  const fresh = salts.mix.electricalConductivity.saturatedExtract
  const { day, saturatedExtract: to } = salts.most
  const p = crop?.properties
  const limit = p ? saltBand(p).high : USUAL_SALT_LIMIT
  if (!salts.water || fresh > limit + L.saltsSlack.value || to <= limit + L.saltsSlack.value) return []
  const yieldKept = keptAt(to, crop)
  const leaching = leachingFor(limit, salts.water, blend.totalPorosity)
  const week = Math.round(day / 7)
  return [
    {
      level: isGrave(yieldKept) ? 'alarm' : 'warn',
      code: 'salts-rise',
      from: fresh,
      to,
      week,
      limit,
      yieldKept,
      leaching,
    },
  ]
}
