import type { Evaluation } from '@/core/evaluate'
import { expect, test } from 'vitest'
import { cropById, MATERIALS } from '@/core/data'
import { isLong } from '@/core/testing/draws'
import { BATCH_LIMITS, isByMark, PACK_LIMITS } from '@/core/batch'
import { DRESSINGS } from '@/core/data/dressings'
import { verdictOn } from '@/model/mix/verdict'
import { bringsFault, standingOf, type JudgementCode } from '@/core/judgement'
import { movesAtOnce, movesRequest } from '@/model/find/nextMoves'
import { AT_REST, evaluatePrepared, judgementsOf, prepare } from '@/model/mix/prepare'
import { recipeQuestion } from '@/model/mix/questionOfJob'
import type { RecipeQuestion } from '@/model/mix/question'
import { shortName } from './base/titles'
import { cropLikesText } from './season/seasonPlan'
import { changeText, moveText, noMovesText } from './mix/moves'
import { randomJob, type RandomJob } from './testing/randomJob'
import { screensOf, type Screens } from './testing/screens'
import { percentText, pHText } from './base/units'

/** Jobs looked at in one run; SENSE=20000 looks at more. */
const JOBS = Number(process.env.SENSE ?? (isLong ? 2000 : 20))

/** What is wrong with what the screens say of a job; empty where nothing is. */
type Rule = (screens: Screens, of: RandomJob) => string[]
const when = (wrong: boolean, what: string) => (wrong ? [what] : [])
const within = (x: number, low: number, high: number) => x >= low && x <= high
const adviceOf = ({ readings }: Screens, id: string) => readings.find((r) => r.id === id)?.advice ?? ''
const warns = ({ judgements }: Screens, code: JudgementCode) => judgements.find((j) => j.code === code)

const hasHydroxide = ({ lime, given }: Evaluation) =>
  [...lime.doses, ...(given.limes ?? [])].some((d) => d.lime.soluble)
/** Figures within what is physically possible. */
const physical: Rule = ({ evaluation: e }) => [
  ...e.profile.slices.flatMap((s) =>
    when(
      !(within(s.air, 0, 1) && within(s.water, 0, 1) && Math.abs(s.air + s.water + s.solids - 1) < 1e-6),
      `air, water and solids make ${s.air + s.water + s.solids} at ${s.height} cm`,
    ),
  ),
  // Lime water is saturated at 12.5; without hydroxide carbon dioxide keeps a mix far below that.
  ...e.acidity.flatMap((s) =>
    when(!within(s.pH, 2.4, hasHydroxide(e) ? 12.6 : 10), `pH ${s.pH} on day ${s.day}`),
  ),
  ...when(!within(e.lime.pH, 2.5, 9.5), `pH ${e.lime.pH} in six weeks`),
  ...when(!within(e.salts.mix.electricalConductivity.saturatedExtract, 0, 150), 'salts beyond brine'),
  ...when(
    !(
      e.weights.dry > 0 &&
      e.weights.dry <= e.weights.drained &&
      e.weights.drained <= e.weights.saturated + 1e-9
    ),
    'weights out of order',
  ),
  ...when(
    !within(e.mix.plantAvailableWater, 0, e.mix.containerCapacity + 1e-9),
    'more water for plants than held',
  ),
  ...e.seasons.flatMap((s) => when(!within(s.volumeLost, 0, 1), `lost ${s.volumeLost}`)),
  ...(e.growing?.watering ?? []).flatMap((w) =>
    when(
      !(w.days.low <= w.days.value && w.days.value <= w.days.high && w.use.value >= 0),
      'days out of order',
    ),
  ),
  ...when(!within(e.growing?.feeding.fed ?? 1, 0, 1 + 1e-9), 'fed beyond all'),
]

