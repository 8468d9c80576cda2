import { DAYS_PER_MONTH } from '@/core/units'
import { JUDGEMENT_LIMITS, verdictsOf, type Verdicts } from '@/core/judgement'
import { releasedFraction } from '@/core/chemistry'
import { USUAL_TEMPERATURE, type Evaluation } from '@/core/evaluate'
import type { DressingDose } from '@/core/nutrients'
import type { SeasonState } from '@/core/structure'
import type { Bands } from '@/core/targets'
import type { MixCost } from '@/model/mix/cost'
import { dressingName } from '../shelf/dressings'
import { shortName } from '../base/titles'
import { percentText, rateFigure, rateUnit, type UnitSystem } from '../base/units'
import { feedSpan, nutrientTable, nutrientWeeks, shortText } from './feed'
import { listed, type Reading, type Why } from './reading'
import { saltsWhy } from './salts'

/** All that the figures below those under the hand are worded from. */
export interface LaterContext {
  evaluation: Evaluation
  /** Everything given, g per litre. */
  doses: readonly DressingDose[]
  /** Its later years; null while the hand has not rested. */
  later: readonly SeasonState[] | null
  bands: Bands
  cost: MixCost
  /** What a part is called. */
  nameOf: (id: string) => string
  /** The crop stays for years. */
  perennial: boolean
  units: UnitSystem
}

/** Salts that rise by less than this are those of the fresh mix, dS/m. */
const RISEN = 0.1
/** End of the scale of salts, dS/m. */
const EC = 6
const ecText = (x: number) => `${x.toFixed(1)} dS/m`
const freshSalts = (e: Evaluation) => e.salts.mix.electricalConductivity.saturatedExtract
/** What the bench judges: the most from planting on. */
const saltsOf = (e: Evaluation) => e.salts.most.saturatedExtract
const rises = (e: Evaluation) => saltsOf(e) > freshSalts(e) + RISEN

/** Whose salts they are, largest first. */
function saltShares({ blend }: Evaluation) {
  const each = blend.shares.map(({ material: m, share }) => ({
    name: shortName(m.id),
    salts: share * m.properties.totalPorosity.value * m.properties.electricalConductivity.value,
  }))
  const sum = each.reduce((s, x) => s + x.salts, 0) || 1
  return each
    .map((x) => ({ ...x, share: x.salts / sum }))
    .sort((a, b) => b.share - a.share)
    .slice(0, 4)
}

function saltsReading({ evaluation: e, bands }: LaterContext, v: Verdicts): Reading {
  const most = bands.electricalConductivity?.high
  const place = (x: number) => x / EC
  return {
    id: 'salts',
    label: 'Salts',
    term: rises(e)
      ? `Electrical conductivity of the saturated extract, the most: in week ${Math.round(e.salts.most.day / 7)}`
      : 'Electrical conductivity of the saturated extract, before the first watering',
    value: ecText(saltsOf(e)),
    wanted: most === undefined ? '' : `${ecText(most)} at most`,
    verdict: v.salts,
    advice:
      v.salts === 'high' && rises(e)
        ? `It begins at ${ecText(freshSalts(e))}; your water and the feed leave the rest. Water until some drains, or mix in rain water.`
        : v.salts === 'high'
          ? 'Flush with plain water before planting, or take less compost, manure or feed.'
          : '',
    position: place(saltsOf(e)),
    band: most === undefined ? null : { from: 0, to: place(most) },
    likely: { kind: 'drawn', figure: 'electricalConductivity', write: ecText, place: null },
    ghost: (other) => ({ position: place(saltsOf(other)), text: ecText(saltsOf(other)) }),
    why: () => [
      `Whose they are: ${listed(saltShares(e), (s) => `${s.name} ${percentText(s.share)}`)}; dressings on top of that. Each part’s extract times the water it holds full, summed (saturation mixing).`,
      ...saltsWhy(e),
    ],
  }
}

/** From here on a season's nitrogen counts as all of it. */
const FED = { from: JUDGEMENT_LIMITS.fed.value, to: 1 }

/** Months a release is shown at. */
const RELEASED_AT = [1, 2, 3, 6, 9, 12, 18, 24]

/** What of each slow feed is given by when, over its whole life and not only the crop's; nothing where none is slow. */
function releaseTable({ doses, evaluation }: LaterContext): Why[] {
  const slow = doses.filter(
    ({ dressing }) =>
      (dressing.release.kind === 'coated' || dressing.release.kind === 'firstOrder') &&
      (dressing.analysis.nitrogen?.value ?? 0) > 0,
  )
  if (slow.length === 0) return []
  const temperature = evaluation.given.temperature ?? USUAL_TEMPERATURE
  return [
    {
      head: ['Given by month', ...RELEASED_AT.map(String)],
      rows: slow.map(({ dressing }) => [
        dressingName(dressing.id),
        ...RELEASED_AT.map((m) =>
          percentText(releasedFraction(dressing.release, m * DAYS_PER_MONTH, temperature)),
        ),
      ]),
    },
  ]
}

