import { differenceInCalendarDays, getMonth, parseISO } from 'date-fns'
import type { Evaluation } from '@/core/evaluate'
import { IMMEDIATE, saltLimit, supplyOf, supplyOfLimes, USUAL_SALT_LIMIT, type Trace } from '@/core/nutrients'
import type { BedFacts, KnownFigure } from '@/core/symptoms'
import type { Entry, Job, MixRecord, Place } from '../garden/schemas'
import type { PreparedMix } from '../mix/prepare'
import { expectedOn } from './log'
import { readingsOf, type Noted } from './readings'
import { seasonStart } from './timeline'

/** `entries` and `tests` are of the bed it is about, or of all. */
export interface FactsQuestion extends Noted {
  job: Job
  record: MixRecord | undefined
  place: Place | undefined
  prepared: PreparedMix
  evaluation: Evaluation
}

/** A reading older than this no longer says how it is now. Source: our assumption. */
const FRESH = 45
/** Days a look back for gaps goes. */
const LOOK_BACK = 30
/** What supply is counted over, days. */
const SEASON = 140
/** A lime with more magnesium than this is dolomitic, fraction by weight; ground limestone has a hundredth at most. */
const MAGNESIAN = 0.02
/** mg/L of dissolved nitrogen below which the share of ammonium in it says nothing. Our assumption. */
const DISSOLVED_COUNTS = 5

const FAMILIES = {
  peatOrBark: new Set(['peat', 'bark', 'coir']),
  soil: new Set(['soil']),
  wood: new Set(['wood', 'bark', 'hull']),
  compost: new Set(['compost', 'mix']),
  manure: new Set(['manure']),
}
const MEALS = new Set(['organic_N', 'organic_P', 'organic_K'])

/** The last reading of a kind, salts in the saturated extract; null where it is too old. */
function lastRead(kind: 'pH' | 'salts', noted: Noted, now: string): number | null {
  const last = readingsOf(kind, noted).at(-1)
  return last && differenceInCalendarDays(parseISO(now), parseISO(last.at)) <= FRESH ? last.value : null
}

/** Days since the last watering, and the longest gap of the last month; null where nothing is noted. */
function wateringsOf(entries: readonly Entry[], now: string) {
  const ago = entries
    .flatMap((e) => (e.kind === 'watered' ? [differenceInCalendarDays(parseISO(now), parseISO(e.at))] : []))
    .filter((d) => d >= 0)
    .sort((a, b) => a - b)
  if (ago.length === 0) return { daysSinceWatered: null, longestGap: null }
  const near = ago.filter((d) => d <= LOOK_BACK)
  const gaps = near.slice(1).map((d, i) => d - near[i]!)
  return { daysSinceWatered: ago[0]!, longestGap: gaps.length > 0 ? Math.max(...gaps, ago[0]!) : null }
}

/** All that is known of a bed on a day, for finding out what is wrong with it. `now` is an ISO moment. */
export function bedFacts(q: FactsQuestion, now: string): BedFacts {
  const start = seasonStart(q)
  const day = start ? Math.max(0, differenceInCalendarDays(parseISO(now), parseISO(start))) : 0
  const on: OnDay = { now, day, month: getMonth(parseISO(now)) }
  return {
    ...acidityFacts(q, on),
    ...saltFacts(q, on),
    ...feedFacts(q, on),
    ...airFacts(q),
    ...waterFacts(q, on),
    ...weatherFacts(q, on),
    ...mixFacts(q),
    ...plantFacts(q),
    ageDays: day,
  }
}

/** A moment, the days since planting or mixing, and the month, 0 to 11. */
interface OnDay {
  now: string
  day: number
  month: number
}

function acidityFacts(q: FactsQuestion, { now, day }: OnDay) {
  const { prepared, evaluation: e } = q
  const read = lastRead('pH', q, now)
  const limes = [...e.lime.doses, ...(e.given.limes ?? [])].filter((l) => l.gramsPerLitre > 0)
  return {
    pH: { value: read ?? expectedOn(e, 'pH', day) ?? e.lime.pH, isRead: read !== null },
    pHBand: prepared.bands.pH,
    limed: limes.length > 0,
    limedWithMagnesium: limes.some((l) => l.lime.magnesium > MAGNESIAN),
  }
}

