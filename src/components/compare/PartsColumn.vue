<script setup lang="ts">
/**
 * What a mix is made of: its parts as one column, each by its share of the loose measures, in its tint and by its name.
 */
import { partsColumn as says } from '@/text/components/compare'
import { useOnPhone } from '@/composables/page/useOnPhone'
import { computed } from 'vue'
import type { Material } from '@/core/data'
import { lookOf } from '@/painting/looks'
import { percentText } from '@/text/base/units'
import { briefName } from '@/text/shelf/brief'
import { spread } from '../picture/spread'

const { parts, name } = defineProps<{
  parts: readonly { material: Material; parts: number }[]
  name: string
}>()

/** The picture, the column in it, and a line of words, px. */
const WIDE = 190
const TALL = 150
const COLUMN = 36
const LINE = 16
/** A phone has no room for names: the recipe below has them. */
const onPhone = useOnPhone()
const bands = computed(() => {
  const all = parts.reduce((sum, p) => sum + p.parts, 0)
  let under = TALL
  const list = [...parts]
    .sort((a, b) => b.parts - a.parts)
    .map(({ material, parts: count }) => {
      const share = count / all
      under -= share * TALL
      return { id: material.id, share, y: under, height: share * TALL, tint: lookOf(material).tint }
    })
  const places = spread(
    list.map((b) => b.y + b.height / 2 + 4),
    { gap: LINE, top: 11, bottom: TALL - 3 },
  )
  return list.map((b, i) => ({ ...b, at: places[i]!, text: `${percentText(b.share)} ${briefName(b.id)}` }))
})
const label = computed(() => says.madeOf(name, bands.value.map((b) => b.text).join(', ')))
</script>

<template>
  <svg
    :viewBox="`0 0 ${onPhone ? COLUMN + 2 : WIDE} ${TALL}`"
    :class="{ bare: onPhone }"
    role="img"
    :aria-label="label"
  >
    <g v-for="b in bands" :key="b.id">
      <rect x="1" :y="b.y" :width="COLUMN" :height="b.height" :style="{ fill: b.tint }" />
      <text v-if="!onPhone" :x="COLUMN + 8" :y="b.at">{{ b.text }}</text>
    </g>
    <rect class="frame" x="1" y="1" :width="COLUMN" :height="TALL - 2" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 190px;
}
svg.bare {
  max-width: 38px;
}
text {
  font: 13.5px var(--text);
  fill: var(--ink);
}
.frame {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