/** Words that show a number went wrong. */
const BROKEN = /NaN|Infinity|undefined|null|\[object|-0(?![\d.])|−0(?![\d.])|\b0\.0+ (?!dS)\S| {2}/
/** A grade of feed: nitrogen, phosphate and potash, percent. */
const GRADE = /\b[\d.]+-[\d.]+-[\d.]+\b/g
/** Names as sold hold grain sizes and grades of feed: “2-8 mm”, “46-0-0”. */
const NAMES = [...MATERIALS, ...DRESSINGS]
  .flatMap((row) => [row.name, shortName(row.id)])
  .sort((a, b) => b.length - a.length)
const nameless = (text: string) =>
  NAMES.reduce((rest, name) => rest.replaceAll(new RegExp(escaped(name), 'gi'), 'it'), text).replaceAll(
    GRADE,
    'it',
  )
const escaped = (name: string) => name.replaceAll(/[.*+?^${}()|[\]\\/]/g, '\\$&')
// Tables behind “Why?” may hold noughts.
const noBrokenWords: Rule = ({ said }) =>
  said.flatMap(({ where, text }) =>
    when(!where.startsWith('why') && BROKEN.test(text) && BROKEN.test(nameless(text)), `${where}: “${text}”`),
  )

const METRIC = /\d (?:L|mL|cm|mm|m|kg|g|g\/L|°C|m³|km\/h|kg\/m²)(?![\w/])/
const US = /\d (?:gal|qt|oz|lb|in(?= deep|[,.;)])|ft|cu ft|°F|mph|oz\/gal|lb\/ft²)(?![\w/])/
/** No unit of one system slips into the other. */
const oneSystem: Rule = ({ said }, { units }) =>
  said.flatMap(({ where, text }) =>
    when(
      (units === 'us' ? METRIC : US).test(text) && (units === 'us' ? METRIC : US).test(nameless(text)),
      `${units}, ${where}: “${text}”`,
    ),
  )

/** The same figure the same wherever it is shown. */
const sameFigures: Rule = ({ readings, judgements, evaluation: e, said }) => {
  const value = (id: string) => readings.find((r) => r.id === id)?.value
  const of = (code: string) => said.filter((s) => s.where === `judgement ${code}`).map((s) => s.text)
  return [
    ...when(value('air') !== percentText(e.mix.airFilledPorosity), 'air told otherwise'),
    ...when(value('pH') !== pHText(e.lime.pH), 'pH told otherwise'),
    ...judgements.flatMap((j) => {
      if (j.code === 'too-little-air')
        return when(!of(j.code)[0]!.includes(value('air')!), `air ${value('air')}, “${of(j.code)[0]}”`)
      if (j.code === 'salts-high' && j.where === 'mix')
        return when(
          !of(j.code).join().includes(value('salts')!.replace(' dS/m', '')),
          `salts ${value('salts')}, “${of(j.code)[0]}”`,
        )
      return []
    }),
  ]
}

