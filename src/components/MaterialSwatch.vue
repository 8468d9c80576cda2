<script lang="ts">
import type { Material } from '@/core/data'
import { dice, drawGrain } from '@/painting/grains'
import { lookOf } from '@/painting/looks'

/** Each pinch is drawn once and shown as a picture wherever its material is named. */
const drawn = new Map<string, string>()
function pictureOf(material: Material, size: number): string {
  const ratio = window.devicePixelRatio || 1
  const key = `${material.id} ${size} ${ratio}`
  const known = drawn.get(key)
  if (known !== undefined) return known
  const canvas = document.createElement('canvas')
  canvas.width = canvas.height = Math.round(size * ratio)
  const g = canvas.getContext('2d')
  if (!g) return ''
  g.scale(ratio, ratio)
  const look = lookOf(material)
  g.fillStyle = look.edge
  g.globalAlpha = 0.35
  g.fillRect(0, 0, size, size)
  g.globalAlpha = 1
  const roll = dice(5)
  const grain = look.grain === 'speck' ? 4 : look.grain === 'crumb' ? 7 : 9
  for (let i = 0; i < (size * size) / (grain * grain * 0.55); i++)
    drawGrain(g, look, { x: roll() * size, y: roll() * size, size: grain * (0.7 + 0.6 * roll()) }, roll)
  const url = canvas.toDataURL()
  drawn.set(key, url)
  return url
}
</script>

<script setup lang="ts">
/** A pinch of a material: its tint and its grain, beside its name wherever it is listed. */
import { computed } from 'vue'

const { material, size = 36 } = defineProps<{ material: Material; size?: number }>()
const picture = computed(() => pictureOf(material, size))
</script>

<template>
  <img class="swatch" :src="picture" :width="size" :height="size" alt="" decoding="sync" />
</template>

<style scoped>
.swatch {
  border-radius: 6px;
  border: 1px solid var(--edge);
  flex: none;
}
</style>
