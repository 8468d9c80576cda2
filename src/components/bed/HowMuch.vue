<script setup lang="ts">
/** Litres of mix for one job or bed, where they go, and the same in what mix is bought and carried in. */
import { howMuch as words } from '@/text/components/bed'
import FoldBox from '../frame/FoldBox.vue'
import { computed } from 'vue'
import type { MixNeeded } from '@/core/filling'
import { LITRES } from '@/core/units'
import { lengthText, percentText, volumeText, type UnitSystem } from '@/text/base/units'

const {
  parts,
  units,
  settling,
  bucket,
  loss = null,
  amount = null,
} = defineProps<{
  parts: { name: string; count: number; plan: MixNeeded }[]
  units: UnitSystem
  settling: number
  bucket: number
  /** Lost on stirring, once there is a mix. */
  loss?: number | null
  /** Litres to make whatever the containers take; null to fill them. */
  amount?: number | null
}>()

const inPlace = computed(() => parts.reduce((s, p) => s + p.plan.net * p.count, 0))
const toBlend = computed(() => amount ?? inPlace.value * (1 + settling))
const saved = computed(() => parts.reduce((s, p) => s + p.plan.saved * p.count, 0))
const sinking = computed(() => Math.max(...parts.map((p) => p.plan.sinking[2]), 0))
const roots = computed(() => parts.reduce((s, p) => s + p.plan.rootBalls * p.count, 0))
const kept = computed(() => parts.reduce((s, p) => s + p.plan.kept * p.count, 0))
const washed = computed(() => parts.reduce((s, p) => s + p.plan.washedIn * p.count, 0))
const pressed = computed(() =>
  parts.reduce((s, p) => s + p.plan.net * (1 - 1 / p.plan.closeness) * p.count, 0),
)
const cover = computed(() => parts.reduce((s, p) => s + p.plan.cover * p.count, 0))
const figure = (x: number) => (x >= 100 ? x.toFixed(0) : x >= 10 ? x.toFixed(1) : x.toFixed(2))
/** To blend, in every measure mix is sold or carried by; each in a line of its own. */
const measures = computed(() => [
  { name: 'litres', value: toBlend.value },
  { name: words.cubicMetres, value: toBlend.value / LITRES.cubicMetre },
  { name: words.usGallons, value: toBlend.value / LITRES.usGallon },
  { name: words.cubicFeet, value: toBlend.value / LITRES.cubicFoot },
  { name: words.cubicYards, value: toBlend.value / LITRES.cubicYard },
  { name: words.bucketsOf(volumeText(bucket, units)), value: toBlend.value / bucket },
  units === 'metric'
    ? { name: words.bagsOf50L, value: toBlend.value / 50 }
    : { name: words.bagsOf2CuFt, value: toBlend.value / (2 * LITRES.cubicFoot) },
])
</script>

<template>
  <div class="sum">
    <p class="big">
      <strong class="figure">{{ volumeText(inPlace, units) }}</strong>
      {{ amount === null ? words.ofMixInPlace : words.wouldFillThem }}
    </p>
    <p v-if="parts.length === 1 && parts[0]!.count > 1" class="soft">
      {{ words.inEachOf(volumeText(parts[0]!.plan.net, units), parts[0]!.count) }}
    </p>
    <FoldBox id="how-much" :title="words.howItAddsUp">
      <dl>
        <template v-if="kept > 0.05">
          <dt>{{ words.oldMixThatStays }}</dt>
          <dd>{{ volumeText(kept, units) }}</dd>
        </template>
        <template v-if="roots > 0.05">
          <dt>{{ words.roomTakenByRootBalls }}</dt>
          <dd>{{ volumeText(roots, units) }}</dd>
        </template>
        <template v-if="washed > 0.05">
          <dt>{{ words.washedIntoTheLayers }}</dt>
          <dd>{{ volumeText(washed, units) }}</dd>
        </template>
        <template v-if="pressed > 0.05">
          <dt>{{ words.moreFirmedOrPressedIn }}</dt>
          <dd>{{ volumeText(pressed, units) }}</dd>
        </template>
        <dt>{{ amount === null ? words.withForSettling(percentText(settling)) : words.madeLoose }}</dt>
        <dd>{{ volumeText(toBlend, units) }}</dd>
        <template v-if="loss !== null">
          <dt>{{ words.toMeasureLostOnStirring(percentText(loss, 1)) }}</dt>
          <dd>{{ volumeText(toBlend / (1 - loss), units) }}</dd>
        </template>
        <template v-if="cover > 0.05">
          <dt>{{ words.coverOnTopBesideThe }}</dt>
          <dd>{{ volumeText(cover, units) }}</dd>
        </template>
      </dl>
      <p v-if="saved > 0.5" class="soft">
        {{ words.theLayersBelowSaveOf(volumeText(saved, units))
        }}<template v-if="sinking > 0.5">{{
          words.rottingTheyLetTheSurface(lengthText(sinking, units))
        }}</template
        >.
      </p>
      <h3>{{ words.inOtherMeasures }}</h3>
      <table class="plain">
        <tbody>
          <tr v-for="m in measures" :key="m.name">
            <th scope="row">{{ m.name }}</th>
            <td class="num">{{ figure(m.value) }}</td>
          </tr>
        </tbody>
      </table>
      <p class="soft">{{ words.toBlendSettlingIncluded }}</p>
    </FoldBox>
  </div>
</template>

<style scoped>
.big {
  margin: 6px 0;
}
.big .figure {
  font-size: 1.6rem;
  display: block;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 10px;
  margin: 8px 0;
  font-size: 0.95rem;
}
dt {
  color: var(--ink-soft);
}
dd {
  margin: 0;
  text-align: right;
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}
th {
  font-weight: 400;
  text-align: left;
}
summary {
  cursor: pointer;
  color: var(--clay);
}
</style>
