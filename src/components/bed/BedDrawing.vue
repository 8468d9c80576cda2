<script setup lang="ts">
/** A bed in section, to scale, with its dimensions. The fill line, side holes and layers can be moved on the drawing. */
import { containerOf } from '@/model/garden/garden'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { shapeHeight } from '@/core/geometry'
import type { BedSpec } from '@/model/garden/schemas'
import { LAYER_NAMES } from '@/text/labels'
import { lengthText, type UnitSystem } from '@/text/units'
import { layoutSection, sectionWidth, tornEdge, wallLine, type Frame } from '../cutaway/section'
import SectionHandle from './SectionHandle.vue'

const {
  spec,
  units,
  sunkBy = null,
} = defineProps<{
  spec: BedSpec
  units: UnitSystem
  /** Old mix has sunk so far below the fill line, cm. */
  sunkBy?: number | null
}>()
const emit = defineEmits<{ change: [change: Partial<BedSpec>]; sink: [cm: number] }>()

const host = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(host)
const container = computed(() => containerOf(spec.vessel))
const frame = computed<Frame>(() => ({
  width: width.value,
  height: height.value,
  left: width.value < 480 ? 44 : 64,
  right: width.value < 480 ? 64 : 96,
  top: 40,
  bottom: 64,
}))
const layout = computed(() =>
  width.value > 80 && height.value > 80 ? layoutSection(container.value, frame.value) : null,
)
/** A quarter inch or half a centimetre: what a tape shows. */
const step = computed(() => (units === 'us' ? 2.54 / 4 : 0.5))

const total = computed(() => shapeHeight(container.value.shape))
const outline = computed(() => (layout.value ? wallLine(layout.value, total.value) : ''))
/** What lies between two heights, as a polygon. */
function band(from: number, to: number): string {
  const l = layout.value!
  const steps = Array.from({ length: 13 }, (_, i) => from + ((to - from) * i) / 12)
  return [
    ...steps.map((z) => `${l.left(z)},${l.y(z)}`),
    ...steps.map((z) => `${l.right(z)},${l.y(z)}`).reverse(),
  ].join(' ')
}
const layers = computed(() => {
  let from = 0
  return spec.layers.map((layer) => {
    const at = { ...layer, from, to: Math.min(from + Math.max(0, layer.thickness), total.value) }
    from = at.to
    return at
  })
})
const floor = computed(() => layers.value.at(-1)?.to ?? 0)
const fillLine = computed(() => Math.max(0, total.value - spec.vessel.headspace))
const oldTop = computed(() =>
  sunkBy === null ? null : Math.max(floor.value, Math.min(fillLine.value, fillLine.value - sunkBy)),
)
const holeHeight = computed(() => (spec.vessel.base.kind === 'sideHoles' ? spec.vessel.base.height : null))

const toHeight = (clientY: number) => {
  const l = layout.value!
  const box = host.value!.getBoundingClientRect()
  return (l.y(0) - (clientY - box.top)) / l.scale
}
const setVessel = (change: Partial<BedSpec['vessel']>) =>
  emit('change', { vessel: { ...spec.vessel, ...change } })
/** A tenth of a millimetre is more than anybody measures. */
const tidy = (cm: number) => Math.round(cm * 100) / 100
const setLayer = (index: number, top: number) =>
  emit('change', {
    layers: spec.layers.map((l, i) =>
      i === index ? { ...l, thickness: tidy(top - layers.value[i]!.from) } : l,
    ),
  })
/** A torn edge where a long bed goes on beyond the picture. */
const tear = computed(() => layout.value && tornEdge(layout.value, total.value))
const widest = computed(() => sectionWidth(container.value.shape, total.value))
</script>