function saltFacts(q: FactsQuestion, { now, day }: OnDay) {
  const { bands, question } = q.prepared
  const crop = question.crops[0]
  return {
    salts: saltsNow(q, now, day),
    saltLimit: bands.electricalConductivity?.high ?? (crop ? saltLimit(crop.properties) : USUAL_SALT_LIMIT),
  }
}
/** Salts as read last, or as their course has them on the day. */
function saltsNow(q: FactsQuestion, now: string, day: number): KnownFigure {
  const { evaluation: e } = q
  const read = lastRead('salts', q, now)
  if (read !== null) return { value: read, isRead: true }
  const fresh = e.salts.mix.electricalConductivity.saturatedExtract
  const { course } = e.salts
  const then = day === 0 ? undefined : (course.find((c) => c.day >= day) ?? course.at(-1))
  return { value: then?.saturatedExtract ?? fresh, isRead: false }
}

const shortTraces = ({ traces }: Evaluation) => {
  const short = (trace: Trace) => traces.some((t) => t.trace === trace && t.state === 'short')
  return { ironShort: short('iron'), manganeseShort: short('manganese'), copperShort: short('copper') }
}

function feedFacts({ prepared, evaluation: e, entries }: FactsQuestion, { now, day }: OnDay) {
  const { input } = prepared
  const doses = input.dressings ?? []
  const supply = supplyOf(e.blend, doses, input.temperature ?? 20)
  const { phosphorus, potassium, magnesium, calcium, boron } = supply(SEASON).charge
  const limed = supplyOfLimes(e.lime.doses, input.temperature ?? 20)(SEASON)
  const { nitrate, ammonium } = supply(IMMEDIATE).nitrogen
  const dissolved = nitrate + ammonium
  const weeks = e.growing?.feeding.weeks.nitrogen
  const week = weeks?.find((w) => w.day >= day) ?? weeks?.at(-1)
  const fed = entries
    .flatMap((x) => (x.kind === 'fed' ? [differenceInCalendarDays(parseISO(now), parseISO(x.at))] : []))
    .filter((d) => d >= 0)
  return {
    nitrogen: week?.pool ?? null,
    nitrogenWanted: week?.demand ?? null,
    drawdown: e.growing?.feeding.drawdown ?? 0,
    daysSinceFed: fed.length > 0 ? Math.min(...fed) : null,
    phosphorus,
    potassium,
    magnesium: magnesium + limed.magnesium,
    calcium: calcium + limed.calcium,
    boron,
    ...shortTraces(e),
    ammoniumShare: dissolved > DISSOLVED_COUNTS ? ammonium / dissolved : 0,
    meals: doses.reduce((s, d) => s + (MEALS.has(d.dressing.family) ? d.gramsPerLitre : 0), 0),
  }
}

const airFacts = ({ prepared: { bands, input, question }, evaluation: e }: FactsQuestion) => ({
  airFilledPorosity: e.mix.airFilledPorosity,
  airBand: bands.airFilledPorosity,
  drains: input.container.base.kind !== 'closed',
  conductivity: e.blend.saturatedConductivity,
  fabric: question.bed.wallKind === 'fabric',
})

const waterFacts = (
  { prepared: { question }, evaluation: e, entries }: FactsQuestion,
  { now, month }: OnDay,
) => ({
  daysBetween: e.growing?.watering[month]?.days.value ?? null,
  ...wateringsOf(entries, now),
  alkalinity: question.place?.waterAlkalinity ?? 0,
  waterEc: question.place?.waterConductivity ?? 0,
})

function weatherFacts({ place, evaluation: e }: FactsQuestion, { month }: OnDay) {
  const climate = place?.months[month]
  return {
    temperature: climate ? (climate.tMin + climate.tMax) / 2 : null,
    tMax: climate?.tMax ?? null,
    tMin: climate?.tMin ?? null,
    rainy: e.growing?.wetMonths.includes(month + 1) ?? false,
    windy: place?.wind === 'exposed',
  }
}

function mixFacts({ evaluation: e, entries }: FactsQuestion) {
  const share = (of: ReadonlySet<string>) =>
    e.blend.shares.reduce((s, x) => s + (of.has(x.material.family) ? x.share : 0), 0)
  return {
    peatOrBark: share(FAMILIES.peatOrBark),
    soil: share(FAMILIES.soil),
    wood: share(FAMILIES.wood),
    compost: share(FAMILIES.compost),
    manure: share(FAMILIES.manure),
    slump: (e.seasons[0]?.slump ?? 0) / Math.max(1, e.mixDepth),
    sunk: entries.find((x) => x.kind === 'sunk')?.value ?? null,
    depth: e.mixDepth,
  }
}

function plantFacts({ prepared: { input, question }, evaluation: e }: FactsQuestion) {
  const crop = question.crops[0]
  return {
    litresPerPlant: e.fill.mixVolume / Math.max(1, input.growing?.plants ?? 1),
    litresWanted: crop?.properties.minRootVolume.value ?? 0,
    perennial: crop?.perennial ?? false,
  }
}
