import type { Verdict, Verdicts } from '@/core/judgement'
import type { InThatBed } from '@/model/mix/rest'
import { percentText } from '../base/units'

const FIGURES: Record<keyof Verdicts, string> = {
  air: 'air',
  water: 'water',
  pH: 'pH',
  salts: 'salts',
  days: 'days between waterings',
  weight: 'weight',
  feed: 'feed',
  lasting: 'what rots',
}
const WAYS: Partial<Record<Verdict, string>> = { low: 'low', high: 'high' }

/** "18 % air, all within", "9 % air: air low, feed low": how a mix stands in one of the beds of a job. */
export function standsText({ airFilledPorosity, verdicts }: InThatBed): string {
  const air = `${percentText(airFilledPorosity)} air`
  const off = (Object.entries(verdicts) as [keyof Verdicts, Verdict][]).flatMap(([figure, verdict]) =>
    WAYS[verdict] ? [`${FIGURES[figure]} ${WAYS[verdict]}`] : [],
  )
  return off.length === 0 ? `${air}, all within` : `${air}; ${off.join(', ')}`
}
