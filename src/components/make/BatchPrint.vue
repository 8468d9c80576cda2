<script setup lang="ts">
/** All batches on paper. */
import { common } from '@/text/base/common'
import { batchPrint as words } from '@/text/components/make'
import type { BatchCard } from '@/model/make/batchCard'
import type { Caution } from '@/text/base/cautions'
import { counted } from '@/text/base/counted'
import { alikeBatches } from '@/text/make/measures'
import { volumeText, type UnitSystem } from '@/text/base/units'
import BucketGlyph from '../BucketGlyph.vue'
import CautionList from '../CautionList.vue'
import { bucketsOf } from './buckets'

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
/** Of more batches than these the boxes are small and without numbers. */
const FEW_BOXES = 8
</script>

<template>
  <div class="print-only sheet">
    <header>
      <h1>{{ title }}</h1>
      <dl>
        <dt>{{ words.mixedOn }}</dt>
        <dd />
        <dt>{{ words.by }}</dt>
        <dd class="wide" />
      </dl>
    </header>
    <p>
      {{
        words.bucketOfMixInAll(
          volumeText(bucket, units),
          volumeText(scoop, units),
          counted(cards.length, 'batch', 'batches'),
          volumeText(blendLitres, units),
        )
      }}
      <template v-for="line in about" :key="line">{{ line.replace(/\.$/, '') }}. </template>
    </p>
    <section v-for="batch in alikeBatches(cards, units)" :key="batch.title" class="batch">
      <h2>{{ batch.title }}</h2>
      <table>
        <tbody>
          <tr v-for="row in batch.lines" :key="row.text">
            <td class="measure">{{ row.measure }}</td>
            <td class="what"><strong>{{ row.name }}</strong><span>{{ row.more }}</span></td>
            <td class="glyphs">
              <BucketGlyph
                v-for="(g, i) in bucketsOf(row.line).glyphs"
                :key="i"
                :twelfths="g"
                :tint="bucketsOf(row.line).tint"
              />
            </td>
            <td class="boxes" :class="{ many: batch.count > FEW_BOXES }">
              <i v-for="n in batch.count" :key="n">{{
                batch.count > 1 && batch.count <= FEW_BOXES ? n : ''
              }}</i>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section class="lots">
      <p v-for="b in lots" :key="b.name">{{ words.lotOf(b.name, b.lot || words.toWrite) }}</p>
    </section>
    <CautionList class="small" :heading="common.beforeYouOpenTheBags" :cautions="cautions" />
  </div>
</template>

<style scoped>
/* Read from two metres, in black and white; nothing is cut where a page ends. */
@media print {
  .sheet {
    color: black;
    font-size: 11pt;
  }
  header {
    display: flex;
    justify-content: space-between;
    align-items: flex-end;
    gap: 20px;
    border-bottom: 3px solid black;
    padding-bottom: 6px;
    margin-bottom: 6px;
  }
  h1 {
    font-size: 26pt;
  }
  h2 {
    font-size: 20pt;
    margin: 10px 0 2px;
  }
  dl {
    display: flex;
    align-items: flex-end;
    gap: 6px;
    margin: 0;
    white-space: nowrap;
  }
  dd {
    width: 28mm;
    margin: 0;
    border-bottom: 1px solid black;
  }
  dd.wide {
    width: 40mm;
  }
  .batch,
  .lots {
    break-inside: avoid;
  }
  table {
    width: 100%;
    border-collapse: collapse;
  }
  td {
    border-bottom: 1px solid black;
    padding: 5px 8px 5px 0;
    vertical-align: middle;
  }
  .measure {
    font: 600 24pt/1.05 var(--slab);
    white-space: nowrap;
  }
  .what strong {
    display: block;
    font-size: 15pt;
    line-height: 1.15;
  }
  .glyphs {
    white-space: nowrap;
    text-align: right;
  }
  .boxes {
    text-align: right;
    white-space: nowrap;
  }
  .boxes i {
    display: inline-block;
    width: 9mm;
    height: 9mm;
    margin-left: 3px;
    border: 2px solid black;
    border-radius: 2px;
    color: #777;
    font-style: normal;
    font-size: 9pt;
    text-align: center;
  }
  .boxes.many {
    width: 62mm;
    white-space: normal;
  }
  .boxes.many i {
    width: 5mm;
    height: 5mm;
    border-width: 1.5px;
  }
  .lots {
    columns: 2;
    margin: 10px 0;
  }
  .lots p {
    margin: 0 0 4px;
  }
  .small {
    font-size: 8.5pt;
    background: none;
    border: 1px solid black;
  }
  .small :deep(ul) {
    columns: 2;
    column-gap: 16px;
  }
  .small :deep(li) {
    break-inside: avoid;
    margin-top: 3px;
  }
}
</style>
