<script setup lang="ts">
/** The recipe for the wall of the shed: seen only on paper. */
import { cropInText } from '@/text/base/cropInText'
import { common } from '@/text/base/common'
import { recipeCard as words } from '@/text/components/bench'
import type { Tables } from '@/core/data'
import { computed } from 'vue'
import type { Evaluation } from '@/core/evaluate'
import { measureText } from '@/core/mixing'
import { isDose } from '@/core/amounts'
import { judgedBed } from '@/model/garden/garden'
import { limesByShare } from '@/model/mix/prepareRecipe'
import type { LimeAmount } from '@/model/mix/question'
import type { Job } from '@/model/garden/schemas'
import { dayText, isoDay } from '@/text/base/dates'
import { CARD_CAUTION } from '@/text/base/cautions'
import { placeText } from '@/text/base/labels'
import { bedTitle, jobTitle } from '@/text/base/titles'
import { insideText, partNames } from '@/text/mix/recipes'
import { dressingName } from '@/text/shelf/dressings'
import { doseText, percentText, pHText, volumeText, type UnitSystem } from '@/text/base/units'

const { job, tables, evaluation, lime, cropName, units } = defineProps<{
  job: Job
  tables: Tables
  evaluation: Evaluation
  /** Lime to add: what a finished mix brings is in it. */
  lime: LimeAmount
  cropName: string | null
  units: UnitSystem
}>()
const total = computed(() => job.parts.reduce((s, p) => s + p.twelfths, 0))
const nameOf = computed(() => partNames(job))
const limes = computed(() =>
  limesByShare(lime.dolomiteShare, tables, job.lime.limeId)
    .map((l) => ({ name: l.lime.name, dose: l.share * lime.gramsPerLitre }))
    .filter((l) => isDose(l.dose)),
)
const today = isoDay(new Date())
</script>

<template>
  <article class="print-only card">
    <h1 class="paper-title">{{ jobTitle(job) }}</h1>
    <p>
      {{ words.judgedIn(cropName ? words.for(cropInText(cropName)) : '', bedTitle(judgedBed(job).spec)) }}
    </p>
    <table>
      <thead>
        <tr>
          <th>{{ common.parts }}</th>
          <th>{{ common.material }}</th>
          <th>{{ words.in100LMeasured }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="p in job.parts" :key="p.materialId">
          <td>{{ measureText(p.twelfths) }}</td>
          <td>{{ nameOf(p.materialId) }}</td>
          <td>{{ volumeText((100 * p.twelfths) / total, units) }}</td>
        </tr>
        <tr v-for="l in limes" :key="l.name">
          <td>{{ doseText(l.dose, units) }}</td>
          <td>{{ l.name }}</td>
          <td>{{ words.ofMixAsBlended }}</td>
        </tr>
        <tr v-for="d in job.dressings" :key="d.dressingId">
          <td>{{ doseText(d.gramsPerLitre, units) }}</td>
          <td>{{ dressingName(d.dressingId) }}</td>
          <td>{{ placeText(d.place, units) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="m in job.mixes" :key="m.id">{{ m.name }}: {{ insideText(m) }}.</p>
    <p>
      {{
        words.airAfterDrainingWaterWithin({
          air: percentText(evaluation.mix.airFilledPorosity),
          water: percentText(evaluation.mix.easilyAvailableWater),
          pH: pHText(evaluation.lime.pH),
          loss: percentText(evaluation.blend.blendingLoss),
          today: dayText(today),
        })
      }}
    </p>
    <p>{{ CARD_CAUTION }}</p>
  </article>
</template>

<style scoped>
.card {
  display: none;
}
@media print {
  .card {
    display: block;
  }
  table {
    border-collapse: collapse;
    margin: 8mm 0;
  }
  :is(th, td) {
    text-align: left;
    padding: 2mm 6mm 2mm 0;
    border-bottom: 0.3mm solid #000;
  }
}
</style>
