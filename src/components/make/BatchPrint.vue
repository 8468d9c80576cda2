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

const { title, about, lots, bucket, scoop, blendLitres, cards, cautions, units } = defineProps<{
  title: string
  /** Crop and recipe, in words. */
  about: readonly string[]
  /** What was bought, with its lot where it has one. */
  lots: readonly { name: string; lot: string }[]
  bucket: number
  scoop: number
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
          volumeText(scoop, units),
          counted(cards.length, 'batch', 'batches'),
          volumeText(blendLitres, units),
        )
      }}
    </p>
    <p v-for="line in about" :key="line">{{ line }}</p>
    <p class="write">{{ words.mixedOnBy }}</p>
    <section v-for="batch in alikeBatches(cards, units)" :key="batch.title">
      <h2>{{ batch.title }}</h2>
      <p v-for="line in batch.lines" :key="line">
        {{ line }}<br v-if="batch.count > 1" />{{ '☐ '.repeat(batch.count) }}
      </p>
    </section>
    <p v-for="b in lots" :key="b.name" class="write">{{ words.lotOf(b.name, b.lot || words.toWrite) }}</p>
    <CautionList :heading="common.beforeYouOpenTheBags" :cautions="cautions" />
  </div>
</template>

<style scoped>
.write {
  margin: 10px 0;
}
@media print {
  section {
    break-inside: avoid;
  }
}
</style>
