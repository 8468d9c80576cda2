<script setup lang="ts">
/**
 * The container in section, to scale: what fills it, and air and water by depth. The picture is an impression; the
 * strip beside it, the three labels and the table behind it are exact.
 */
import { cutawayPicture as says } from '@/text/components/cutaway'
import { useElementSize } from '@vueuse/core'
import { computed, ref, toRaw, watchEffect } from 'vue'
import { usePageTheme } from '@/composables/page/usePageTheme'
import { usePainter } from '@/composables/page/usePainter'
import type { Material } from '@/core/data'
import type { Container } from '@/core/geometry'
import type { ContainerProfile } from '@/core/water'
import { lengthText, type UnitSystem } from '@/text/base/units'
import CutawayKey from './CutawayKey.vue'
import { lookOf } from '@/painting/looks'
import { packSlices } from '@/painting/paint'
import { bandsOf, layoutSection, type Frame, type Lying } from '@/painting/section'
import SectionLines from './SectionLines.vue'
import { marksOf, stripOf } from '@/painting/strip'
import StripLines from './StripLines.vue'

const {
  container,
  profile = null,
  shares = [],
  layers = [],
  cover = null,
  cloth = false,
  units,
  title,
} = defineProps<{
  container: Container
  profile?: ContainerProfile | null
  shares?: readonly { material: Material; share: number }[]
  /** Layers below the mix from the base up, and what lies on it, cm. */
  layers?: readonly Lying[]
  cover?: Lying | null
  /** It drains through its walls. */
  cloth?: boolean
  units: UnitSystem
  title: string
}>()

const host = ref<HTMLElement | null>(null)
const canvas = ref<HTMLCanvasElement | null>(null)
const { width, height } = useElementSize(host)
const theme = usePageTheme()

const filled = computed(() => profile !== null)
const narrow = computed(() => width.value < 480)
const frame = computed<Frame>(() => ({
  width: width.value,
  height: height.value,
  left: narrow.value ? 42 : 52,
  right: filled.value ? (narrow.value ? 112 : 156) : narrow.value ? 24 : 52,
  top: 26,
  bottom: container.base.kind === 'onSoil' ? 52 : 30,
}))
const layout = computed(() =>
  width.value > 60 && height.value > 60 ? layoutSection(container, frame.value) : null,
)
const floor = computed(() => layers.reduce((sum, l) => sum + l.thickness, 0))
const bands = computed(() => (layout.value ? bandsOf(layers, cover, layout.value.mixHeight) : []))
const strip = computed(() => (layout.value && profile ? stripOf(layout.value, profile, narrow.value) : null))
const marks = computed(() => (layout.value && profile ? marksOf(layout.value, profile, floor.value) : []))
const description = computed(() => {
  const deep = layout.value ? lengthText(layout.value.mixHeight - floor.value, units) : ''
  const air = marks.value.map((m) => `${m.air} ${m.words}`).join(', ')
  const inIt = bands.value.map((b) => `${b.name}, ${lengthText(b.to - b.from, units)}`).join('; ')
  return says.inSectionOfMix(
    title,
    deep,
    inIt && says.besideIt(inIt),
    profile ? says.airAfterDraining(air) : '',
  )
})

/** Read from the page once for each theme: asking for a style in the middle of a change costs a layout. */
const colours = computed(() => {
  void theme.value
  const style = host.value && getComputedStyle(host.value)
  return {
    air: style?.getPropertyValue('--air').trim() || '#fff8e8',
    water: style?.getPropertyValue('--water').trim() || '#4f8fae',
  }
})
const paint = usePainter(canvas)
watchEffect(
  () => {
    if (!layout.value) return
    paint({
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
        <SectionLines
          :layout="layout"
          :container="container"
          :bare="!filled"
          :floor="floor"
          :bands="bands"
          :cloth="cloth"
          :units="units"
        />
        <StripLines v-if="strip" :strip="strip" :marks="marks" :narrow="narrow" />
      </svg>
    </div>
    <CutawayKey v-if="profile" :profile="profile" :units="units" />
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
/* With its table open the picture keeps its size and the page grows. */
.cutaway:has(details[open]) .stage {
  flex: none;
  height: 340px;
}
canvas,
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  display: block;
}
</style>
