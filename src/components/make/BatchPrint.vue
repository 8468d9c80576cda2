<script setup lang="ts">
/** All batches on paper. */
import type { BatchCard } from '@/model/make/batchCard'
import type { Caution } from '@/text/cautions'
import { counted } from '@/text/counted'
import { batchTitle, lineText } from '@/text/measures'
import { volumeText, type UnitSystem } from '@/text/units'
import CautionList from '../CautionList.vue'

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
      Bucket {{ volumeText(bucket, units) }}. {{ counted(cards.length, 'batch', 'batches') }},
      {{ volumeText(blendLitres, units) }} of mix in all.
    </p>
    <section v-for="(card, i) in cards" :key="i">
      <h2>{{ batchTitle(card) }}: {{ volumeText(card.blendLitres, units) }}</h2>
      <p v-for="line in card.lines" :key="line.id">☐ {{ lineText(line, units) }}</p>
    </section>
    <CautionList heading="Before you open the bags" :cautions="cautions" />
  </div>
</template>

<style scoped>
@media print {
  section {
    break-inside: avoid;
  }
}
</style>