/** Pairs that cannot both be true, or both be followed; each was once found on a screen. */
const PAIRS: readonly [what: string, both: (s: Screens, of: RandomJob) => boolean][] = [
  [
    'little easy water “expect to water often”, and watered often enough',
    (s) => s.verdicts.days === 'good' && /water often/.test(adviceOf(s, 'water')),
  ],
  [
    'air says “add something that holds water”, water says “plenty”',
    (s) => /something that holds water/.test(adviceOf(s, 'air')) && /Plenty/.test(adviceOf(s, 'water')),
  ],
  [
    'the verdict says good, and a warning or a gauge says otherwise',
    (s) =>
      s.said.some(({ where, text }) => where === 'verdict' && text.startsWith('Good')) &&
      (s.judgements.some((j) => j.level !== 'note') ||
        Object.values(s.verdicts).some((v) => v === 'low' || v === 'high')),
  ],
  [
    'a warning of too little air, and air within',
    (s) => (warns(s, 'too-little-air') !== undefined) !== (s.verdicts.air === 'low'),
  ],
  [
    'too much lime, and lime raises it',
    (s) => warns(s, 'lime-does-little') !== undefined && s.verdicts.pH === 'low',
  ],
  [
    'it stays wet in the very month in which it dries too soon',
    (s) => {
      const wet = warns(s, 'stays-wet')
      const month = s.evaluation.growing?.thirstiestMonth
      return wet?.code === 'stays-wet' && s.verdicts.days === 'low' && wet.months.includes(month!)
    },
  ],
  [
    'lighter to lift, and heavier for the wind',
    (s) =>
      /lighter mix/.test(adviceOf(s, 'weight')) &&
      s.said.some((t) => t.where === 'judgement tips-in-wind' && /for weight/.test(t.text)),
  ],
  [
    'salts cost some of the crop, and salts are within',
    (s) => {
      const salty = s.judgements.some((j) => j.code === 'salts-high' && j.where === 'mix')
      return salty && s.verdicts.salts === 'good'
    },
  ],
  [
    'fed all season, and rotting wood takes its nitrogen',
    (s) =>
      s.verdicts.feed === 'good' &&
      s.evaluation.growing !== null &&
      warns(s, 'drawdown-uncovered') !== undefined,
  ],
  [
    'boron told twice',
    (s) =>
      warns(s, 'boron-high') !== undefined &&
      s.judgements.some((j) => j.code === 'dose-above-limit' && /borax|fte_mix|trace/.test(j.dressing)),
  ],
  [
    'a shallower container for a bed open to soil',
    (s, { job }) =>
      job.fills[0]!.spec.vessel.base.kind === 'onSoil' &&
      s.said.some((t) => /shallower|deeper container/.test(t.text)),
  ],
  [
    'a figure within its band, and outside the band told beside it',
    ({ readings }) =>
      readings.some(({ id, value, wanted, verdict }) => {
        const band = /(\d+)–(\d+) %$/.exec(wanted)
        const at = Number.parseInt(value)
        return id === 'air' && verdict === 'good' && band && (at < +band[1]! - 1 || at > +band[2]! + 1)
      }),
  ],
  [
    'harvest while it is too cold to grow',
    (s) => s.plan.due.some((d) => d.code === 'harvest') && s.coldHarvest,
  ],
  [
    'a pH test for lime or sulfur that is not in it, or none for one that is',
    (s) =>
      s.plan.due.some((d) => d.code === 'test-ph-first') !==
      s.evaluation.lime.movers.some((m) => Math.abs(m.by) >= 0.2),
  ],
]
/** What a crop likes is the same beside the gauges as where the crop is chosen. */
const sameLiking: Rule = ({ readings }, { job }) => {
  const crops = [job.cropId, ...job.companionIds].flatMap((id) => cropById(id) ?? [])
  const liked = crops.map((crop) => cropLikesText(crop).replaceAll(' % to ', ' to ').replaceAll(' to ', '–'))
  return readings.flatMap(({ id, wanted }) => {
    const band = / likes (.*)$/.exec(wanted)?.[1]
    return when(
      band !== undefined && !liked.some((l) => l.includes(band)),
      `${id}: ${wanted}; ${liked.join(' ')}`,
    )
  })
}
const noContradiction: Rule = (screens, of) => PAIRS.flatMap(([what, both]) => when(both(screens, of), what))

/** The answer to a changed recipe; null where it cannot be worked out. */
function changed({ prepared }: Screens, recipe: Partial<RecipeQuestion>) {
  const there = prepare({ ...prepared.question, recipe: { ...prepared.question.recipe, ...recipe } })
  const answer = there.ok ? evaluatePrepared(there.value) : null
  return answer?.ok ? answer.value : null
}
/** Advice followed improves what it speaks of. */
const adviceHelps: Rule = (screens) => {
  const { evaluation: e, verdicts, prepared } = screens
  const { lines, lime } = prepared.question.recipe
  const total = lines.reduce((sum, l) => sum + l.parts, 0)
  const coarse = { id: 'perlite_coarse', parts: total }
  const fixed = (gramsPerLitre: number) =>
    changed(screens, { lime: { ...lime, aim: { kind: 'dose', gramsPerLitre } } })
  const own = prepared.lime.own.gramsPerLitre
  return [
    ...(verdicts.air === 'low' && !lines.some((l) => l.id === coarse.id)
      ? when(
          (changed(screens, { lines: [...lines, coarse] })?.mix.airFilledPorosity ?? 1) <
            e.mix.airFilledPorosity,
          'something coarse takes air away',
        )
      : []),
    ...(verdicts.pH === 'low' && /lime raises/.test(adviceOf(screens, 'pH'))
      ? when((fixed(own + 2)?.lime.pH ?? 9) < e.lime.pH + 0.01, 'lime does not raise pH')
      : []),
    ...(/Too much lime/.test(adviceOf(screens, 'pH')) && !e.given.limes?.length
      ? when((fixed(0)?.lime.pH ?? 0) > e.lime.pH - 0.01, 'no lime does not lower pH')
      : []),
  ]
}

