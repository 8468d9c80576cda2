<script setup lang="ts">
/** All batches on paper. */
import { common } from '@/text/base/common'
import { batchPrint as words } from '@/text/components/make'
import type { BatchCard } from '@/model/make/batchCard'
import type { Caution } from '@/text/base/cautions'
import { counted } from '@/text/base/counted'
import { alikeBatches } from '@/text/make/measures'
import { volumeText, type UnitSystem } from '@/text/base/units'
import CautionList from '../CautionList.vue'

/** More boxes than this no line of paper holds. */
const MOST_BOXES = 12
const { title, bucket, blendLitres, cards, cautions, units } = defineProps<{
  title: string
  bucket: number
  blendLitres: number
  cards: readonly BatchCard[]
  cautions: readonly Caution[]
  units: UnitSystem
}>()
</script>

<template>
  <div class="print-only">
    <h1>{{ title }}</h1>
    <p>
      {{
        words.bucketOfMixInAll(
          volumeText(bucket, units),
          counted(cards.length, 'batch', 'batches'),
          volumeText(blendLitres, units),
        )
      }}
    </p>
    <section v-for="batch in alikeBatches(cards, units)" :key="batch.title">
      <h2>{{ batch.title }}</h2>
      <p v-for="line in batch.lines" :key="line">
        {{ '☐ '.repeat(Math.min(batch.count, MOST_BOXES)) }}{{ line }}
      </p>
    </section>
    <CautionList :heading="common.beforeYouOpenTheBags" :cautions="cautions" />
  </div>
</template>

<style scoped>
@media print {
  section {
    break-inside: avoid;
  }
}
</style>
