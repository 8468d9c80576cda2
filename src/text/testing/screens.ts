import { plantingDay } from '@/model/calendar/plantingDay'
import { PUBLISHED } from '@/core/data'
import type { Evaluation } from '@/core/evaluate'
import { verdictsOf, type Judgement, type Verdicts } from '@/core/judgement'
import { cropById } from '@/core/data'
import { containerOf, judgedBed } from '@/model/garden/garden'
import { onGround } from '@/model/garden/starting'
import { batchCards } from '@/model/make/batchCard'
import { dosesToEach } from '@/model/make/doseTotals'
import { fillingCards } from '@/model/make/filling'
import { quantitiesOf } from '@/model/make/quantities'
import { verdictOf } from '@/model/mix/verdict'
import { doseOffers } from '@/model/mix/doses'
import { AT_REST, evaluatePrepared, judgementsOf, prepare, type PreparedMix } from '@/model/mix/prepare'
import { questionOfJob } from '@/model/mix/questionOfJob'
import { outdoorsOf, seasonPlan, winterOf, type SeasonPlan } from '@/model/season/season'
import { offerText } from '../mix/doses'
import { fillingText } from '../bed/filling'
import { judgementText } from '../mix/judgements'
import { verdictText } from '../mix/topics'
import { inPlaceOf } from '@/model/make/inPlace'
import type { Quantities } from '@/model/make/quantities'
import type { ShoppingLine } from '@/model/make/shoppingList'
import type { Timetable } from '@/model/make/timetable'
import { inPlaceText } from '../make/inPlace'
import { asMeasuredText, batchFillsText, lineText } from '../make/measures'
import { noteText, problemText } from '../base/problems.en'
import type { Reading } from '../readings/reading'
import { readingsAtOnce } from '../readings/atOnce'
import { readingsLater } from '../readings/later'
import { winterText } from '../season/winter'
import { dueText, stillToFeedText, wateringRows, type DoseToEach } from '../season/seasonPlan'
import type { RandomJob } from './randomJob'
import { sayOfShop } from './shop'

/** What the screens say of a job. */
export interface Screens {
  prepared: PreparedMix
  evaluation: Evaluation
  verdicts: Verdicts
  readings: Reading[]
  judgements: Judgement[]
  plan: SeasonPlan
  /** What the hands do: batches, packs, days; null where it cannot be measured. */
  work: Work | null
  /** The harvest falls into months too cold for the crop to grow, or all of them do. */
  coldHarvest: boolean
  /** Every sentence, with where it is. */
  said: { where: string; text: string }[]
}

export interface Work {
  quantities: Quantities
  bought: ShoppingLine[]
  table: Timetable
}

/** What was held back, for one container of each bed. */
function heldBack(job: RandomJob['job'], lineId: string | undefined): DoseToEach[] {
  const line = job.dressings.find((d) => d.id === lineId)
  return line ? dosesToEach(job, line, PUBLISHED).map(({ fill, grams }) => ({ bed: fill.id, grams })) : []
}

function isColdHarvest(job: RandomJob['job'], place: RandomJob['place'], plan: SeasonPlan): boolean {
  const suits = outdoorsOf(job, place)?.suits
  const harvest = plan.due.find((d) => d.code === 'harvest')
  if (!suits || !harvest) return false
  const month = Number(harvest.on.slice(5, 7))
  return suits[month - 1] === 'frost' && !harvest.underGlass
}