/** Next moves are worth what they say, bring no fault, and are none where nothing is to be mended. */
const movesHelp: Rule = ({ prepared, evaluation, verdicts, judgements }, { job }) => {
  const request = movesRequest(new Map(), job, prepared.question, { source: 'all', most: 5 })
  const found = request.ok ? movesAtOnce(request.value) : request
  if (!found.ok) return [`no moves: ${found.problem.code}`]
  const { standing, moves } = found.value
  const off = Object.values(verdicts).some((v) => v === 'low' || v === 'high')
  const warned = judgements.some((j) => j.level !== 'note')
  return [
    ...when(
      /Nothing to mend/.test(noMovesText(found.value, true)) && (off || warned),
      'nothing to mend, and a fault',
    ),
    ...moves.flatMap((move) => {
      const there = prepare({ ...prepared.question, recipe: recipeQuestion(move.recipe) })
      const answer = there.ok ? evaluatePrepared(there.value, AT_REST) : there
      if (!there.ok || !answer.ok) return ['a move that cannot be made']
      const perennial = prepared.question.crops[0]?.perennial ?? false
      const judged = judgementsOf(there.value, answer.value)
      const now = standingOf(answer.value, { bands: there.value.bands, perennial }, judged)
      const better = standing.faults - now.faults
      return [
        ...when(
          move.eases <= 0 && better < 0.5,
          `“${moveText(move, 'metric')}” mends ${better} steps and nothing said`,
        ),
        // For something grave that goes, something to watch may come.
        ...when(move.eases < 2 && bringsFault(standing, now), `“${moveText(move, 'metric')}” brings a fault`),
        ...when(
          changeText(move.before, move.after, 'metric') === '' && move.mends.length === 0,
          `“${moveText(move, 'metric')}” changes nothing`,
        ),
        ...when(
          percentText(answer.value.mix.airFilledPorosity) !== percentText(move.after.air),
          'air of a move',
        ),
      ]
    }),
    ...when(
      evaluation.lime.pH !== (moves[0]?.before.pH ?? evaluation.lime.pH),
      'pH before a move told otherwise',
    ),
  ]
}
/** They take a fifth of a second each: one job of so many. */
const MOVES_EVERY = 50

/** Offers followed one after the other. */
const MOST_STEPS = 6
/**
 * Who takes the first offer again and again comes to an end: each leaves less to be said, none comes twice, and a mix
 * without grave findings has none left after six.
 */
const offersEnd: Rule = ({ prepared }, { job }) => {
  const taken = new Set<string>()
  let at = job
  for (let step = 0; ; step++) {
    const question = { ...prepared.question, recipe: recipeQuestion(at) }
    const asked = movesRequest(new Map(), at, question, { source: 'all', most: 1 })
    const found = asked.ok ? movesAtOnce(asked.value) : asked
    if (!found.ok) return [`no moves: ${found.problem.code}`]
    const [first] = found.value.moves
    if (!first) return []
    const said = moveText(first, 'metric')
    const isGrave = (verdictOn({ question, answered: [] })?.first ?? null)?.severity === 'grave'
    if (step === MOST_STEPS) return isGrave ? [] : [`offers without end, the last “${said}”`]
    if (taken.has(said)) return [`“${said}” is offered twice`]
    taken.add(said)
    if (first.eases < 0 || (first.eases === 0 && first.gain <= 0)) return [`“${said}” leaves more to be said`]
    at = { ...at, ...first.recipe }
  }
}
/** Up to seven searches each: one job of so many. */
const OFFERS_EVERY = 100

