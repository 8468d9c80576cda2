<script setup lang="ts">
/** The container when it was filled and as it is now, to one scale: what has sunk, and what the mix was and is. */
import { nextPicture as words } from '@/text/components/season'
import { computed } from 'vue'
import type { BedSpec } from '@/model/garden/schemas'
import type { OldMix } from '@/model/season/nextYear'
import { lengthText, percentText, pHText, type UnitSystem } from '@/text/base/units'
import { levelsOf } from '../bed/bedSection'
import type { SectionBand, SectionMark } from '../picture/sectionParts'
import VesselSection from '../picture/VesselSection.vue'

const { spec, old, pHWas, units } = defineProps<{
  spec: BedSpec
  old: OldMix
  /** Of the mix as it was expected when it was made. */
  pHWas: number
  units: UnitSystem
}>()
const levels = computed(() => levelsOf(spec, null))
const layers = computed(() =>
  levels.value.layers.map(({ kind, from, to }, i): SectionBand => ({
    id: `layer${i}`,
    from,
    to,
    look: kind,
    state: 'in',
  })),
)
const now = computed(() => Math.max(levels.value.floor, levels.value.fillLine - old.sunk.value))
const middle = computed(() => (levels.value.floor + now.value) / 2)
const mark = (id: string, at: number, title: string, text: string): SectionMark => ({
  id,
  at,
  title,
  text,
  state: 'in',
})
const sections = computed(() => {
  const { floor, fillLine } = levels.value
  return [
    {
      id: 'was',
      name: words.asItWasFilled,
      bands: [...layers.value, { id: 'mix', from: floor, to: fillLine, look: 'mix', state: 'in' } as const],
      marks: [
        mark('air', fillLine, percentText(old.airWas), words.air),
        mark('pH', middle.value, `pH ${pHText(pHWas)}`, words.expected),
      ],
    },
    {
      id: 'is',
      name: words.asItIsNow,
      bands: [
        ...layers.value,
        { id: 'mix', from: floor, to: now.value, look: 'old', state: 'in' } as const,
        { id: 'gone', from: now.value, to: fillLine, look: 'lost', state: 'in' } as const,
      ],
      marks: [
        mark('sunk', fillLine, lengthText(old.sunk.value, units), words.sunk),
        mark('air', now.value, percentText(old.airNow), words.air),
        mark(
          'pH',
          middle.value,
          `pH ${pHText(old.pH.value)}`,
          old.pH.isRead ? words.read : words.byItsCourse,
        ),
      ],
    },
  ]
})
</script>

<template>
  <div class="then-and-now">
    <figure v-for="s in sections" :key="s.id">
      <figcaption>{{ s.name }}</figcaption>
      <VesselSection
        :spec="spec"
        :bands="s.bands"
        :marks="s.marks"
        :label="`${s.name}: ${s.marks.map((m) => `${m.text} ${m.title}`).join(', ')}.`"
        :most="260"
      />
    </figure>
  </div>
</template>

<style scoped>
.then-and-now {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 32px;
}
figure {
  margin: 0;
  min-width: 0;
}
figcaption {
  font: 600 1rem var(--slab);
}
@media (max-width: 760px) {
  .then-and-now {
    grid-template-columns: minmax(0, 1fr);
    gap: 10px;
  }
}
</style>
