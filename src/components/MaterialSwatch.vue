<script setup lang="ts">
/** A pinch of a material: its tint and its grain, beside its name wherever it is listed. */
import { onMounted, ref, watch } from 'vue'
import type { Material } from '@/core/data'
import { dice, drawGrain } from './cutaway/grains'
import { lookOf } from './cutaway/looks'

const { material, size = 36 } = defineProps<{ material: Material; size?: number }>()
const canvas = ref<HTMLCanvasElement | null>(null)

function paint() {
  const g = canvas.value?.getContext('2d')
  if (!g || !canvas.value) return
  const ratio = window.devicePixelRatio || 1
  canvas.value.width = size * ratio
  canvas.value.height = size * ratio
  g.scale(ratio, ratio)
  const look = lookOf(material)
  g.fillStyle = look.edge
  g.globalAlpha = 0.35
  g.fillRect(0, 0, size, size)
  g.globalAlpha = 1
  const roll = dice(5)
  const grain = look.grain === 'speck' ? 4 : look.grain === 'crumb' ? 7 : 9
  for (let i = 0; i < (size * size) / (grain * grain * 0.55); i++)
    drawGrain(g, look, roll() * size, roll() * size, grain * (0.7 + 0.6 * roll()), roll)
}
onMounted(paint)
watch(() => material.id, paint)
</script>

<template>
  <canvas
    ref="canvas"
    class="swatch"
    :style="{ width: `${size}px`, height: `${size}px` }"
    aria-hidden="true"
  />
</template>

<style scoped>
.swatch {
  border-radius: 6px;
  border: 1px solid var(--edge);
  flex: none;
}
</style>
