<script setup lang="ts">
/** What the mix will do in this container, each figure against what is wanted, and why. */
import { computed } from 'vue'
import type { Band } from '@/core/data'
import type { Evaluation } from '@/core/evaluate'
import type { Container } from '@/core/geometry'
import type { LikelyRange } from '@/core/ranges'
import type { Place } from '@/model/garden/schemas'
import { MONTHS, shortName } from '@/text/labels'
import { WIND_MET } from '@/core/judgement'
import { containerProfile, dryingLimits } from '@/core/water'
import { FLOOR_DESIGN_LOAD, LIFT_LIMIT } from '@/core/weight'
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
} from '@/text/units'
import ReadingGauge from './ReadingGauge.vue'

const { evaluation, whatIf, ranges, bands, wind, cropName, container, units, wide } = defineProps<{
  evaluation: Evaluation
  /** What a change that is only looked at would bring; null where none is. */
  whatIf: Evaluation | null
  /** Likely ranges by figure; null while they are being drawn. */
  ranges: Record<string, LikelyRange> | null
  bands: {
    airFilledPorosity: Band
    easilyAvailableWater: Band | null
    pH: Band
    drainedWeight: Band | null
    daysBetweenWaterings: Band | null
  }
  /** Wind where it stands; null where nobody said. */
  wind: Place['wind'] | null
  cropName: string | null
  container: Container
  units: UnitSystem
  /** A bed on the ground: what counts is the load, not the lifting. */
  wide: boolean
}>()

const who = computed(() => (cropName ? `${cropName.toLowerCase()} likes` : 'most like'))
const verdictOf = (value: number, band: Band, slack: number) =>
  value < band.low - slack ? 'low' : value > band.high + slack ? 'high' : 'good'
const percentBand = (b: Band) => `${Math.round(b.low * 100)}–${Math.round(b.high * 100)} %`

const AIR_SCALE = 0.5
const WATER_SCALE = 0.5
const PH_SCALE = { from: 3.5, to: 8 }
const onPH = (pH: number) => (pH - PH_SCALE.from) / (PH_SCALE.to - PH_SCALE.from)

const air = computed(() => {
  const value = evaluation.mix.airFilledPorosity
  // Half a point either way is nothing a grower could measure.
  const verdict = verdictOf(value, bands.airFilledPorosity, 0.005)
  return {
    value,
    verdict,
    advice:
      verdict === 'low'
        ? 'Roots would be short of air at this depth. Add something coarse, or take a deeper container.'
        : verdict === 'high'
          ? 'It drains fast and dries fast. Add something that holds water, or take a shallower container.'
          : '',
  } as const
})
const limits = computed(() => dryingLimits(container))
/** The published band is for pots; a bed drained by soil is told in plain litres. */
const inGround = computed(() => container.base.kind === 'onSoil')
const water = computed(() => {
  const value = evaluation.mix.easilyAvailableWater
  const band = bands.easilyAvailableWater
  const verdict = band === null ? 'plain' : verdictOf(value, band, 0.005)
  return {
    value,
    verdict,
    advice:
      verdict === 'low'
        ? 'Little within easy reach: expect to water often.'
        : verdict === 'high'
          ? 'Plenty of water: let it dry a little between waterings.'
          : '',
  } as const
})
const pH = computed(() => {
  const value = evaluation.lime.pH
  const verdict = verdictOf(value, bands.pH, 0.05)
  return {
    value,
    verdict,
    advice:
      verdict === 'low'
        ? 'Too acid: lime raises it.'
        : verdict === 'high'
          ? evaluation.lime.gramsPerLitre > 0.005
            ? 'Too much lime for this crop.'
            : 'Lime never lowers pH: more peat or bark and less compost would.'
          : '',
  } as const
})

