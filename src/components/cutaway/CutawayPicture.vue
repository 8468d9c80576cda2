<script setup lang="ts">
/**
 * The container in section, to scale: what fills it, and air and water by depth. The picture is an impression; the strip
 * beside it, the three labels and the table behind it are exact.
 */
import { useElementSize, useMutationObserver } from '@vueuse/core'
import { computed, onBeforeUnmount, onMounted, ref, toRaw, watchEffect } from 'vue'
import type { Material } from '@/core/data'
import type { Container } from '@/core/geometry'
import type { ContainerProfile } from '@/core/water'
import { lengthText, percentText, type UnitSystem } from '@/text/units'
import { painterFor, type Painter } from '@/workers/paint.client'
import { lookOf } from './looks'
import { layoutSection, type Frame } from './section'

const {
  container,
  profile = null,
  shares = [],
  units,
  title,
} = defineProps<{
  container: Container
  profile?: ContainerProfile | null
  shares?: readonly { material: Material; share: number }[]
  units: UnitSystem
  title: string
}>()

const tableOpen = ref(false)
const host = ref<HTMLElement | null>(null)
const canvas = ref<HTMLCanvasElement | null>(null)
const { width, height } = useElementSize(host)
const theme = ref(document.documentElement.dataset.theme)
useMutationObserver(
  document.documentElement,
  () => {
    theme.value = document.documentElement.dataset.theme
  },
  { attributeFilter: ['data-theme'] },
)

const frame = computed<Frame>(() => {
  const narrow = width.value < 480
  return {
    width: width.value,
    height: height.value,
    left: narrow ? 36 : 52,
    right: profile ? (narrow ? 112 : 156) : narrow ? 24 : 52,
    top: 26,
    bottom: container.base.kind === 'onSoil' ? 52 : 30,
  }
})
const narrow = computed(() => width.value < 480)
const layout = computed(() =>
  width.value > 60 && height.value > 60 ? layoutSection(container, frame.value) : null,
)

const ruler = computed(() => {
  const l = layout.value
  return l ? Math.min(l.left(0), l.left(l.mixHeight), l.left(l.mixHeight / 2)) - 20 : 0
})

const outline = computed(() => {
  const l = layout.value
  if (!l) return ''
  const steps = [0, 0.125, 0.25, 0.375, 0.5, 0.625, 0.75, 0.875, 1]
  const up = steps.map((t) => `${l.left(l.height * t)},${l.y(l.height * t)}`).reverse()
  const right = l.cutShort ? [] : steps.map((t) => `${l.right(l.height * t)},${l.y(l.height * t)}`)
  return [...up, ...(l.cutShort ? [`${l.right(0)},${l.y(0)}`] : right)].join(' ')
})
/** A torn edge where a long container goes on beyond the picture. */
const tear = computed(() => {
  const l = layout.value
  if (!l?.cutShort) return null
  const points: string[] = []
  const from = l.y(l.height) - 6
  const to = l.y(0) + 6
  for (let i = 0; i <= 14; i++)
    points.push(`${l.right(0) + (i % 2 ? 5 : -5)},${from + ((to - from) * i) / 14}`)
  return points.join(' ')
})

const holes = computed(() => {
  const l = layout.value
  if (!l) return []
  if (container.base.kind === 'drainHoles')
    return [0.25, 0.5, 0.75].map((t) => ({ x: l.left(0) + (l.right(0) - l.left(0)) * t, y: l.y(0) }))
  if (container.base.kind === 'sideHoles') {
    const z = container.base.height
    const sides = [{ x: l.left(z), y: l.y(z) }]
    if (!l.cutShort) sides.push({ x: l.right(z), y: l.y(z) })
    return sides
  }
  return []
})
const reservoir = computed(() => {
  const l = layout.value
  return l && container.base.kind === 'sideHoles'
    ? { y: l.y(container.base.height), x1: l.left(container.base.height), x2: l.right(container.base.height) }
    : null
})

