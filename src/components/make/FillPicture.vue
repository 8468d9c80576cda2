<script setup lang="ts">
/** A container as it is filled: layers, lifts to their marks, root ball and cover; a step that is ticked is in it. */
import { computed } from 'vue'
import type { BedSpec } from '@/model/garden/schemas'
import type { FillingStep } from '@/model/make/filling'
import { fillingMark, fillingPictureText } from '@/text/bed/filling'
import type { UnitSystem } from '@/text/base/units'
import { levelsOf } from '../bed/bedSection'
import type { PartState, SectionBand, SectionMark } from '../picture/sectionParts'
import VesselSection from '../picture/VesselSection.vue'

const { spec, sunkBy, steps, bucket, units } = defineProps<{
  spec: BedSpec
  /** Old mix stays, so far below the fill line, cm. */
  sunkBy: number | null
  steps: readonly FillingStep[]
  /** Litres to its mark. */
  bucket: number
  units: UnitSystem
}>()

const levels = computed(() => levelsOf(spec, sunkBy))
/** Steps that put something in; the first that is open comes next. */
const parts = computed(() => steps.filter((s) => ['layer', 'lift', 'root-ball', 'cover'].includes(s.do.code)))
const stateOf = (step: FillingStep): PartState =>
  step.done ? 'in' : parts.value.find((s) => !s.done) === step ? 'next' : 'out'

const bands = computed<SectionBand[]>(() => {
  const { total, layers, floor, oldTop, fillLine, sideHoles } = levels.value
  const list: SectionBand[] = []
  if (oldTop !== null && oldTop > floor)
    list.push({ id: 'old', from: floor, to: oldTop, look: 'old', state: 'in' })
  let layer = 0
  let top = oldTop ?? floor
  for (const step of parts.value) {
    const state = stateOf(step)
    if (step.do.code === 'layer') {
      const { kind, from, to } = layers[layer++]!
      list.push({ id: step.id, from, to, look: kind, state })
    } else if (step.do.code === 'lift') {
      const to = total - step.do.belowRim
      list.push({ id: step.id, from: top, to, look: 'mix', state })
      top = to
    } else if (step.do.code === 'cover')
      list.push({
        id: step.id,
        from: fillLine,
        to: Math.min(total, fillLine + step.do.thickness),
        look: 'cover',
        state,
      })
  }
  if (sideHoles !== null && list.some((b) => b.look === 'mix' && b.state === 'in'))
    list.push({ id: 'water', from: 0, to: Math.min(sideHoles, top), look: 'water', state: 'in' })
  return list
})
const marks = computed<SectionMark[]>(() =>
  parts.value.flatMap((step) => {
    const band = bands.value.find((b) => b.id === step.id)
    const words = fillingMark(step.do, bucket, units)
    return band && words ? [{ id: step.id, at: band.to, ...words, state: stateOf(step) }] : []
  }),
)
const ball = computed(() => {
  const step = parts.value.find((s) => s.do.code === 'root-ball')
  return step?.do.code === 'root-ball'
    ? { top: levels.value.fillLine, litres: step.do.litres, isIn: step.done }
    : null
})
const label = computed(() => {
  const next = parts.value.find((s) => !s.done)
  const words = next ? fillingMark(next.do, bucket, units) : null
  return fillingPictureText(parts.value.filter((s) => s.done).length, parts.value.length, words)
})
</script>

<template>
  <VesselSection :spec="spec" :bands="bands" :marks="marks" :ball="ball" :label="label" />
</template>