<template>
  <figure class="drawing" aria-label="The bed in section">
    <div ref="host" class="stage">
      <svg v-if="layout" :width="width" :height="height" role="group" aria-label="Section, to scale">
        <g v-if="spec.vessel.base.kind === 'onSoil' || spec.vessel.base.kind === 'onPaving'" class="ground">
          <line :x1="layout.left(0) - 40" :x2="layout.right(0) + 40" :y1="layout.y(0)" :y2="layout.y(0)" />
        </g>
        <polygon v-if="fillLine > floor" class="mix" :points="band(floor, fillLine)" />
        <polygon v-if="oldTop !== null && oldTop > floor" class="old" :points="band(floor, oldTop)" />
        <polygon
          v-for="(layer, i) in layers"
          :key="i"
          :class="['layer', layer.kind]"
          :points="band(layer.from, layer.to)"
        />
        <polygon
          v-if="holeHeight !== null && holeHeight > 0"
          class="wet"
          :points="band(0, Math.min(holeHeight, fillLine))"
        />
        <polyline class="wall" :points="outline" />
        <polyline v-if="tear" class="tear" :points="tear" />
        <g v-if="spec.vessel.base.kind === 'drainHoles'">
          <circle
            v-for="t in [0.25, 0.5, 0.75]"
            :key="t"
            class="hole"
            r="5"
            :cx="layout.left(0) + (layout.right(0) - layout.left(0)) * t"
            :cy="layout.y(0)"
          />
        </g>
        <g class="dimension" aria-hidden="true">
          <path :d="`M${layout.left(0) - 26} ${layout.y(0)}h10m-5 0V${layout.y(total)}m-5 0h10`" />
          <text
            :transform="`translate(${layout.left(0) - 32} ${(layout.y(0) + layout.y(total)) / 2}) rotate(-90)`"
            text-anchor="middle"
          >
            {{ lengthText(total, units) }}
          </text>
          <text
            :x="(layout.left(total) + layout.right(total)) / 2"
            :y="layout.y(total) - 14"
            text-anchor="middle"
          >
            {{ lengthText(widest, units) }} {{ layout.cutShort ? 'long, drawn in part' : 'inside' }}
          </text>
          <text
            v-for="(layer, i) in layers.filter((x) => x.to - x.from > 0)"
            :key="i"
            class="inside"
            :x="(layout.left(layer.from) + layout.right(layer.from)) / 2"
            :y="(layout.y(layer.from) + layout.y(layer.to)) / 2 + 5"
            text-anchor="middle"
          >
            {{ LAYER_NAMES[layer.kind].one }} {{ lengthText(layer.thickness, units) }}
          </text>
          <text
            v-if="fillLine - floor > 4"
            class="inside"
            :x="(layout.left(fillLine) + layout.right(fillLine)) / 2"
            :y="layout.y(oldTop ?? (fillLine + floor) / 2) + (oldTop === null ? 5 : -8)"
            text-anchor="middle"
          >
            {{ lengthText(oldTop === null ? fillLine - floor : fillLine - oldTop, units) }}
            {{ oldTop === null ? 'of mix' : 'to top up' }}
          </text>
          <text :x="(layout.left(0) + layout.right(0)) / 2" :y="layout.y(0) + 30" text-anchor="middle">
            {{
              {
                drainHoles: 'holes in the base',
                sideHoles: 'reservoir below the side holes',
                onSoil: 'open to the soil',
                onPaving: 'open, on paving',
                closed: 'no holes',
              }[spec.vessel.base.kind]
            }}
          </text>
        </g>
        <SectionHandle
          v-for="(layer, i) in layers.filter((x) => x.kind !== 'cloth')"
          :key="`layer-${i}`"
          :label="`Top of the ${LAYER_NAMES[layer.kind].one.toLowerCase()}`"
          :value="layer.to"
          :low="layer.from"
          :high="Math.max(layer.from, fillLine - 1)"
          :value-text="lengthText(layer.thickness, units)"
          :x1="layout.left(layer.to)"
          :x2="layout.right(layer.to)"
          :y="layout.y(layer.to)"
          :to-height="toHeight"
          :step="step"
          @move="setLayer(spec.layers.indexOf(spec.layers.filter((l) => l.kind !== 'cloth')[i]!), $event)"
        />
        <SectionHandle
          v-if="holeHeight !== null"
          label="Side holes"
          :value="holeHeight"
          :low="0"
          :high="Math.max(0, fillLine - 1)"
          :value-text="`${lengthText(holeHeight, units)} above the base`"
          :x1="layout.left(holeHeight)"
          :x2="layout.right(holeHeight)"
          :y="layout.y(holeHeight)"
          :to-height="toHeight"
          :step="step"
          @move="setVessel({ base: { kind: 'sideHoles', height: tidy($event) } })"
        />
        <SectionHandle
          v-if="oldTop !== null && sunkBy !== null"
          label="Surface of the old mix"
          :value="oldTop"
          :low="floor"
          :high="fillLine"
          :value-text="`sunk by ${lengthText(sunkBy, units)}`"
          :x1="layout.left(oldTop)"
          :x2="layout.right(oldTop)"
          :y="layout.y(oldTop)"
          :to-height="toHeight"
          :step="step"
          @move="emit('sink', tidy(fillLine - $event))"
        />
        <SectionHandle
          label="Fill line"
          :value="fillLine"
          :low="Math.min(floor + 1, total)"
          :high="total"
          :value-text="`lip of ${lengthText(spec.vessel.headspace, units)}`"
          :x1="layout.left(fillLine)"
          :x2="layout.right(fillLine)"
          :y="layout.y(fillLine)"
          :to-height="toHeight"
          :step="step"
          @move="setVessel({ headspace: tidy(total - $event) })"
        />
      </svg>
    </div>
    <figcaption>Drag a line by its grip, or take it with the arrow keys.</figcaption>
  </figure>
</template>

<style scoped>
.drawing {
  margin: 0;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.stage {
  position: relative;
  flex: 1;
  min-height: 280px;
}
svg {
  position: absolute;
  inset: 0;
  overflow: visible;
}
figcaption {
  text-align: center;
  font-size: 0.9rem;
  color: var(--ink-soft);
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
.mix {
  fill: color-mix(in srgb, #6b5136 34%, var(--sheet));
}
.old {
  fill: color-mix(in srgb, #6b5136 68%, var(--sheet));
}
.layer {
  stroke: var(--ink-soft);
  stroke-dasharray: 2 3;
}
.layer.gravel {
  fill: color-mix(in srgb, #8d8a80 55%, var(--sheet));
}
.layer.bark,
.layer.logs {
  fill: color-mix(in srgb, #8a5a34 55%, var(--sheet));
}
.layer.cloth {
  stroke-width: 4;
  stroke: var(--ink-soft);
}
.wet {
  fill: var(--water);
  opacity: 0.55;
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
.dimension path {
  fill: none;
  stroke: var(--ink-soft);
}
text {
  font-family: var(--text);
  font-size: 13.5px;
  fill: var(--ink-soft);
}
text.inside {
  fill: var(--ink);
  font-weight: 600;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
</style>