/** What the hands measure: no more scoops, no fuller a vessel and no further from the recipe than is promised. */
const measures: Rule = ({ work }, { job }) => {
  if (!work) return []
  const { plan, toBlend, first } = work.quantities
  const recipe = job.parts.reduce((sum, p) => sum + p.twelfths, 0)
  const shareOf = new Map(job.parts.map((p) => [p.materialId, p.twelfths / recipe]))
  const room = job.plan.vessel * BATCH_LIMITS.turn.value
  const byMark = isByMark(plan)
  return [
    ...when(
      !byMark && !within(plan.blendLitres / toBlend, 0.995 - 1e-9, 1.05 + 1e-9),
      `${plan.blendLitres} L made of ${toBlend} wanted`,
    ),
    ...[plan, ...first.map((f) => f.plan)].flatMap(({ batches }) =>
      batches.flatMap((b) => [
        ...when(b.blendLitres > room * 1.001, `${b.blendLitres} L in a vessel for ${room}`),
        ...b.measures.flatMap((m) => [
          ...when(m.scoopTwelfths > 48, `${m.scoopTwelfths / 12} scoops on a line`),
          ...when(!(m.litres > 0), 'nothing of a part'),
        ]),
      ]),
    ),
    ...plan.batches.flatMap((b) =>
      b.measures.flatMap((m) =>
        when(
          Math.abs(m.litres / b.looseLitres / shareOf.get(m.id)! - 1) > 0.0501,
          `a part ${m.litres} of ${b.looseLitres} L`,
        ),
      ),
    ),
  ]
}

/** Packs cover what is needed but for the hundredth nobody measures, and none of them is idle. */
const packs: Rule = ({ work }) =>
  (work?.bought ?? []).flatMap(({ material, litres, screened, stock, packs, purchase }) => {
    const need = (litres + screened) * (1 - PACK_LIMITS.short.value)
    const got = packs.reduce((sum, p) => sum + p.count * p.litres, stock)
    const idle = packs.some((p) => p.count > 0 && got - p.litres >= need + 0.02)
    return [
      ...when(got < need - 0.02, `${got} L of ${material.id} for ${need}`),
      ...when(idle, `a pack of ${material.id} too many: ${got} L for ${need}`),
      ...when(purchase.leftover < 0, 'less than nothing left'),
    ]
  })

/** Days in their order: bought, begun, ready, mixed, planted; what is planted through is said. */
const days: Rule = ({ work }) => {
  if (!work) return []
  const { buyBy, before, after, mixOn, planted, clashes } = work.table
  return [
    ...before.flatMap((s) =>
      when(s.begin > s.ready || s.ready > mixOn, `${s.id} ${s.begin} to ${s.ready}, mixed ${mixOn}`),
    ),
    ...when(buyBy !== null && buyBy > mixOn, `bought ${buyBy}, mixed ${mixOn}`),
    ...after.flatMap((s) =>
      when(
        !s.done && s.ready > planted.day && !clashes.some((c) => c.code === 'planted-too-soon'),
        `${s.id} until ${s.ready}, planted ${planted.day}`,
      ),
    ),
  ]
}

const RULES: Record<string, Rule> = {
  measures,
  packs,
  days,
  physical,
  noBrokenWords,
  oneSystem,
  sameFigures,
  sameLiking,
  noContradiction,
  adviceHelps,
}

test(`of ${JOBS} random jobs no screen says what cannot be, or says two things`, { timeout: 600_000 }, () => {
  const breaches = new Map<string, string[]>()
  let told = 0
  for (let seed = 1; seed <= JOBS; seed++) {
    const random = randomJob(seed)
    const screens = screensOf(random)
    if ('problem' in screens) {
      if (BROKEN.test(screens.problem)) breaches.set(`problem: ${screens.problem}`, [`job ${seed}`])
      continue
    }
    told++
    const rules = {
      ...RULES,
      ...(seed % MOVES_EVERY === 0 ? { movesHelp } : {}),
      ...(seed % OFFERS_EVERY === 0 ? { offersEnd } : {}),
    }
    for (const [name, rule] of Object.entries(rules))
      for (const what of rule(screens, random)) {
        const key = `${name}: ${what.replace(/[\d.,]+/g, '#')}`
        breaches.set(key, [...(breaches.get(key) ?? []), `job ${seed}: ${what}`])
      }
  }
  const list = [...breaches].sort((a, b) => b[1].length - a[1].length)
  if (process.env.SENSE_PRINT)
    console.log(list.map(([key, jobs]) => `${jobs.length} × ${key}\n      ${jobs[0]}`).join('\n'))
  expect(told).toBeGreaterThan(0.8 * JOBS)
  expect(list.map(([, jobs]) => `${jobs.length} × ${jobs[0]}`)).toEqual([])
})