/** The exact profile: widths of solids, water and air by depth. */
const strip = computed(() => {
  const l = layout.value
  if (!l || !profile || profile.slices.length === 0) return null
  const x = l.right(l.mixHeight) > l.right(0) ? l.right(l.mixHeight) : l.right(0)
  const from = x + (narrow.value ? 10 : 16)
  const wide = narrow.value ? 30 : 46
  const rows = profile.slices
  const edge = (share: (s: (typeof rows)[number]) => number) => [
    ...rows.map((s) => [from + share(s) * wide, l.y(s.height)] as const),
    [from + share(rows.at(-1)!) * wide, l.y(l.mixHeight)] as const,
  ]
  const path = (a: readonly (readonly [number, number])[], b: readonly (readonly [number, number])[]) =>
    [...a, ...[...b].reverse()].map((p) => p.join(',')).join(' ')
  const start = (p: readonly (readonly [number, number])[]) => [[p[0]![0], l.y(0)] as const, ...p]
  const zero = start(edge(() => 0))
  const solids = start(edge((s) => s.solids))
  const wet = start(edge((s) => s.solids + s.water))
  const full = start(edge(() => 1))
  return {
    x: from,
    wide,
    top: l.y(l.mixHeight),
    bottom: l.y(0),
    solids: path(zero, solids),
    water: path(solids, wet),
    air: path(wet, full),
  }
})

const marks = computed(() => {
  const l = layout.value
  if (!l || !profile || !strip.value || profile.slices.length === 0) return []
  const at = (t: number) =>
    profile.slices[Math.min(profile.slices.length - 1, Math.floor(t * profile.slices.length))]!
  return [
    { t: 0.92, words: 'near the top' },
    { t: 0.5, words: 'halfway' },
    { t: 0.05, words: at(0.05).air < 0.03 ? 'the wet foot' : 'at the foot' },
  ].map(({ t, words }) => ({ y: l.y(l.mixHeight * t), air: percentText(at(t).air), words }))
})

const description = computed(() => {
  const deep = layout.value ? lengthText(layout.value.mixHeight, units) : ''
  if (!profile) return `${title}, in section, ${deep} of mix.`
  return `${title}, in section, ${deep} of mix. Air after draining: ${marks.value.map((m) => `${m.air} ${m.words}`).join(', ')}.`
})

let painter: Painter | null = null
onMounted(() => (painter = painterFor(canvas.value!)))
onBeforeUnmount(() => painter?.drop())

/** Read from the page once for each theme: asking for a style in the middle of a change costs a layout. */
const colours = computed(() => {
  void theme.value
  const style = host.value && getComputedStyle(host.value)
  return {
    air: style?.getPropertyValue('--air').trim() || '#fff8e8',
    water: style?.getPropertyValue('--water').trim() || '#4f8fae',
  }
})
watchEffect(
  () => {
    if (!layout.value || !painter) return
    painter.paint({
      container: toRaw(container),
      frame: { ...frame.value },
      ratio: window.devicePixelRatio || 1,
      slices: (profile?.slices ?? []).map(({ height, solids, water, air }) => ({
        height,
        solids,
        water,
        air,
      })),
      shares: shares.map(({ material, share }) => ({
        look: { ...lookOf(material) },
        sizeShares: [...material.sizeShares],
        share,
      })),
      colours: { ...colours.value },
    })
  },
  { flush: 'post' },
)
</script>

