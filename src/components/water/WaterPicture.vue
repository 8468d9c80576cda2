<script setup lang="ts">
/** A container in section at one moment of a run, in true proportions; what it shows is said in words as well. */
import { useElementSize } from '@vueuse/core'
import { computed, ref, watchEffect } from 'vue'
import { usePageTheme } from '@/composables/page/usePageTheme'
import { shapeHeight, type Container } from '@/core/geometry'
import { pictureAt, pictureText, type WateredSide } from '@/text/water/watering'
import type { UnitSystem } from '@/text/base/units'
import { grainLayers } from '@/painting/grainLayer'
import { lookOf, MIX_TINT, WETNESS_TINTS } from '@/painting/looks'
import { layoutSection, type Frame } from '@/painting/section'
import SectionLines from '../cutaway/SectionLines.vue'
import { paintWater, STRIP_ROOM, type WaterColours } from './paintWater'

const {
  container,
  tallest,
  side,
  hours,
  said,
  units,
  small = false,
  can = '',
} = defineProps<{
  container: Container
  /** Height of the tallest that stands beside it, cm: both to one scale. */
  tallest: number
  side: WateredSide
  /** The moment, hours from the start. */
  hours: number
  /** The moment that is put in words: it need not follow every frame. */
  said: number
  units: UnitSystem
  small?: boolean
  /** What is poured each time, in words; no can is drawn where it is empty. */
  can?: string
}>()

const host = ref<HTMLElement | null>(null)
const canvas = ref<HTMLCanvasElement | null>(null)
const { width, height } = useElementSize(host)
const theme = usePageTheme()

/** Room for the can, px. */
const ABOVE_THE_RIM = 62
const own = computed(() => shapeHeight(container.shape))
const frame = computed<Frame>(() => {
  const [above, under] = small ? [6, 10] : [can ? ABOVE_THE_RIM : 18, 34]
  const room = height.value - above - under
  return {
    width: width.value,
    height: height.value,
    left: small ? 12 : 50,
    right: STRIP_ROOM + (side.below.kind === 'free' ? 10 : 40),
    top: above + Math.max(0, room * (1 - own.value / tallest)),
    bottom: under,
  }
})
const layout = computed(() =>
  width.value > 60 && height.value > 60 ? layoutSection(container, frame.value) : null,
)
const colours = computed<WaterColours>(() => {
  void theme.value
  const style = host.value && getComputedStyle(host.value)
  const role = (name: string, otherwise: string) => style?.getPropertyValue(name).trim() || otherwise
  return {
    ...WETNESS_TINTS,
    solids: MIX_TINT,
    air: role('--air', '#fff8e8'),
    water: role('--water', '#4f8fae'),
    ink: role('--ink', '#222222'),
  }
})
/** Borders of the cells, cm: half-way between their middles, and the ends. */
const edges = computed(() => {
  const { heights } = side.watered.moved.course
  const list = new Float64Array(heights.length + 1)
  for (let i = 1; i < heights.length; i++) list[i] = (heights[i - 1]! + heights[i]!) / 2
  list[heights.length] = 2 * heights[heights.length - 1]! - list[heights.length - 1]!
  return list
})
/** The mix's own grains, drawn once for a size. */
const layers = grainLayers()
/** The same mix when its likely ranges come: grains are not painted anew for them. */
const mix = computed(() => side.parts)
const grains = computed(() => {
  if (!layout.value || small) return null
  const all = mix.value.reduce((sum, p) => sum + p.parts, 0)
  const parts = mix.value.map(({ material: { material }, parts: count }) => ({
    id: material.id,
    look: lookOf(material),
    sizeShares: [...material.sizeShares],
    share: count / all,
  }))
  return layers(layout.value, parts, window.devicePixelRatio || 1)
})
/** Water is given at this moment: the next picture has had more of it. */
const isPouring = computed(() => {
  const { given } = side.watered.moved.course
  const { picture } = pictureAt(side.watered.moved, hours)
  return picture + 1 < given.length && given[picture + 1]! > given[picture]! + 1e-9
})
/** Where the rose of the can is: over the mix, above the rim. */
const rose = computed(() => {
  const l = layout.value
  return l && { x: (l.left(l.height) + l.right(l.height)) / 2, y: Math.max(48, l.y(l.height) - 8) }
})
const description = computed(() => pictureText(side, said))

watchEffect(
  () => {
    const [at, ctx] = [layout.value, canvas.value?.getContext('2d')]
    if (!at || !ctx || !canvas.value) return
    const ratio = window.devicePixelRatio || 1
    const [w, h] = [Math.round(width.value * ratio), Math.round(height.value * ratio)]
    if (canvas.value.width !== w || canvas.value.height !== h) {
      canvas.value.width = w
      canvas.value.height = h
    }
    ctx.setTransform(ratio, 0, 0, ratio, 0, 0)
    ctx.clearRect(0, 0, width.value, height.value)
    const { moved } = side.watered
    paintWater(ctx, {
      layout: at,
      course: moved.course,
      at: pictureAt(moved, hours),
      colours: colours.value,
      edges: edges.value,
      floor: side.floor,
      below: side.below,
      grains: grains.value,
    })
  },
  { flush: 'post' },
)
</script>

<template>
  <figure class="picture" :class="{ small }">
    <div ref="host" class="stage" role="img" :aria-label="description">
      <canvas ref="canvas" />
      <svg v-if="layout && !small" :width="width" :height="height" aria-hidden="true">
        <SectionLines
          :layout="layout"
          :container="container"
          :bare="false"
          :floor="side.floor"
          :units="units"
        />
        <g v-if="can && rose" class="can" :transform="`translate(${rose.x - 66} ${rose.y - 46})`">
          <g :transform="isPouring ? 'rotate(24 20 30)' : undefined">
            <path class="body" d="M8 14h26l3 26H5z" />
            <path class="spout" d="M36 34l17-16" />
            <path class="rose" d="M49 14l8 8" />
            <path class="spout" d="M10 14C12 2 30 2 32 14M6 34C-6 32 -4 16 8 18" />
          </g>
          <path v-if="isPouring" class="fall" d="M58 32v12M64 30v18M52 34v8" />
          <text x="-8" y="30" text-anchor="end">{{ can }}</text>
        </g>
      </svg>
    </div>
    <figcaption><slot /></figcaption>
  </figure>
</template>

<style scoped>
.picture {
  margin: 0;
  min-width: 0;
}
.stage {
  position: relative;
  height: clamp(240px, 42vh, 420px);
}
.small .stage {
  height: 130px;
}
canvas,
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  display: block;
}
.can path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.can .body {
  fill: color-mix(in srgb, var(--water) 30%, var(--sheet));
}
.can .rose {
  stroke-width: 4;
}
.can .fall {
  stroke: var(--water);
  stroke-dasharray: 3 4;
}
.can text {
  font: 600 15px var(--slab);
  fill: var(--ink);
}
figcaption {
  text-align: center;
  font-weight: 600;
}
</style>