function feedReading(context: LaterContext, v: Verdicts): Reading[] {
  const { evaluation: e, units } = context

  const f = e.growing?.feeding
  if (!f) return []
  return [
    {
      id: 'feed',
      label: 'Feed',
      term: 'Nutrients against the crop’s demand, week by week',
      value: percentText(f.fed),
      wanted: feedSpan(f),
      verdict: v.feed,
      advice:
        v.feed === 'low'
          ? `Each container still needs ${shortText(f, units)} over the season: as liquid, on top, or in the mix.`
          : '',
      position: f.fed,
      band: FED,
      likely: { kind: 'known', text: `${f.earlyNitrogen.toFixed(0)} mg/L of nitrogen at first`, span: null },
      ghost: ({ growing }) =>
        growing && {
          position: growing.feeding.fed,
          text: percentText(growing.feeding.fed),
        },
      why: () => [
        `${f.earlyNitrogen.toFixed(0)} mg of available nitrogen in a litre in the first days; ${f.drawdown.toFixed(0)} mg tied up by rotting wood and bark in the first month.`,
        nutrientWeeks(f),
        nutrientTable(f),
        'mg in a litre of mix over the season. Growth follows the scarcest nutrient.',
        {
          head: ['Week', 'comes in', 'wanted', 'washed out'],
          rows: f.weeks.nitrogen
            .filter((_, k) => k % 4 === 0)
            .map((w, i) => [
              String(i * 4 + 1),
              w.supply.toFixed(1),
              w.demand.toFixed(1),
              w.leached.toFixed(1),
            ]),
        },
        'mg of nitrogen a litre and week. Release by first order and temperature; washing-out as from a mixed tank.',
        ...releaseTable(context),
      ],
    },
  ]
}

function lastingReading({ evaluation, later, perennial }: LaterContext, v: Verdicts): Reading[] {
  const seasons = later ?? evaluation.seasons
  const third = seasons.find((s) => s.years === 3)
  if (!third) return []
  return [
    {
      id: 'lasting',
      label: 'After three years',
      term: 'Structure lost to rot, packed again',
      value: `${percentText(third.volumeLost)} gone`,
      wanted: perennial ? 'it stays for years' : 'if you keep it that long',
      verdict: v.lasting,
      advice:
        v.lasting === 'high' ? 'Much of it rots away under what stays: more bark, pumice, grit or loam.' : '',
      position: null,
      band: null,
      likely: null,
      ghost: () => null,
      why: () => [
        `${seasons.map((s) => `Year ${s.years}: ${percentText(s.volumeLost)} gone, air ${percentText(s.airFilledPorosity)}.`).join(' ')} Halves by each part’s half-life, at your place’s warmth where it is known.`,
      ],
    },
  ]
}

const withoutText = (names: readonly string[]) =>
  names.length > 0 ? `without ${names.join(', ')}` : 'all parts, lime and feed'

function costReading({ cost, nameOf, units }: LaterContext): Reading {
  return {
    id: 'cost',
    label: 'Cost',
    term: 'Materials, lime and feed of one litre of blended mix, from the prices of your shelf, whole packs left aside',
    value: cost.perLitre === null ? 'no price yet' : `${rateFigure(cost.perLitre, units)} ${rateUnit(units)}`,
    wanted: withoutText([
      ...cost.missing.map(nameOf),
      ...cost.missingDoses.map((id) => dressingName(id).toLowerCase()),
    ]),
    verdict: 'plain',
    advice: '',
    position: null,
    band: null,
    likely: null,
    ghost: () => null,
    why: () => [
      'Each part’s price for a loose litre by its share, more by what is lost on stirring; lime and feed by weight. Whole packs, what is left of them, and what settles: under Buy.',
    ],
  }
}

/** Salts, feed, lifetime and cost: what may come a moment after air and water. */
export function readingsLater(context: LaterContext): Reading[] {
  const { evaluation, later, bands, perennial } = context
  const { growing, lime, mix, salts, weights } = evaluation
  const seasons = [...(later ?? evaluation.seasons)]
  const verdicts = verdictsOf({ growing, lime, mix, salts, weights, seasons }, bands, perennial)
  return [
    saltsReading(context, verdicts),
    ...feedReading(context, verdicts),
    ...lastingReading(context, verdicts),
    costReading(context),
  ]
}
