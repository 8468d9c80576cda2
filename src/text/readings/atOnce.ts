import { cropInText } from '../base/cropInText'
import type { Evaluation } from '@/core/evaluate'
import { limeAt } from '@/core/chemistry'
import { containerProfile, dryingLimits, EASY_RANGE } from '@/core/water'
import type { Container } from '@/core/geometry'
import { airAsDug, SOIL_SETTLES } from '@/core/mixing'
import { verdictsOf, WIND_MET, type Verdicts, type WindExposure } from '@/core/judgement'
import { waterJudged, type Bands, type Reason, type Target, type Targets } from '@/core/targets'
import { FLOOR_DESIGN_LOAD, LIFT_LIMIT } from '@/core/weight'
import { cropNamed, reasonText } from '../bed/targets'
import { dressingName } from '../shelf/dressings'
import { MONTHS } from '../base/months'
import {
  intervalText,
  lengthText,
  loadText,
  percentText,
  pHText,
  volumeText,
  weightText,
  windText,
  type UnitSystem,
} from '../base/units'
import { pHWhy, RAISED_BY_WATER, SEEN_ON_A_METER } from './pHWhy'
import { listed, type Reading, type Span } from './reading'

/** All that the figures under the hand are worded from. */
export interface ReadingContext {
  evaluation: Evaluation
  bands: Bands
  /** The same bands, each with its reasons; null where there is no question yet. */
  targets: Targets | null
  container: Container
  /** Wind where it stands; null where nobody said. */
  wind: WindExposure | null
  perennial: boolean
  units: UnitSystem
  /** A bed on the ground: what counts is the load, not the lifting. */
  wide: boolean
}

/** Ends of the scales. */
const AIR = 0.5
const WATER = 0.5
const DAYS = 10
const PH = { from: 3.5, to: 8 }
const onPH = (pH: number) => (pH - PH.from) / (PH.to - PH.from)
const percentBand = (b: { low: number; high: number }) =>
  `${Math.round(b.low * 100)}–${Math.round(b.high * 100)} %`
const reasonsFor = ({ targets }: ReadingContext, target: Target): Reason[] =>
  targets?.bands.find((b) => b.target === target)?.reasons ?? []
/** A crop likes what its row says; what container and mix make of that is wanted here. */
function wantedOf(context: ReadingContext, target: Target, band: string, isOpen = false): string {
  const [first, ...others] = reasonsFor(context, target)
  if (first?.code === 'grower') return `your target: ${band}`
  if (isOpen || others.length > 0) return `wanted here: ${band}`
  return first?.code === 'crop' ? `${cropInText(cropNamed(first.crop))} likes ${band}` : `most like ${band}`
}
/** Why a band is not the crop's own; nothing where it is. */
function whyWanted(context: ReadingContext, target: Target, band: string): string[] {
  const reasons = reasonsFor(context, target)
  return reasons.length > 1
    ? [`Wanted is ${band}: ${reasons.map((r) => reasonText(r, context.units)).join('; ')}.`]
    : []
}
const span = (b: { low: number; high: number } | null, place: (x: number) => number): Span | null =>
  b && { from: place(b.low), to: place(b.high) }

const AIR_ADVICE = {
  low: 'Roots would be short of air at this depth. Add something coarse, or take a deeper container.',
  high: 'It drains fast and dries fast. Add something that holds water, or take a shallower container.',
  good: '',
  plain: '',
}
const AIR_ADVICE_IN_GROUND = {
  ...AIR_ADVICE,
  low: 'Roots would be short of air. Add something coarse, or raise the bed.',
  high: 'It drains fast and holds little. Add compost, coir or loam.',
}
const AIRY_BUT_WET = 'More air than it likes, but it holds water enough: no harm in it.'
const WATER_ADVICE = {
  low: 'Little easy water: expect to water often.',
  high: 'Plenty of water: let it dry a little between waterings.',
  good: '',
  plain: '',
}
const WATER_ADVICE_IN_GROUND = {
  ...WATER_ADVICE,
  low: 'Little water for plants: compost, coir or loam holds more.',
}

const LITTLE_BUT_ENOUGH = 'Little easy water, but enough for your days between waterings.'

