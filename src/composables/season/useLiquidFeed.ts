import { computed, ref, shallowRef, toRaw, watch } from 'vue'
import { dressingIn } from '@/core/data/dressings'
import { firstShort } from '@/core/judgement'
import { daysAfter } from '@/model/calendar/movedDay'
import type { LiquidFeedLine } from '@/model/garden/schemas'
import { liquidFeedsIn, type LiquidOffer, type LiquidRequest } from '@/model/mix/liquidOffers'
import type { LiquidFeedQuestion } from '@/model/mix/question'
import { daysOfFeed, fedBeds, feedRound, litresOfRound, seasonOfFeeds } from '@/model/season/feedRound'
import { jobDates } from '@/model/season/jobDates'
import { isoDay } from '@/text/base/dates'
import { solutionOf } from '@/text/season/liquidFeed'
import { liquidInWorker } from '@/workers/core.client'
import type { JobInHand } from '../job/useJob'
import { useTask } from '../page/useTask'

/** The feeds a job has, each with what it brings, what each bed gets and its days. */
function useFeedLines({ garden, job, tables, evaluation, quantities }: JobInHand) {
  const today = isoDay(new Date())
  const start = computed(() =>
    job.value ? jobDates(garden.records, job.value, today, quantities.value ?? undefined).planted.day : today,
  )
  const feeding = computed(() =>
    evaluation.value?.ok ? (evaluation.value.value.growing?.feeding ?? null) : null,
  )
  /** Whole days of the season, from planting on. */
  const end = computed(() => Math.floor(feeding.value?.weeks.nitrogen.at(-1)?.day ?? 0))
  const lines = computed(() =>
    (job.value?.liquidFeeds ?? []).flatMap((line) => {
      const dressing = dressingIn(tables.value, line.dressingId)
      if (!dressing) return []
      const beds = fedBeds(garden.records, job.value!, line)
      return [
        {
          line,
          dressing,
          beds,
          litres: litresOfRound(beds),
          season: seasonOfFeeds(garden.records, job.value!, [line], end.value)[0]!,
          solution: solutionOf(dressing, line.gramsPerLitre),
          ...daysOfFeed(line, start.value),
        },
      ]
    }),
  )
  /** Feeds of the same days as the one in use, or the first: stages of a feed never come in one tank. */
  const together = computed(() => {
    const ends = ({ to }: { to: string | null }) => to ?? '9999'
    const all = lines.value
    const now = all.find((l) => l.from <= today && today <= ends(l)) ?? all[0]
    return now ? all.filter((l) => l.from <= ends(now) && now.from <= ends(l)) : []
  })
  const short = computed(() => feeding.value && firstShort(feeding.value))
  return {
    start,
    end,
    feeding,
    lines,
    together,
    short,
    /** What feeds take in the season, by product, with their price. */
    seasonOf: (feeds: readonly LiquidFeedQuestion[]) =>
      seasonOfFeeds(garden.records, job.value!, feeds, end.value),
    shortOn: computed(() => (short.value ? daysAfter(start.value, short.value.day) : '')),
    round: computed(() => feedRound(garden.records, today)),
  }
}

/** Every feed tried on a mix, when it has none yet or when somebody asks. */
function useOffers({ job, question }: JobInHand, run: typeof liquidInWorker) {
  const task = useTask<LiquidRequest, number, LiquidOffer[]>((request, controls) => run(request, controls))
  const asked = ref(false)
  const tried = shallowRef<LiquidRequest | null>(null)
  const request = computed<LiquidRequest | null>(() =>
    question.value
      ? { question: toRaw(question.value), answered: (job.value?.dismissed ?? []).map((d) => d.code) }
      : null,
  )
  watch(
    [request, asked],
    ([now, wanted]) => {
      if (!now || !(wanted || job.value!.liquidFeeds.length === 0)) return
      tried.value = now
      task.start(now)
    },
    { immediate: true },
  )
  return {
    /** Of the mix and the feeds as they are now: what was tried before a change says nothing any more. */
    offers: computed(() => (tried.value === request.value ? (task.answer.value?.value ?? null) : null)),
    progress: task.progress,
    failure: task.failure,
    again: task.again,
    ask: () => (asked.value = true),
  }
}

/** The liquid feeds of a job: what it has, what would do, and what changes them. */
export function useLiquidFeed(inHand: JobInHand, run = liquidInWorker) {
  const { garden, job, question, place } = inHand
  const put = (feeds: LiquidFeedLine[], what: string) =>
    garden.run({ type: 'job/feeds', jobId: job.value!.id, feeds, what })
  return {
    ...useFeedLines(inHand),
    ...useOffers(inHand, run),
    waterEc: computed(() => place.value?.waterEc ?? null),
    feeds: computed(() => (question.value ? liquidFeedsIn(question.value) : [])),
    /** What feeds takes the place of what there was; traces come beside it. */
    take: ({ feeds, traces }: Pick<LiquidOffer, 'feeds' | 'traces'>, what: string) =>
      put([...(traces.length > 0 ? job.value!.liquidFeeds : []), ...feeds.map(newLine)], what),
    keep(line: LiquidFeedLine, what: string) {
      const rest = job.value!.liquidFeeds
      const known = rest.some((l) => l.id === line.id)
      put(known ? rest.map((l) => (l.id === line.id ? line : l)) : [...rest, line], what)
    },
    remove: (id: string, what: string) =>
      put(
        job.value!.liquidFeeds.filter((l) => l.id !== id),
        what,
      ),
  }
}
export type LiquidFeeds = ReturnType<typeof useLiquidFeed>

/** A feed as a line of its job. */
export const newLine = (feed: LiquidFeedQuestion): LiquidFeedLine => ({ ...feed, id: crypto.randomUUID() })
