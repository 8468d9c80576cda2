<script setup lang="ts">
/** Corners of a bed of free outline, walked once round, with a few outlines to begin from and a plan to look at. */
import { common } from '@/text/base/common'
import { outlineFields as words } from '@/text/components/bed'
import Button from 'primevue/button'
import { computed } from 'vue'
import { GARDEN_LIMITS } from '@/model/garden/limits'
import type { Sentence } from '@/text/base/problems.en'
import type { UnitSystem } from '@/text/base/units'
import QuantityField from '../field/QuantityField.vue'

interface Corner {
  x: number
  y: number
}
const { corners, units, problem } = defineProps<{
  corners: Corner[]
  units: UnitSystem
  problem: Sentence | null
}>()
const emit = defineEmits<{ change: [corners: Corner[]] }>()

const at = (...list: [number, number][]): Corner[] => list.map(([x, y]) => ({ x, y }))
const hexagon = at(
  ...Array.from({ length: 6 }, (_, i): [number, number] => [
    Math.round(75 * (1 + Math.cos((Math.PI * i) / 3)) * 10) / 10,
    Math.round(75 * (1 + Math.sin((Math.PI * i) / 3)) * 10) / 10,
  ]),
)
const BEGINNINGS: { name: string; corners: Corner[] }[] = [
  { name: 'L', corners: at([0, 0], [240, 0], [240, 100], [100, 100], [100, 240], [0, 240]) },
  {
    name: 'U',
    corners: at([0, 0], [240, 0], [240, 200], [160, 200], [160, 80], [80, 80], [80, 200], [0, 200]),
  },
  { name: 'Hexagon', corners: hexagon },
  { name: 'Triangle', corners: at([0, 0], [200, 0], [0, 200]) },
]
const set = (index: number, change: Partial<Corner>) =>
  emit(
    'change',
    corners.map((c, i) => (i === index ? { ...c, ...change } : c)),
  )
function add() {
  const [a, b] = [corners.at(-1) ?? { x: 0, y: 0 }, corners[0] ?? { x: 100, y: 0 }]
  emit('change', [...corners, { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }])
}
const remove = (index: number) =>
  emit(
    'change',
    corners.filter((_, i) => i !== index),
  )

const plan = computed(() => {
  const xs = corners.map((c) => c.x)
  const ys = corners.map((c) => c.y)
  const [x0, y0] = [Math.min(...xs, 0), Math.min(...ys, 0)]
  const span = Math.max(Math.max(...xs, 1) - x0, Math.max(...ys, 1) - y0, 1)
  return { box: `${x0 - span * 0.08} ${y0 - span * 0.08} ${span * 1.16} ${span * 1.16}`, span }
})
</script>

<template>
  <section class="outline" :aria-label="words.outlineOfTheBed">
    <div class="row">
      <strong>{{ words.outlineFromAbove }}</strong>
      <span class="begin">
        <Button
          v-for="b in BEGINNINGS"
          :key="b.name"
          :label="b.name"
          size="small"
          outlined
          :aria-label="
            common.beginWith(
              b.name === 'L' || b.name === 'U' ? words.an(b.name) : `a ${b.name.toLowerCase()}`,
            )
          "
          @click="emit('change', b.corners)"
        />
      </span>
    </div>
    <div class="two">
      <svg :viewBox="plan.box" role="img" :aria-label="words.planOfTheBed">
        <polygon :points="corners.map((c) => `${c.x},${c.y}`).join(' ')" :stroke-width="plan.span / 60" />
        <text
          v-for="(c, i) in corners"
          :key="i"
          :x="c.x"
          :y="c.y"
          :font-size="plan.span / 8"
          text-anchor="middle"
          dominant-baseline="middle"
        >
          {{ i + 1 }}
        </text>
      </svg>
      <div class="corners">
        <div v-for="(c, i) in corners" :key="i" class="corner">
          <QuantityField
            :label="words.across(i + 1)"
            quantity="length"
            :units="units"
            :model-value="c.x"
            @update:model-value="set(i, { x: $event })"
          />
          <QuantityField
            :label="words.along(i + 1)"
            quantity="length"
            :units="units"
            :model-value="c.y"
            @update:model-value="set(i, { y: $event })"
          />
          <Button icon="pi pi-times" text :aria-label="words.takeOutCorner(i + 1)" @click="remove(i)" />
        </div>
        <Button
          :label="words.addACorner"
          icon="pi pi-plus"
          size="small"
          text
          :disabled="corners.length >= GARDEN_LIMITS.corners.value"
          @click="add"
        />
      </div>
    </div>
    <p v-if="problem" class="wrong"><strong>{{ problem.why }}</strong> {{ problem.fix }}</p>
  </section>
</template>

<style scoped>
.row {
  justify-content: space-between;
}
.begin {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
.two {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr);
  gap: 14px;
  align-items: start;
  margin-top: 8px;
}
svg {
  width: 100%;
}
polygon {
  fill: color-mix(in srgb, #6b5136 40%, var(--sheet));
  stroke: var(--ink);
}
text {
  fill: var(--ink);
  font-weight: 700;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.corners {
  max-height: 260px;
  overflow-y: auto;
}
.corner {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 8px;
  align-items: start;
}
@media (max-width: 760px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  svg {
    max-width: 180px;
  }
}
.wrong {
  color: var(--alarm);
  font-size: 0.88rem;
  margin: 4px 0 0;
}
</style>