/** Straight pots that show the lesson of the container, cm deep. */
const DEPTHS = [8, 15, 30, 60]
const airAtDepth = ({ blend }: Evaluation, depth: number) =>
  containerProfile(
    {
      shape: { kind: 'roundPot', topDiameter: 20, baseDiameter: 20, height: depth },
      headspace: 0,
      base: { kind: 'drainHoles' },
    },
    [{ top: depth, totalPorosity: blend.totalPorosity, waterAt: blend.waterAt }],
    40,
  ).airFilledPorosity

/** What the first weeks are like while soil lies as it was dug. */
function looseSoil({ blend, mix }: Evaluation): string[] {
  const air = airAsDug(blend, mix.airFilledPorosity)
  return air === null
    ? []
    : [
        `Loose, as dug, it has ${percentText(air)} air. A month of watering settles the soil to ${percentText(SOIL_SETTLES)} of its volume, and to the figure above.`,
      ]
}

function airReading(context: ReadingContext, v: Verdicts): Reading {
  const { evaluation: e, bands, units } = context
  const place = (x: number) => x / AIR
  const { low, high } = bands.airFilledPorosity
  // Ground that holds water enough has no fault in more air.
  const openEnded = bands.plantAvailableWater !== null && v.water === 'good'
  const band = openEnded ? `${percentText(low)} or more` : percentBand(bands.airFilledPorosity)
  return {
    id: 'air',
    label: 'Air after draining',
    term:
      e.profile.layers.length > 1
        ? 'Air-filled porosity above the layers below, 24 hours after watering'
        : 'Air-filled porosity at container capacity',
    value: percentText(e.mix.airFilledPorosity),
    wanted: wantedOf(context, 'airFilledPorosity', band, openEnded),
    verdict: v.air,
    advice:
      v.air === 'high' && (v.water === 'good' || v.water === 'high')
        ? AIRY_BUT_WET
        : (bands.plantAvailableWater ? AIR_ADVICE_IN_GROUND : AIR_ADVICE)[v.air],
    position: place(e.mix.airFilledPorosity),
    band: span({ low, high: openEnded ? AIR : high }, place),
    likely: { kind: 'drawn', figure: 'airFilledPorosity', write: percentText, place },
    ghost: ({ mix }) => ({
      position: place(mix.airFilledPorosity),
      text: percentText(mix.airFilledPorosity),
    }),
    why: () => [
      `Pores are ${percentText(e.blend.totalPorosity)} of the blend; ${percentText(e.mix.containerCapacity)} stay full of water when draining ends, at the depth of ${lengthText(e.mixDepth, units)}. The rest is air.`,
      `The same mix in straight pots: ${listed(DEPTHS, (d) => `${lengthText(d, units)} deep ${percentText(airAtDepth(e, d))}`)}. Depth drains a mix, not holes.`,
      ...looseSoil(e),
      ...whyWanted(context, 'airFilledPorosity', percentBand(bands.airFilledPorosity)),
      ...(openEnded ? ['More air than that is no fault in a bed that holds water enough.'] : []),
    ],
  }
}

function waterReading({ evaluation: e, bands, container, units }: ReadingContext, v: Verdicts): Reading {
  const place = (x: number) => x / WATER
  const { easy, buffer } = dryingLimits(container)
  const ground = bands.plantAvailableWater
  const band = ground ?? bands.easilyAvailableWater
  const water = waterJudged(e.mix, bands)
  const { drainedToEasy, plantAvailableWater, waterBufferingCapacity, heldWater } = e.mix
  const litres = (share: number) => volumeText(share * e.fill.mixVolume, units)
  return {
    id: 'water',
    label: ground ? 'Water for plants' : 'Easy water',
    term: ground
      ? 'Plant-available water, drained state to the wilting point, 1.5 MPa'
      : `Easily available water, ${EASY_RANGE.from / 10} to ${EASY_RANGE.to / 10} kPa`,
    value: percentText(water),
    wanted:
      band === null ? `${litres(water)} in each` : `good: ${percentBand(band)}${ground ? ' or more' : ''}`,
    verdict: v.water,
    // What the days between waterings say in this place is not to be contradicted.
    advice:
      v.water === 'low' && v.days === 'good'
        ? LITTLE_BUT_ENOUGH
        : (ground ? WATER_ADVICE_IN_GROUND : WATER_ADVICE)[v.water],
    position: band === null ? null : place(water),
    band: span(ground ? { ...ground, high: WATER } : band, place),
    likely: {
      kind: 'drawn',
      figure: ground ? 'plantAvailableWater' : 'easilyAvailableWater',
      write: percentText,
      place,
    },
    ghost: ({ mix }) => ({
      position: place(waterJudged(mix, bands)),
      text: percentText(waterJudged(mix, bands)),
    }),
    why: () => [
      `${litres(drainedToEasy)} of easy water in each once it has drained. Then ${litres(waterBufferingCapacity)} that roots work harder for (${easy / 10} to ${buffer / 10} kPa), and ${litres(heldWater)} held tighter still. ${
        container.base.kind === 'onSoil'
          ? `The soil below has drained the bed past the ease of a pot; counted as for watered ground, to 40 kPa. To the wilting point plants can take ${litres(plantAvailableWater)}. Roots that go on down find more.`
          : 'Target: De Boodt & Verdonck 1972.'
      }`,
    ],
  }
}