const DAYS_SCALE = 10
const thirstiest = computed(() => evaluation.growing?.thirstiestMonth ?? null)
/** Where the marks would stand after the change that is looked at; the same objects until another is. */
const ghosts = computed(() => {
  if (!whatIf) return null
  const { mix, lime, growing, weights } = whatIf
  const days = growing && thirstiest.value ? growing.watering[thirstiest.value - 1]!.days.value : null
  const percent = (share: number, scale: number) => ({ position: share / scale, text: percentText(share) })
  return {
    air: percent(mix.airFilledPorosity, AIR_SCALE),
    water: percent(mix.easilyAvailableWater, WATER_SCALE),
    pH: { position: onPH(lime.pH), text: pHText(lime.pH) },
    days: days === null ? null : { position: days / DAYS_SCALE, text: intervalText(days) },
    weight: {
      position: 0,
      text: wide ? loadText(weights.floorLoad, units) : weightText(weights.drained, units),
    },
  }
})
/** Days between waterings in the month that wants water most often; null without a place. */
const drying = computed(() => {
  const g = evaluation.growing
  if (!g || g.thirstiestMonth === null) return null
  const interval = g.watering[g.thirstiestMonth - 1]!
  const band = bands.daysBetweenWaterings
  const short = band !== null && interval.days.value < band.low - 0.05
  return {
    ...interval,
    month: g.thirstiestMonth,
    verdict: band === null ? 'plain' : short ? 'low' : 'good',
    wanted: band === null ? '' : `you can: ${intervalText(band.low)}`,
    advice: short
      ? 'It dries sooner than you can water. More that holds water, a larger or closed container, or shade.'
      : '',
  } as const
})
const tipping = computed(() => {
  const at = evaluation.growing?.tippingWind
  return at === undefined || wide || !Number.isFinite(at)
    ? null
    : { at, likelyMet: wind !== null && at < WIND_MET[wind] }
})

/** What does not change with the mix is made once, so that a press draws only the marks that move. */
const onScales = computed(() => {
  const { airFilledPorosity: a, easilyAvailableWater: w, pH: p, daysBetweenWaterings: d } = bands
  return {
    air: { from: a.low / AIR_SCALE, to: a.high / AIR_SCALE },
    water: w && { from: w.low / WATER_SCALE, to: w.high / WATER_SCALE },
    pH: { from: onPH(p.low), to: onPH(p.high) },
    days: d && { from: d.low / DAYS_SCALE, to: 1 },
  }
})
/** The last ranges known; hidden while those of the mix in hand are being drawn. */
const drawn = computed<typeof ranges>((old) => ranges ?? old ?? null)
/** "likely 14–21 %": where eight in ten sets of such materials would come out. Empty until the draws are in. */
function likely(figure: string, write: (x: number) => string): string {
  const range = drawn.value?.[figure]
  if (!range) return ''
  const [low, high] = [write(range.low), write(range.high)]
  const unit = /[^\d.,]*$/.exec(low)?.[0] ?? ''
  return low === high
    ? `likely ${low}`
    : `likely ${high.endsWith(unit) ? low.slice(0, low.length - unit.length) : low}–${high}`
}
const span = (figure: string, place: (x: number) => number) => {
  const range = drawn.value?.[figure]
  return range ? { from: place(range.low), to: place(range.high) } : null
}
const spans = computed(() => ({
  air: span('airFilledPorosity', (x) => x / AIR_SCALE),
  water: span('easilyAvailableWater', (x) => x / WATER_SCALE),
  pH: span('pH', onPH),
}))

