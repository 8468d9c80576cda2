<script setup lang="ts">
/** Salts, feed, lifetime and cost: what shows later than air and water, each against what is wanted, and why. */
import { computed } from 'vue'
import type { Band } from '@/core/data'
import type { Evaluation } from '@/core/evaluate'
import type { LikelyRange } from '@/core/ranges'
import { shortName } from '@/text/labels'
import { doseWeightText, percentText, rateFigure, rateUnit, type UnitSystem } from '@/text/units'
import ReadingGauge from './ReadingGauge.vue'

const { evaluation, later, ranges, salts, cost, nameOf, perennial, units, whatIf } = defineProps<{
  evaluation: Evaluation
  /** With its later years; null while the hand has not rested. */
  later: Evaluation | null
  ranges: Record<string, LikelyRange> | null
  salts: Band | null
  /** Money for a litre of blended mix, and what has no price; null where nothing has one. */
  cost: { perLitre: number | null; missing: string[] }
  /** What a part is called. */
  nameOf: (id: string) => string
  /** The crop stays for years. */
  perennial: boolean
  units: UnitSystem
  whatIf: Evaluation | null
}>()

const EC_SCALE = 6
const ecOf = (e: Evaluation) => e.salts.mix.electricalConductivity.saturatedExtract
const ecText = (x: number) => `${x.toFixed(1)} dS/m`
const ec = computed(() => {
  const value = ecOf(evaluation)
  const high = salts !== null && value > salts.high + 0.05
  return {
    value,
    verdict: salts === null ? 'plain' : high ? 'high' : 'good',
    advice: high ? 'Flush with plain water before planting, or take less compost, manure or feed.' : '',
  } as const
})
const saltBand = computed(() => salts && { from: 0, to: salts.high / EC_SCALE })
/** Whose salts they are, largest first. */
const saltShares = computed(() => {
  const each = evaluation.blend.shares.map((p) => ({
    name: shortName(p.material.id),
    salts:
      p.share *
      p.material.properties.totalPorosity.value *
      p.material.properties.electricalConductivity.value,
  }))
  const sum = each.reduce((s, x) => s + x.salts, 0) || 1
  return each
    .map((x) => ({ ...x, share: x.salts / sum }))
    .sort((a, b) => b.share - a.share)
    .slice(0, 4)
})
const FED = { from: 0.95, to: 1 }
/** Where the marks would stand after the change that is looked at; the same objects until another is. */
const ghosts = computed(() => {
  if (!whatIf) return null
  const salts = ecOf(whatIf)
  const fed = whatIf.growing?.feeding.nitrogenMet
  return {
    salts: { position: salts / EC_SCALE, text: ecText(salts) },
    feed: fed === undefined ? null : { position: fed, text: percentText(fed) },
  }
})
const feeding = computed(() => {
  const f = evaluation.growing?.feeding
  if (!f) return null
  const when = f.hungryFrom === null ? 'feeds it all season' : `runs short from day ${f.hungryFrom}`
  return {
    ...f,
    when,
    verdict: f.hungryFrom === null ? 'good' : 'low',
    advice:
      f.hungryFrom === null
        ? ''
        : `${doseWeightText(f.nitrogenToFeed, units)} of nitrogen is still to be given to each container over the season: as liquid, on top, or in the mix.`,
  } as const
})
const lasting = computed(() => {
  const seasons = (later ?? evaluation).seasons
  const third = seasons.find((s) => s.years === 3)
  return third ? { seasons, third } : null
})
const drawn = computed<typeof ranges>((old) => ranges ?? old ?? null)
const likely = (figure: string, write: (x: number) => string) => {
  const r = drawn.value?.[figure]
  return r ? `likely ${write(r.low)} to ${write(r.high)}` : ''
}
</script>

