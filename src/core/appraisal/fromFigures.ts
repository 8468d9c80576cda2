import { firstShort, isForSeedlings, JUDGEMENT_LIMITS, verdictsOf } from '../judgement'
import type { Fed } from '../nutrients'
import { found, type AppraisalQuestion, type Finding } from './finding'
import { APPRAISAL_LIMITS as L } from './limits'
import { isTender } from './situation'
import type { Topic } from './topics'

/** A week, in which a pH that goes on falling or rising is out of its band, counts from here on, days. */
const SEASONS_END = 70

const SHORT: Record<Exclude<Fed, 'nitrogen' | 'sulfur'>, Topic> = {
  phosphorus: 'phosphorus-short',
  potassium: 'potassium-short',
  calcium: 'calcium-short',
  magnesium: 'magnesium-short',
}

/** Mineral soil keeps traces in reach at a pH that a soilless mix does not bear; for acid lovers it does not help. */
const buffersPH = ({ evaluation: e, bands: { pH } }: AppraisalQuestion): boolean =>
  pH.high > L.acidBand.value &&
  e.blend.shares.reduce((s, p) => s + (p.material.family === 'soil' ? p.share : 0), 0) >= L.muchSoil.value

function acidity(q: AppraisalQuestion): Finding[] {
  const {
    evaluation: e,
    bands: { pH },
    situation,
  } = q
  const slack = JUDGEMENT_LIMITS.pHSlack.value
  const far = pH.high <= L.acidBand.value ? L.farPHForAcid.value : L.farPH.value
  // A cutting is rooted and moved on before its crop's band counts.
  const bearing = isTender(situation) ? 'note' : 'grave'
  const mild = isTender(situation) ? 'note' : 'watch'
  const isAcid = pH.high <= L.acidBand.value
  // Heaths stand half a unit below their band, and starve of iron above it.
  const lowOf = (x: number) =>
    isAcid && x >= pH.low - L.acidBears.value ? 'note' : x < pH.low - L.farPH.value ? bearing : mild
  const outside = (x: number): Finding[] =>
    x < pH.low - slack
      ? [found('ph-low', lowOf(x), x, pH.low)]
      : x > pH.high + slack
        ? [{ ...found('ph-high', highOf(x), x, pH.high), ...(isAcid ? { harms: 'kills' } : {}) }]
        : []
  const highOf = (x: number) =>
    buffersPH(q) && x <= pH.high + L.soilBearsPH.value ? 'note' : x > pH.high + far ? bearing : mild
  const end = e.acidity.filter((s) => s.day >= SEASONS_END).at(-1)
  const now = outside(e.lime.pH)
  if (now.length > 0 || !end) return now
  // What falls that far goes on falling; what water lifts can be brought back.
  return outside(end.pH).map((f) => ({
    ...f,
    severity: f.severity === 'grave' && f.topic === 'ph-high' ? mild : f.severity,
  }))
}

function air({ evaluation: e, bands, judged, situation }: AppraisalQuestion): Finding[] {
  const { low, high } = bands.airFilledPorosity
  const { airFilledPorosity: x } = e.mix
  if (x < L.drowns.value * low) return [found('air-low', 'grave', x, low)]
  const { days, water } = verdictsOf(e, bands, judged.crop?.perennial ?? false)
  const month = e.growing?.thirstiestMonth
  const interval = month ? e.growing!.watering[month - 1]!.days.value : Infinity
  // Much air is a fault where it leaves too little water.
  const dry = days === 'low' || interval < L.dryDays.value
  const open = dry ? 'watch' : 'note'
  return [
    ...(x > high + JUDGEMENT_LIMITS.shareSlack.value
      ? [
          found(
            'air-high',
            x > high + L.farAir.value && !isTender(situation) ? 'watch' : water === 'low' ? open : 'note',
            x,
            high,
          ),
        ]
      : []),
    // Cells of seedlings are watered every day by all who raise them.
    ...(dry ? [found('dries-fast', isTender(situation) ? 'note' : 'watch', interval, L.dryDays.value)] : []),
  ]
}

/** A shop's bag is fed for its first weeks unless its label says otherwise. Source: common practice. */
const isBagFed = ({ evaluation: e, situation }: AppraisalQuestion): boolean =>
  situation.bagFed !== false &&
  e.blend.shares.reduce((s, p) => s + (p.material.id === 'potting_mix_bagged' ? p.share : 0), 0) >
    L.mostlyBag.value