/** Everything the screens would say of a job, or the sentence of the problem that stands in its place. */
export function screensOf({ job, place, units }: RandomJob): Screens | { problem: string } {
  const question = questionOfJob(job, place, PUBLISHED)
  const prepared = prepare(question)
  if (!prepared.ok) return { problem: Object.values(problemText(prepared.problem, units)).join(' ') }
  const answer = evaluatePrepared(prepared.value, AT_REST)
  if (!answer.ok) return { problem: Object.values(problemText(answer.problem, units)).join(' ') }
  const evaluation = answer.value
  const { bands } = prepared.value
  const crop = cropById(job.cropId)
  const perennial = crop?.perennial ?? false
  const { spec } = judgedBed(job)
  const context = {
    evaluation,
    bands,
    targets: prepared.value.targets,
    container: containerOf(spec.vessel),
    wind: place?.wind ?? null,
    perennial,
    units,
    wide: onGround(spec.vessel.kind),
  }
  const readings = [
    ...readingsAtOnce(context),
    ...readingsLater({
      evaluation,
      doses: prepared.value.doses,
      later: evaluation.seasons,
      bands,
      cost: { perLitre: null, missing: [], missingDoses: [] },
      nameOf: (id) => id,
      perennial,
      units,
    }),
  ]
  const judgements = judgementsOf(prepared.value, evaluation)
  const plan = seasonPlan(
    job,
    { mixOn: null, planted: plantingDay(job, place, '2027-04-15') },
    evaluation,
    place,
  )
  const said: Screens['said'] = []
  const say = (where: string, ...texts: string[]) => {
    for (const text of texts) if (text) said.push({ where, text })
  }
  for (const r of readings) {
    say(`reading ${r.id}`, r.label, r.value, r.wanted, r.advice)
    for (const why of r.why())
      if (typeof why === 'string') say(`why ${r.id}`, why)
      else if ('label' in why) say(`why ${r.id}`, why.label)
      else say(`why ${r.id}`, why.head.join(' | '), ...why.rows.map((row) => row.join(' | ')))
  }
  for (const j of judgements) {
    const text = judgementText(j, units)
    say(`judgement ${j.code}`, text.says, text.does)
  }
  say('verdict', verdictText(verdictOf(prepared.value, evaluation, { judgements }), crop?.name ?? null))
  for (const note of [...prepared.notes, ...answer.notes]) say(`note ${note.code}`, noteText(note, units))
  for (const offer of doseOffers(prepared.value, evaluation)) {
    const text = offerText(offer, null, units)
    say('offer', ...Object.values(text).filter((t) => typeof t === 'string'))
  }
  const feed = stillToFeedText(evaluation.growing?.feeding ?? null, units)
  for (const due of plan.due) {
    const text = dueText(due, heldBack(job, due.lineId), feed, units)
    say(`due ${due.code}`, text.title, text.text, text.when)
  }
  if (evaluation.growing) for (const row of wateringRows(evaluation.growing)) say('watering', row.join(' | '))
  const winter = winterOf(job, place)
  if (winter && crop) say('winter', winterText(winter, crop.name, units))
  const quantities = quantitiesOf(job, prepared)
  let work: Work | null = null
  if (!quantities.ok) say('quantities', ...Object.values(problemText(quantities.problem, units)))
  else {
    say('batches', asMeasuredText(quantities.value))
    for (const card of batchCards(job, quantities.value).slice(0, 2))
      for (const line of card.lines) say('batch', lineText(line, units))
    work = { quantities: quantities.value, ...sayOfShop({ job, place, units }, quantities.value, say) }
    say(
      'card',
      ...batchCards(job, quantities.value)
        .slice(0, 2)
        .map((c) => batchFillsText(c, job, quantities.value)),
    )
    for (const bed of inPlaceOf(job, quantities.value)) {
      const { title, lines, then } = inPlaceText(bed, job.plan.bucket, units)
      say('in place', title, ...lines, then)
    }
    for (const card of fillingCards(job, quantities.value))
      for (const step of card.steps) {
        const text = fillingText(step.do, { spec, bucket: job.plan.bucket, tooHeavy: true, units })
        say('filling', text.title, text.text)
      }
  }
  return {
    prepared: prepared.value,
    evaluation,
    verdicts: verdictsOf(evaluation, bands, perennial),
    readings,
    judgements,
    plan,
    work,
    coldHarvest: isColdHarvest(job, place, plan),
    said,
  }
}