<template>
  <div :class="{ awaiting: ranges === null }">
    <ReadingGauge
      label="Salts"
      term="Electrical conductivity of the saturated extract, before the first watering"
      :value="ecText(ec.value)"
      :wanted="salts ? `${ecText(salts.high)} at most` : ''"
      :position="ec.value / EC_SCALE"
      :band="saltBand"
      :likely-text="likely('electricalConductivity', ecText)"
      :verdict="ec.verdict"
      :advice="ec.advice"
      :ghost="ghosts?.salts"
    >
      <p>
        Whose they are:
        <template v-for="(s, i) in saltShares" :key="s.name"
          >{{ i ? ', ' : '' }}{{ s.name }} {{ percentText(s.share) }}</template
        >; dressings on top of that. Each part’s extract times the water it holds full, summed (saturation
        mixing). Bounds by Maas &amp; Hoffman 1977.
      </p>
    </ReadingGauge>
    <ReadingGauge
      v-if="feeding"
      label="Feed"
      term="Nitrogen supply against the crop’s demand, week by week"
      :value="percentText(feeding.nitrogenMet)"
      :wanted="feeding.when"
      :position="feeding.nitrogenMet"
      :band="FED"
      :likely-text="`${feeding.earlyNitrogen.toFixed(0)} mg/L of nitrogen at first`"
      sure
      :verdict="feeding.verdict"
      :advice="feeding.advice"
      :ghost="ghosts?.feed"
    >
      <p>
        {{ feeding.earlyNitrogen.toFixed(0) }} mg of nitrogen in a litre at hand in the first days;
        {{ feeding.drawdown.toFixed(0) }} mg tied up by rotting wood and bark in the first month.
      </p>
      <table class="plain weeks">
        <thead>
          <tr>
            <th scope="col">Week</th>
            <th scope="col" class="num">comes in</th>
            <th scope="col" class="num">wanted</th>
            <th scope="col" class="num">washed out</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(w, i) in feeding.weeks.nitrogen.filter((_, k) => k % 4 === 0)" :key="w.day">
            <th scope="row">{{ i * 4 + 1 }}</th>
            <td class="num">{{ w.supply.toFixed(1) }}</td>
            <td class="num">{{ w.demand.toFixed(1) }}</td>
            <td class="num">{{ w.leached.toFixed(1) }}</td>
          </tr>
        </tbody>
      </table>
      <p>
        mg of nitrogen a litre and week. Release by first order and temperature; washing-out as from a mixed
        tank.
      </p>
    </ReadingGauge>
    <ReadingGauge
      v-if="lasting"
      label="After three years"
      term="Structure lost to rot, packed again"
      :value="`${percentText(lasting.third.volumeLost)} gone`"
      :wanted="perennial ? 'it stays for years' : 'if it is kept so long'"
      :position="null"
      :band="null"
      :likely-text="null"
      :verdict="perennial && lasting.third.volumeLost > 0.2 ? 'high' : 'plain'"
      :advice="
        perennial && lasting.third.volumeLost > 0.2
          ? 'Much of it rots away under what stays: more bark, pumice, grit or loam.'
          : ''
      "
    >
      <p>
        <template v-for="s in lasting.seasons" :key="s.years"
          >Year {{ s.years }}: {{ percentText(s.volumeLost) }} gone, air
          {{ percentText(s.airFilledPorosity) }}.
        </template>
        Halves by each part’s half-life, at your place’s warmth where it is known.
      </p>
    </ReadingGauge>
    <ReadingGauge
      label="Cost"
      term="Materials of one litre of blended mix, from the prices of your shelf, whole packs left aside"
      :value="
        cost.perLitre === null ? 'no price yet' : `${rateFigure(cost.perLitre, units)} ${rateUnit(units)}`
      "
      :wanted="cost.missing.length ? `without ${cost.missing.map(nameOf).join(', ')}` : 'all parts'"
      :position="null"
      :band="null"
      :likely-text="null"
      verdict="plain"
    >
      <p>
        Each part’s price for a loose litre by its share, more by what is lost on stirring. Whole packs, what
        is left of them, and what settles: under Buy.
      </p>
    </ReadingGauge>
  </div>
</template>

<style scoped>
.weeks {
  width: 100%;
  font-size: 0.88rem;
}
.weeks :is(th, td) {
  padding: 2px 6px 2px 0;
}
</style>
