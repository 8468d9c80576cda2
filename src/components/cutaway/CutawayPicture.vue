<script setup lang="ts">
/**
 * The container in section, to scale: what fills it, and air and water by depth. The picture is an impression; the strip
 * beside it, the three labels and the table behind it are exact.
 */
import { useElementSize, useMutationObserver } from '@vueuse/core'
import { computed, onBeforeUnmount, onMounted, ref, toRaw, watchEffect } from 'vue'
import { vTextContent } from '@/composables/vTextContent'
import type { Material } from '@/core/data'
import type { Container } from '@/core/geometry'
import type { ContainerProfile } from '@/core/water'
import { lengthText, percentText, type UnitSystem } from '@/text/units'
import { painterFor, type Painter } from '@/workers/paint.client'
import { lookOf } from './looks'
import { packSlices } from './paint'
import { layoutSection, type Frame } from './section'
import SectionLines from './SectionLines.vue'

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

const filled = computed(() => profile !== null)
const frame = computed<Frame>(() => {
  const narrow = width.value < 480
  return {
    width: width.value,
    height: height.value,
    left: narrow ? 42 : 52,
    right: filled.value ? (narrow ? 112 : 156) : narrow ? 24 : 52,
    top: 26,
    bottom: container.base.kind === 'onSoil' ? 52 : 30,
  }
})
const narrow = computed(() => width.value < 480)
const layout = computed(() =>
  width.value > 60 && height.value > 60 ? layoutSection(container, frame.value) : null,
)

/** Widths of solids and of all but air by depth, a point every four pixels or so: as close as the eye. */
const strip = computed(() => {
  const l = layout.value
  if (!l || !profile || profile.slices.length === 0) return null
  const x = Math.max(l.right(l.mixHeight), l.right(0)) + (narrow.value ? 10 : 16)
  const wide = narrow.value ? 30 : 46
  const [top, bottom] = [l.y(l.mixHeight), l.y(0)]
  const { slices } = profile
  const each = Math.max(1, Math.round((4 * slices.length) / (bottom - top)))
  const rows = slices.filter((_, i) => i % each === 0 || i === slices.length - 1)
  const upTo = (share: (s: (typeof rows)[number]) => number) => {
    const at = (s: (typeof rows)[number]) => (x + share(s) * wide).toFixed(1)
    const edge = rows.map((s) => `${at(s)},${l.y(s.height).toFixed(1)}`)
    return `${x},${bottom} ${at(rows[0]!)},${bottom} ${edge.join(' ')} ${at(rows.at(-1)!)},${top} ${x},${top}`
  }
  return {
    x,
    wide,
    top,
    bottom,
    solids: upTo((s) => s.solids),
    wet: upTo((s) => s.solids + s.water),
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
      slices: packSlices(profile?.slices ?? []),
      parts: shares.map(({ material, share }) => ({
        id: material.id,
        look: lookOf(material),
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
        <SectionLines :layout="layout" :container="container" :bare="!filled" :units="units" />
        <g v-if="strip" class="strip">
          <rect
            class="air"
            :x="strip.x"
            :y="strip.top"
            :width="strip.wide"
            :height="strip.bottom - strip.top"
          />
          <polygon class="water" :points="strip.wet" />
          <polygon class="solids" :points="strip.solids" />
          <rect
            class="edge"
            :x="strip.x"
            :y="strip.top"
            :width="strip.wide"
            :height="strip.bottom - strip.top"
          />
        </g>
        <g v-for="mark in marks" :key="mark.words" class="mark">
          <path :d="`M${strip!.x + strip!.wide} ${mark.y}h${narrow ? 6 : 10}`" />
          <text
            v-text-content="`${mark.air} air`"
            class="big"
            :x="strip!.x + strip!.wide + (narrow ? 9 : 15)"
            :y="mark.y + 2"
          />
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
.strip .edge {
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