/** The same mix in straight pots of other depths: the lesson of the container. */
const depths = computed(() =>
  [8, 15, 30, 60].map((depth) => ({
    depth,
    air: containerProfile(
      {
        shape: { kind: 'roundPot', topDiameter: 20, baseDiameter: 20, height: depth },
        headspace: 0,
        base: { kind: 'drainHoles' },
      },
      [{ top: depth, totalPorosity: evaluation.blend.totalPorosity, waterAt: evaluation.blend.waterAt }],
      40,
    ).airFilledPorosity,
  })),
)
const tooHeavy = computed(
  () => bands.drainedWeight !== null && evaluation.weights.drained > bands.drainedWeight.high,
)
const litres = (fraction: number) => volumeText(fraction * evaluation.fill.mixVolume, units)
const buffers = computed(() => {
  const total = evaluation.blend.shares.reduce(
    (s, p) => s + p.share * p.material.properties.bufferCapacity.value,
    0,
  )
  return evaluation.blend.shares
    .map((p) => ({
      name: shortName(p.material.id),
      pH: p.material.properties.pH.value,
      weight: (p.share * p.material.properties.bufferCapacity.value) / total,
    }))
    .sort((a, b) => b.weight - a.weight)
})
</script>

<template>
  <div :class="{ awaiting: ranges === null }">
    <ReadingGauge
      label="Air after draining"
      term="Air-filled porosity at container capacity"
      :value="percentText(air.value)"
      :wanted="`${who} ${percentBand(bands.airFilledPorosity)}`"
      :position="air.value / AIR_SCALE"
      :band="onScales.air"
      :likely="spans.air"
      :likely-text="likely('airFilledPorosity', percentText)"
      :verdict="air.verdict"
      :advice="air.advice"
      :ghost="ghosts?.air"
    >
      <p>
        Pores are {{ percentText(evaluation.blend.totalPorosity) }} of the blend;
        {{ percentText(evaluation.mix.containerCapacity) }} stay full of water when draining ends, at the
        depth of {{ lengthText(evaluation.mixDepth, units) }}. The rest is air.
      </p>
      <p>
        The same mix in straight pots:
        <template v-for="(d, i) in depths" :key="d.depth"
          >{{ i ? ', ' : '' }}{{ lengthText(d.depth, units) }} deep {{ percentText(d.air) }}</template
        >. Depth drains a mix, not holes.
      </p>
    </ReadingGauge>
    <ReadingGauge
      label="Water within easy reach"
      :term="`Easily available water, drained state to ${limits.easy / 10} kPa`"
      :value="percentText(water.value)"
      :wanted="
        bands.easilyAvailableWater === null
          ? `${litres(evaluation.mix.easilyAvailableWater)} in each bed`
          : `good: ${percentBand(bands.easilyAvailableWater)}`
      "
      :position="bands.easilyAvailableWater === null ? null : water.value / WATER_SCALE"
      :band="onScales.water"
      :likely="spans.water"
      :likely-text="likely('easilyAvailableWater', percentText)"
      :verdict="water.verdict"
      :advice="water.advice"
      :ghost="ghosts?.water"
    >
      <p>
        {{ litres(evaluation.mix.easilyAvailableWater) }} in each container. Then
        {{ litres(evaluation.mix.waterBufferingCapacity) }} that roots work harder for ({{
          limits.easy / 10
        }}
        to {{ limits.buffer / 10 }} kPa), and {{ litres(evaluation.mix.heldWater) }} held tighter still.
        <template v-if="inGround">
          The soil below has drained the bed past the ease of a pot; counted as for watered ground, to 40 kPa.
          Roots that go on down find more.
        </template>
        <template v-else>Band: De Boodt &amp; Verdonck 1972.</template>
      </p>
    </ReadingGauge>
    <ReadingGauge
      label="pH in six weeks"
      term="pH of the blend, lime reacted by then"
      :value="pHText(pH.value)"
      :wanted="`${who} ${pHText(bands.pH.low)}–${pHText(bands.pH.high)}`"
      :position="onPH(pH.value)"
      :band="onScales.pH"
      :likely="spans.pH"
      :likely-text="likely('pH', pHText)"
      :verdict="pH.verdict"
      :advice="pH.advice"
      :ghost="ghosts?.pH"
    >
      <p>
        pH {{ pHText(evaluation.blend.pH) }} before lime. Who holds it there:
        <template v-for="(b, i) in buffers" :key="b.name"
          >{{ i ? ', ' : '' }}{{ b.name }} (pH {{ b.pH }}) {{ percentText(b.weight) }}</template
        >. Peat and limes vary from bag to bag: test after a fortnight.
      </p>
    </ReadingGauge>
    <ReadingGauge
      v-if="drying"
      sure
      :label="`Waterings in ${MONTHS[drying.month - 1]}`"
      term="Days between waterings: usable water over what plants and walls use, no rain counted"
      :value="intervalText(drying.days.value)"
      :wanted="drying.wanted"
      :position="drying.days.value / DAYS_SCALE"
      :band="onScales.days"
      :likely="{ from: drying.days.low / DAYS_SCALE, to: drying.days.high / DAYS_SCALE }"
      :likely-text="`hot to cool: ${drying.days.low.toFixed(1)}–${drying.days.high.toFixed(1)}`"
      :verdict="drying.verdict"
      :advice="drying.advice"
      :ghost="ghosts?.days"
    >
      <p>
        {{ volumeText(drying.usable, units) }} usable in each, {{ volumeText(drying.use.value, units) }} used
        on a mean day by full-grown plants and the container’s sides.
      </p>
      <p>
        <template v-for="(w, i) in evaluation.growing!.watering" :key="i"
          >{{ i ? ', ' : '' }}{{ MONTHS[i]!.slice(0, 3) }}
          {{ w.days.value < 99 ? w.days.value.toFixed(1) : '99+' }}</template
        >
        days.
      </p>
    </ReadingGauge>
    <ReadingGauge
      :label="wide ? 'Weight on the ground' : 'Weight just after watering'"
      term="Mix and the water it keeps; container and plant come on top"
      :value="
        wide ? loadText(evaluation.weights.floorLoad, units) : weightText(evaluation.weights.drained, units)
      "
      :wanted="
        wide
          ? 'wet through'
          : evaluation.weights.drained > LIFT_LIMIT
            ? bands.drainedWeight
              ? 'too heavy for one'
              : 'two people to lift'
            : 'one can lift it'
      "
      :position="null"
      :band="null"
      :likely-text="
        wide
          ? likely('floorLoad', (x) => loadText(x, units))
          : likely('drainedWeight', (x) => weightText(x, units))
      "
      :ghost="ghosts?.weight"
      :verdict="tooHeavy ? 'high' : 'plain'"
      :advice="
        tooHeavy
          ? 'It has to be lifted: a lighter mix, a smaller container, or two people.'
          : tipping?.likelyMet
            ? `Full grown it tips at ${windText(tipping.at, units)}, a wind you get: tie it back, or add weight low down.`
            : ''
      "
    >
      <p v-if="tipping">
        With a full-grown plant it begins to tip in a steady {{ windText(tipping.at, units) }}; a gust needs
        only its moment.
      </p>
      <p>
        Bone dry {{ weightText(evaluation.weights.dry, units) }}, drained
        {{ weightText(evaluation.weights.drained, units) }}, every pore full
        {{ weightText(evaluation.weights.saturated, units) }}:
        {{ loadText(evaluation.weights.floorLoad, units) }} on what it stands on. For scale only, many
        dwelling floors are designed for {{ loadText(FLOOR_DESIGN_LOAD, units) }}: ask a structural engineer.
        One person: {{ weightText(LIFT_LIMIT, units) }} at best (NIOSH lifting equation).
      </p>
    </ReadingGauge>
    <ReadingGauge
      label="Lost on stirring"
      term="Volume lost on blending"
      :value="percentText(evaluation.blend.blendingLoss)"
      wanted="of what you measure"
      :position="null"
      :band="null"
      :likely-text="likely('blendingLoss', percentText)"
      verdict="plain"
    >
      <p>
        {{ percentText(evaluation.blend.packingLoss, 1) }} because fine grains fall between coarse ones,
        {{ percentText(evaluation.blend.compressionLoss, 1) }} because heavy parts press soft ones. What goes
        is air. Settling on watering-in comes on top and is allowed for under Buy.
      </p>
    </ReadingGauge>
  </div>
</template>