function feed(q: AppraisalQuestion): Finding[] {
  const { evaluation: e, situation, bands } = q
  const feeding = e.growing?.feeding
  if (!feeding || isTender(situation) || isForSeedlings(e)) return []
  const { met } = feeding
  const fedLater = situation.feedLater !== undefined
  const nitrogen: Finding[] =
    met.nitrogen < L.noNitrogen.value && !isBagFed(q)
      ? [found('nitrogen-none', fedLater ? 'note' : 'grave', met.nitrogen, 1)]
      : met.nitrogen < JUDGEMENT_LIMITS.fed.value
        ? [
            found(
              'nitrogen-short',
              fedLater || met.nitrogen > L.littleShort.value ? 'note' : 'watch',
              met.nitrogen,
              1,
            ),
          ]
        : []
  const others = (Object.keys(SHORT) as (keyof typeof SHORT)[]).flatMap((e): Finding[] => {
    if (met[e] >= JUDGEMENT_LIMITS.fed.value) return []
    const first = firstShort(feeding)?.element === e
    // Heaths want next to no calcium.
    const wantsNone = e === 'calcium' && bands.pH.high <= L.acidBand.value
    const severity =
      fedLater || wantsNone || met[e] > L.littleShort.value
        ? 'note'
        : first && met[e] < L.gravelyShort.value
          ? 'grave'
          : 'watch'
    return [found(SHORT[e], severity, met[e], 1)]
  })
  return [...nitrogen, ...others]
}

/** Crops that more nitrogen makes worse: forked roots, leaf without pods, herbs without flavour. */
const SPARING: ReadonlySet<string> = new Set(['root veg', 'legume', 'herb'])

function excess({ evaluation: e, judged: { crop } }: AppraisalQuestion): Finding[] {
  const feeding = e.growing?.feeding
  if (!feeding || !crop || !SPARING.has(crop.kind)) return []
  const comes = feeding.weeks.nitrogen.reduce((sum, w) => sum + w.supply, 0)
  const limit = L.tooMuchNitrogen.value * feeding.enough.nitrogen
  return comes > limit ? [found('nitrogen-too-much', 'watch', comes, limit)] : []
}

function years({ evaluation: e, situation }: AppraisalQuestion): Finding[] {
  const wanted = situation.years
  const last = e.seasons.at(-1)
  if (wanted === undefined || !last) return []
  // What is left rots on at the pace of the years that were followed.
  const lost = 1 - (1 - last.volumeLost) ** (wanted / last.years)
  return lost > L.wornOut.value ? [found('slumps', 'grave', lost, L.wornOut.value)] : []
}

function room({ evaluation: e, judged: { crop }, situation }: AppraisalQuestion): Finding[] {
  if (!crop || isTender(situation) || isForSeedlings(e)) return []
  const wanted = crop.properties.minDepth.value
  const bearing = crop.kind === 'root veg' ? 'grave' : 'watch'
  return e.mixDepth < L.makesDo.value * wanted ? [found('crop-depth', bearing, e.mixDepth, wanted)] : []
}

function drainage({ judged: { container }, bottomLayers }: AppraisalQuestion): Finding[] {
  const coarse = bottomLayers.some(({ parts, bridged }) => !bridged && parts.some((p) => isStone(p)))
  return [
    ...(container.base.kind === 'closed' ? [found('no-drainage', 'grave')] : []),
    ...(coarse && container.base.kind !== 'closed' ? [found('gravel-no-help', 'watch')] : []),
  ]
}
type LayerPart = AppraisalQuestion['bottomLayers'][number]['parts'][number]
const STONES: ReadonlySet<string> = new Set(['aggregate', 'sand'])
/** Herbs that want to dry between waterings never do over a reservoir. Source: common practice. */
const wetOnPurpose = ({ judged: { container, crop } }: AppraisalQuestion): Finding[] =>
  container.base.kind === 'sideHoles' && crop?.kind === 'herb' && crop.moisture.startsWith('dry')
    ? [found('stays-wet', 'watch')]
    : []

const isStone = ({ material }: LayerPart) => STONES.has(material.material.family)

/** What the figures say for themselves. */
export const fromFigures = (q: AppraisalQuestion): Finding[] => [
  ...drainage(q),
  ...wetOnPurpose(q),
  ...air(q),
  ...acidity(q),
  ...feed(q),
  ...excess(q),
  ...years(q),
  ...room(q),
]
