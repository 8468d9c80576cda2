<script setup lang="ts">
/** The last mixes written down, with what was expected of them. */
import { atOnce } from '@/text/base/atOnce'
import type { MixRecord } from '@/model/garden/schemas'
import { dayText } from '@/text/base/dates'
import { percentText, pHText, volumeText, type UnitSystem } from '@/text/base/units'
import PlainLine from './PlainLine.vue'

const { records, units } = defineProps<{ records: readonly MixRecord[]; units: UnitSystem }>()
</script>

<template>
  <ul class="plain">
    <li v-for="r in records" :key="r.id">
      <PlainLine>
        <span><strong>{{ r.jobName }}</strong><br /><span class="soft">{{ dayText(r.madeOn) }}</span></span>
        <span class="numbers">
          {{ volumeText(r.blendLitres, units) }}<br />
          <span class="soft">{{
            atOnce.airPh(percentText(r.predicted.airFilledPorosity), pHText(r.predicted.pH))
          }}</span>
        </span>
      </PlainLine>
    </li>
  </ul>
</template>