/** A dressing that lowers pH by more than this is the first thing to give less of. Source: our assumption. */
const SOURS = 0.3

function tooAcid({ lime }: Evaluation): string {
  const sour = [...lime.movers].sort((a, b) => a.by - b.by)[0]
  return sour && sour.by < -SOURS
    ? `Too acid: ${dressingName(sour.id).toLowerCase()} lowers it. Less of that, or more lime.`
    : 'Too acid: lime raises it.'
}

function pHReading(context: ReadingContext, v: Verdicts): Reading {
  const { evaluation: e, bands } = context
  const band = `${pHText(bands.pH.low)}–${pHText(bands.pH.high)}`
  const limes = e.lime.doses.map(({ lime, gramsPerLitre }) => ({ lime, share: gramsPerLitre }))
  const isRaisedByLime = () =>
    e.lime.gramsPerLitre > 0 &&
    e.lime.pH - limeAt(e.blend, { choice: limes, gramsPerLitre: 0 }, e.given).pH >= SEEN_ON_A_METER
  const tooHigh = () =>
    e.lime.byWater >= RAISED_BY_WATER
      ? 'Your water raises it: mix it with rain water, or leave out lime.'
      : isRaisedByLime()
        ? 'Too much lime for this crop.'
        : 'Lime never lowers pH: more peat or bark and less compost would.'
  return {
    id: 'pH',
    label: 'pH in six weeks',
    term: 'pH of the mix, with its lime, feed and your water',
    value: pHText(e.lime.pH),
    wanted: wantedOf(context, 'pH', band),
    verdict: v.pH,
    advice: v.pH === 'low' ? tooAcid(e) : v.pH === 'high' ? tooHigh() : '',
    position: onPH(e.lime.pH),
    band: span(bands.pH, onPH),
    likely: { kind: 'drawn', figure: 'pH', write: pHText, place: onPH },
    ghost: ({ lime }) => ({ position: onPH(lime.pH), text: pHText(lime.pH) }),
    why: () => [
      ...pHWhy(e, v.pH === 'high' ? bands.pH.high : null, bands.pH),
      ...whyWanted(context, 'pH', band),
    ],
  }
}

/** Days between waterings in the month that wants water most often; none without a place. */
function daysReading({ evaluation: e, bands, units }: ReadingContext, v: Verdicts): Reading[] {
  const month = e.growing?.thirstiestMonth
  if (!e.growing || !month) return []
  const { days, usable, use } = e.growing.watering[month - 1]!
  const band = bands.daysBetweenWaterings
  const place = (x: number) => x / DAYS
  return [
    {
      id: 'days',
      label: `Waterings in ${MONTHS[month - 1]}`,
      term: 'Days between waterings: usable water over what plants and walls use, no rain counted',
      value: intervalText(days.value),
      wanted: band === null ? '' : `you can: ${intervalText(band.low)}`,
      verdict: v.days,
      advice:
        v.days === 'low'
          ? 'It dries sooner than you can water. More that holds water, a larger or closed container, or shade.'
          : '',
      position: place(days.value),
      band: band && { from: place(band.low), to: 1 },
      likely: {
        kind: 'known',
        text: `hot to cool: ${days.low.toFixed(1)}–${days.high.toFixed(1)}`,
        span: { from: place(days.low), to: place(days.high) },
      },
      ghost: ({ growing }) => {
        const there = growing?.watering[month - 1]?.days.value
        return there === undefined ? null : { position: place(there), text: intervalText(there) }
      },
      why: () => [
        `${volumeText(usable, units)} usable in each, ${volumeText(use.value, units)} used on a mean day by plants as large as they are then, and the container’s sides.`,
        `${listed(e.growing!.standing, (m) => {
          const { value } = e.growing!.watering[m - 1]!.days
          return `${MONTHS[m - 1]!.slice(0, 3)} ${value < 99 ? value.toFixed(1) : '99+'}`
        })} days.`,
      ],
    },
  ]
}

