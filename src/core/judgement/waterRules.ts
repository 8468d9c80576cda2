import { JUDGED_AFTER } from '../chemistry'
import type { Evaluation } from '../evaluate'
import { SEEDLING_VOLUME } from '../filling/limits'
import { ionConcerns, leachingFor, relativeYield, saltBand, USUAL_SALT_LIMIT } from '../nutrients'
import type { Fraction } from '../units'
import type { Judgement, JudgementQuestion } from './judgement'
import { JUDGEMENT_LIMITS as L } from './limits'

type Flag = Evaluation['flags'][number]
const keptAt = (ec: number, crop: JudgementQuestion['crop']) =>
  relativeYield(ec, crop?.properties.saltThreshold.value ?? 2.5, crop?.properties.saltSlope?.value)

/** A flag for salts that are too high from the start, with the most of the season, as the bench shows it. */
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

/** Hard water lifts pH through the season; for a crop of acid ground it is said beforehand. */
export function waterRaisesPH({
  evaluation: e,
  crop,
  pHWanted,
  waterAlkalinity,
}: JudgementQuestion): Judgement[] {
  const most = pHWanted.high
  const last = e.acidity.at(-1)
  const settled = e.acidity.find((s) => s.day >= JUDGED_AFTER)
  const creeps = last && settled && last.pH - settled.pH > L.pHCreep.value
  if (creeps && e.mix.mixVolume >= SEEDLING_VOLUME && last.pH > most + L.pHSlack.value)
    return [
      {
        level: 'warn',
        code: 'water-raises-ph',
        from: settled.pH,
        to: last.pH,
        weeks: Math.round(last.day / 7),
        most,
        alkalinity: waterAlkalinity,
      },
    ]
  const limit = L.hardWater.value
  return crop && most <= L.acidCrop.value && waterAlkalinity >= limit
    ? [{ level: 'warn', code: 'hard-water-for-acid', alkalinity: waterAlkalinity, limit, most }]
    : []
}

/** Sodium, chloride and boron of a water report, where the crop is harmed by them. */
export const waterIon = ({ crop, waterIons = {} }: JudgementQuestion): Judgement[] =>
  ionConcerns(waterIons, crop?.id ?? null)
    .slice(0, 1)
    .map((concern) => ({ level: concern.stop ? 'alarm' : 'warn', code: 'water-ion', ...concern }))

/** Sodium of a softener harms roots and seals soil; the same water before it does not. */
export const softenedWater = ({
  evaluation: { growing },
}: Pick<JudgementQuestion, 'evaluation'>): Judgement[] =>
  growing?.softened ? [{ level: 'warn', code: 'softened-water' }] : []
