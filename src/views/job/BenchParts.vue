<script setup lang="ts">
/** The parts of the mix and what can become one. */
import { useOnPhone } from '@/composables/page/useOnPhone'
import { common } from '@/text/base/common'
import { benchParts as words } from '@/text/views/benchParts'
import Button from 'primevue/button'
import ChoiceField from '@/components/field/ChoiceField.vue'
import SwitchField from '@/components/field/SwitchField.vue'
import { computed } from 'vue'
import OriginFields from '@/components/bench/OriginFields.vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import ShelfStrip from '@/components/bench/ShelfStrip.vue'
import PartList from '@/components/PartList.vue'
import { useBenchContext } from '@/composables/bench/useBenchContext'
import type { StepName } from '@/core/mixing'
import { readParts } from '@/model/amounts/partsRead'
import { mixIn } from '@/model/mix/innerMix'
import { materialIn } from '@/core/data'
import { bagText } from '@/text/mix/recipes'
import BenchAdds from './BenchAdds.vue'

const { garden, job, tables, delayedJob, units, step, shelf, nameOf, hasParts, look } = useBenchContext()
const emit = defineEmits<{ add: [materialId: string] }>()

/** A phone has room for one step at a time, and for the shelf when it is asked for. */
const onPhone = useOnPhone()
const steps: { label: string; value: StepName; name: string }[] = [
  { label: '1', value: 'whole', name: words.aWholePart },
  { label: '½', value: 'half', name: words.halfAPart },
  { label: '⅓', value: 'third', name: words.aThirdOfAPart },
  { label: '¼', value: 'quarter', name: words.aQuarterOfAPart },
]
const stepText = computed(() => steps.find((s) => s.value === job.value?.step)?.name ?? 'A part')
const total = computed(() => (job.value?.parts ?? []).reduce((s, p) => s + p.twelfths, 0))
const parts = computed(() =>
  (job.value?.parts ?? []).flatMap((p) => {
    const mix = mixIn(job.value!, p.materialId)
    const materials = (mix?.parts ?? [p]).flatMap((q) => materialIn(tables.value, q.materialId) ?? [])
    return materials.length > 0
      ? [
          {
            id: p.materialId,
            materials,
            twelfths: p.twelfths,
            share: p.twelfths / total.value,
            name: nameOf.value(p.materialId),
            says: mix ? bagText(mix, units.value) : '',
          },
        ]
      : []
  }),
)
const madeOf = computed(() => parts.value.flatMap((p) => p.materials))
const unknown = computed(() =>
  (job.value?.parts ?? []).filter((p) => !parts.value.some((row) => row.id === p.materialId)),
)
const jobId = () => job.value!.id
const change = (materialId: string, direction: 1 | -1) =>
  garden.run({ type: 'part/change', jobId: jobId(), materialId, by: direction * step.value })
const read = (text: string) => readParts(text, job.value!.plan.bucket, units.value)
function set(materialId: string, twelfths: number) {
  const by = twelfths - (job.value!.parts.find((p) => p.materialId === materialId)?.twelfths ?? twelfths)
  if (by !== 0) garden.run({ type: 'part/change', jobId: jobId(), materialId, by })
}
const remove = (materialId: string) => garden.run({ type: 'part/remove', jobId: jobId(), materialId })
const setLook = (at: { materialId: string; direction: 1 | -1 } | null) =>
  (look.value = at && { kind: 'part', ...at })
</script>

<template>
  <div>
    <div class="row head">
      <h2 id="parts-title">{{ common.parts }}</h2>
      <span class="by">
        <span id="step-label" class="soft">{{ words.by }}</span>
        <ChoiceField
          v-if="delayedJob && onPhone"
          :label="words.by"
          hide-label
          :model-value="delayedJob.step"
          :options="steps"
          @update:model-value="$event && garden.run({ type: 'mix/step', jobId: jobId(), step: $event })"
        />
        <SwitchField
          v-else-if="delayedJob"
          :model-value="delayedJob.step"
          :options="steps"
          labelled-by="step-label"
          @update:model-value="garden.run({ type: 'mix/step', jobId: jobId(), step: $event })"
        />
      </span>
    </div>
    <PartList
      :parts="parts"
      :step-text="stepText"
      :read-parts="read"
      @change="change"
      @remove="remove"
      @set="set"
      @preview="setLook"
    />
    <OriginFields
      v-if="delayedJob"
      :materials="madeOf"
      :origins="delayedJob.origins"
      @set="garden.run({ type: 'job/planting', jobId: jobId(), change: { origins: $event } })"
    />
    <p v-if="!hasParts" class="soft start">
      {{ words.nothingInItYetMost }}
    </p>
    <p v-for="p in unknown" :key="p.materialId">
      {{ words.isNotInTheMaterial(p.materialId) }}
      <Button :label="common.takeItOut" size="small" outlined @click="remove(p.materialId)" />
    </p>
    <BenchAdds v-if="delayedJob" :job="delayedJob" :step="step" @add="emit('add', $event)" />
    <component
      :is="onPhone && shelf.length ? FoldBox : 'div'"
      id="from-shelf"
      :title="onPhone ? words.fromYourShelf : undefined"
    >
      <ShelfStrip :items="shelf" :units="units" @pick="emit('add', $event)" />
    </component>
  </div>
</template>

<style scoped>
.head {
  justify-content: space-between;
  margin-bottom: 4px;
}
.by {
  display: flex;
  align-items: center;
  gap: 8px;
}
.start {
  margin: 8px 0 14px;
}
</style>