<template>
  <figure class="cutaway">
    <div ref="host" class="stage" role="img" :aria-label="description">
      <canvas ref="canvas" />
      <svg v-if="layout" :width="width" :height="height" aria-hidden="true">
        <g v-if="container.base.kind === 'onSoil'" class="ground">
          <line :x1="layout.left(0) - 30" :x2="layout.right(0) + 30" :y1="layout.y(0)" :y2="layout.y(0)" />
          <path
            v-for="i in 9"
            :key="i"
            :d="`M${layout.left(0) - 30 + ((layout.right(0) - layout.left(0) + 60) * (i - 0.5)) / 9} ${layout.y(0)} l-10 12`"
          />
        </g>
        <rect
          v-if="!profile"
          class="empty"
          :x="layout.left(layout.mixHeight)"
          :y="layout.y(layout.mixHeight)"
          :width="Math.max(0, layout.right(layout.mixHeight) - layout.left(layout.mixHeight))"
          height="2"
        />
        <g v-if="reservoir" class="reservoir">
          <line :x1="reservoir.x1" :x2="reservoir.x2" :y1="reservoir.y" :y2="reservoir.y" />
        </g>
        <polyline class="wall" :points="outline" />
        <polyline v-if="tear" class="tear" :points="tear" />
        <circle v-for="(hole, i) in holes" :key="i" class="hole" :cx="hole.x" :cy="hole.y" r="4.5" />

        <g class="dimension">
          <path
            :d="`M${ruler - 7} ${layout.y(0)}h14M${ruler - 7} ${layout.y(layout.mixHeight)}h14M${ruler} ${layout.y(0)}V${layout.y(layout.mixHeight)}`"
          />
          <text
            :transform="`translate(${ruler - 8} ${(layout.y(0) + layout.y(layout.mixHeight)) / 2}) rotate(-90)`"
            text-anchor="middle"
          >
            {{ lengthText(layout.mixHeight, units) }} of mix
          </text>
          <text
            v-if="layout.cutShort"
            :x="layout.left(0)"
            :y="layout.y(0) + (container.base.kind === 'onSoil' ? 36 : 22)"
          >
            drawn in part: goes on to the right
          </text>
          <text
            v-if="container.base.kind === 'onSoil' && !layout.cutShort"
            :x="layout.left(0)"
            :y="layout.y(0) + 36"
          >
            open to the soil
          </text>
        </g>

        <g v-if="strip" class="strip">
          <polygon class="solids" :points="strip.solids" />
          <polygon class="water" :points="strip.water" />
          <polygon class="air" :points="strip.air" />
          <rect :x="strip.x" :y="strip.top" :width="strip.wide" :height="strip.bottom - strip.top" />
        </g>
        <g v-for="mark in marks" :key="mark.words" class="mark">
          <path :d="`M${strip!.x + strip!.wide} ${mark.y}h${narrow ? 6 : 10}`" />
          <text class="big" :x="strip!.x + strip!.wide + (narrow ? 9 : 15)" :y="mark.y + 2">
            {{ mark.air }} air
          </text>
          <text :x="strip!.x + strip!.wide + (narrow ? 9 : 15)" :y="mark.y + 19">{{ mark.words }}</text>
        </g>
      </svg>
    </div>
    <figcaption v-if="profile" class="key">
      <span><i class="swatch solids" />solids</span>
      <span><i class="swatch water" />water</span>
      <span><i class="swatch air" />air, when draining has ended</span>
      <details @toggle="tableOpen = ($event.target as HTMLDetailsElement).open">
        <summary>As a table</summary>
        <table v-if="tableOpen" class="plain">
          <thead>
            <tr>
              <th scope="col">Height above base</th>
              <th scope="col" class="num">Solids</th>
              <th scope="col" class="num">Water</th>
              <th scope="col" class="num">Air</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(s, i) in profile.slices.filter((_, n) => n % 12 === 6)" :key="i">
              <td>{{ lengthText(s.height, units) }}</td>
              <td class="num">{{ percentText(s.solids) }}</td>
              <td class="num">{{ percentText(s.water) }}</td>
              <td class="num">{{ percentText(s.air) }}</td>
            </tr>
          </tbody>
        </table>
      </details>
    </figcaption>
  </figure>
</template>

<style scoped>
.cutaway {
  margin: 0;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.stage {
  position: relative;
  flex: 1;
  min-height: 240px;
}
canvas,
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  display: block;
}
.wall {
  fill: none;
  stroke: var(--ink);
  stroke-width: 4.5;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.tear {
  fill: none;
  stroke: var(--paper);
  stroke-width: 9;
}
.hole {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
.ground line {
  stroke: var(--ink);
  stroke-width: 2;
}
.ground path {
  stroke: var(--ink-soft);
  stroke-width: 1.5;
}
.empty {
  fill: var(--edge);
}
.reservoir line {
  stroke: var(--water-ink);
  stroke-width: 2;
  stroke-dasharray: 7 5;
}
.dimension path {
  fill: none;
  stroke: var(--ink-soft);
}
text {
  font-family: var(--text);
  font-size: 13.5px;
  fill: var(--ink-soft);
}
.mark path {
  stroke: var(--ink);
  stroke-width: 1.2;
}
.mark .big {
  font-family: var(--slab);
  font-weight: 600;
  font-size: 18px;
  fill: var(--ink);
}
.strip rect {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1;
}
.solids {
  fill: #6b5136;
  background: #6b5136;
}
.water {
  fill: var(--water);
  background: var(--water);
}
.air {
  fill: var(--air);
  background: var(--air);
}
.key {
  display: flex;
  gap: 14px;
  flex-wrap: wrap;
  font-size: 0.88rem;
  color: var(--ink-soft);
  justify-content: center;
}
.swatch {
  display: inline-block;
  width: 14px;
  height: 14px;
  border: 1px solid var(--ink-soft);
  margin-right: 5px;
  vertical-align: -2px;
}
summary {
  cursor: pointer;
}
@media (max-width: 480px) {
  .mark .big {
    font-size: 15px;
  }
  .mark text:not(.big) {
    font-size: 12px;
  }
}
</style>