/** Wind at which it begins to tip; null where none does. */
function tippingOf({ evaluation: { growing }, wide, wind }: ReadingContext) {
  const at = growing?.tippingWind
  return at === undefined || wide || !Number.isFinite(at)
    ? null
    : { at, likelyMet: wind !== null && at < WIND_MET[wind] }
}

function weightReading(context: ReadingContext, v: Verdicts): Reading {
  const { evaluation: e, bands, units, wide } = context
  const { drained, dry, saturated, floorLoad } = e.weights
  const tipping = tippingOf(context)
  const shown = (w: Evaluation['weights']) =>
    wide ? loadText(w.floorLoad, units) : weightText(w.drained, units)
  const lifting = bands.drainedWeight ? 'too heavy for one' : 'two people to lift'
  const tips = tipping
    ? `With a full-grown plant it begins to tip in a steady ${windText(tipping.at, units)}; a gust needs only its moment.`
    : null
  return {
    id: 'weight',
    label: wide ? 'Weight on the ground' : 'Weight just after watering',
    term: 'Mix and the water it keeps; container and plant come on top',
    value: shown(e.weights),
    wanted: wide ? 'wet through' : drained > LIFT_LIMIT ? lifting : 'one can lift it',
    verdict: v.weight,
    advice:
      v.weight === 'high'
        ? 'It has to be lifted: a lighter mix, a smaller container, or two people.'
        : tipping?.likelyMet
          ? `Full grown it tips at ${windText(tipping.at, units)}, a wind you get: tie it back, or add weight low down.`
          : '',
    position: null,
    band: null,
    likely: wide
      ? { kind: 'drawn', figure: 'floorLoad', write: (x) => loadText(x, units), place: null }
      : { kind: 'drawn', figure: 'drainedWeight', write: (x) => weightText(x, units), place: null },
    ghost: ({ weights }) => ({ position: 0, text: shown(weights) }),
    why: () => [
      ...(tips ? [tips] : []),
      `Bone dry ${weightText(dry, units)}, drained ${weightText(drained, units)}, every pore full ${weightText(saturated, units)}: ${loadText(floorLoad, units)} on what it stands on. For scale only, many dwelling floors are designed for ${loadText(FLOOR_DESIGN_LOAD, units)}: ask a structural engineer. One person: ${weightText(LIFT_LIMIT, units)} at best (NIOSH lifting equation).`,
    ],
  }
}

function lossReading({ evaluation: { blend } }: ReadingContext): Reading {
  return {
    id: 'loss',
    label: 'Lost on stirring',
    term: 'Volume lost on blending',
    value: percentText(blend.blendingLoss),
    wanted: 'of what you measure',
    verdict: 'plain',
    advice: '',
    position: null,
    band: null,
    likely: { kind: 'drawn', figure: 'blendingLoss', write: percentText, place: null },
    ghost: () => null,
    why: () => [
      `${percentText(blend.packingLoss, 1)} because fine grains fall between coarse ones, ${percentText(blend.compressionLoss, 1)} because heavy parts press soft ones. What goes is air. Settling on watering-in comes on top and is allowed for under Buy.`,
    ],
  }
}

/** The figures under the hand: air, water, pH, waterings, weight, loss; each against what is wanted. */
export function readingsAtOnce(context: ReadingContext): Reading[] {
  const verdicts = verdictsOf(context.evaluation, context.bands, context.perennial)
  return [
    airReading(context, verdicts),
    waterReading(context, verdicts),
    pHReading(context, verdicts),
    ...daysReading(context, verdicts),
    weightReading(context, verdicts),
    lossReading(context),
  ]
}
