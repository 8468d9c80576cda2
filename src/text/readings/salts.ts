import { cropInText } from '../base/cropInText'
import type { Evaluation } from '@/core/evaluate'
import { convertExtract, relativeYield, saltLimit } from '@/core/nutrients'
import { cropRow } from '@/core/data/cropTable'
import { percentText } from '../base/units'
import type { Why } from './reading'

const ec = (x: number) => x.toFixed(1)
/** Weeks at which a course of salts is given, fresh first. */
const WEEKS = [0, 4, 8, 12, 16, 20]
/** Shares of the crop kept for which a limit is given. */
const KEPT = [1, 0.9, 0.75]

/** Salts week by week as each extract reads them, beside what the crop bears; the limits alone without a course. */
export function saltsWhy({ salts, growing }: Evaluation): Why[] {
  if (!growing) return []
  const { crop } = growing
  const p = crop.properties
  const limits = KEPT.map((kept) => `${percentText(kept)} up to ${ec(saltLimit(p, kept))}`)
  const fresh = { day: 0, saturatedExtract: salts.mix.electricalConductivity.saturatedExtract }
  const at = [fresh, ...salts.course.filter((s) => WEEKS.includes(Math.round(s.day / 7)))]
  const name = cropInText(cropRow(crop.id)?.name ?? crop.id)
  return [
    {
      head: ['Week', 'saturated extract', 'pour-through', '1 : 2', 'crop kept'],
      rows: at.map(({ day, saturatedExtract: is }) => [
        String(Math.round(day / 7)),
        ec(is),
        ec(convertExtract(is, 'saturatedExtract', 'pourThrough')),
        ec(convertExtract(is, 'saturatedExtract', 'oneToTwo')),
        percentText(relativeYield(is, p.saltThreshold.value, p.saltSlope?.value)),
      ]),
    },
    `dS/m. Of ${name} is kept, by the saturated extract: ${limits.join(', ')} dS/m (Maas & Hoffman 1977).`,
  ]
}
