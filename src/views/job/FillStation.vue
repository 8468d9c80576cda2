<script setup lang="ts">
/** What is filled, with what growing in it: the container in section, and what it takes. */
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import CautionList from '@/components/CautionList.vue'
import CutawayPicture from '@/components/cutaway/CutawayPicture.vue'
import ProblemBox from '@/components/ProblemBox.vue'
import VesselForm from '@/components/VesselForm.vue'
import { useJob } from '@/composables/useJob'
import { CROPS } from '@/core/data'
import { cautionById } from '@/text/cautions'
import { problemText } from '@/text/problems.en'
import { lengthText, percentText, pHText, volumeText } from '@/text/units'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, job, crop, units, container, fill, quantities, setVessel, beside } = useJob(() => jobId)
const router = useRouter()

const KIND_ORDER = [
  'fruiting veg',
  'leaf',
  'root veg',
  'legume',
  'brassica',
  'allium',
  'grain veg',
  'perennial veg',
  'herb',
  'fruit',
]
const crops = [...CROPS].sort(
  (a, b) => KIND_ORDER.indexOf(a.kind) - KIND_ORDER.indexOf(b.kind) || a.name.localeCompare(b.name),
)
const ready = computed(() => (fill.value?.ok ? fill.value.value : null))

/** Only the problems of the container itself belong here; those of the mix come later. */
const problem = computed(() => {
  if (fill.value && !fill.value.ok) return problemText(fill.value.problem, units.value)
  const q = quantities.value
  return q && !q.ok && 'field' in q.problem && q.problem.field === 'count'
    ? problemText(q.problem, units.value)
    : null
})
const besideCount = computed(() => {
  const count = job.value?.vessel.count ?? 1
  if (Number.isInteger(count) && count >= 1 && count <= 5000) return null
  return problemText(
    count > 5000
      ? { code: 'size-too-large', field: 'count', value: count, limit: 5000 }
      : { code: 'count-not-whole', value: count },
    units.value,
  )
})
const besideField = (field: string) => (field === 'count' ? besideCount.value : beside(field, fill.value))

const advice = computed(() => {
  const words: string[] = []
  if (!crop.value || !ready.value) return words
  if (ready.value.mixHeight < crop.value.properties.minDepth.value)
    words.push(
      `${crop.value.name} wants at least ${lengthText(crop.value.properties.minDepth.value, units.value)} of depth; this has ${lengthText(ready.value.mixHeight, units.value)}.`,
    )
  const plants = Math.floor(ready.value.mixVolume / crop.value.properties.minRootVolume.value)
  words.push(
    plants === 0
      ? `One plant wants at least ${volumeText(crop.value.properties.minRootVolume.value, units.value)}; each of these holds ${volumeText(ready.value.mixVolume, units.value)}.`
      : `By root room, each holds about ${plants} ${plants === 1 ? 'plant' : 'plants'} (${volumeText(crop.value.properties.minRootVolume.value, units.value)} a plant).`,
  )
  return words
})
const total = computed(() =>
  ready.value && job.value && besideCount.value === null
    ? ready.value.mixVolume * job.value.vessel.count
    : null,
)
const setCrop = (cropId: string | null) => garden.run({ type: 'job/crop', jobId, cropId })
const onward = () => router.push({ name: 'mix', params: { garden: garden.name, jobId } })
</script>

<template>
  <div v-if="job && container" class="fill">
    <section class="form" aria-label="What is filled">
      <div class="field">
        <label for="crop">Crop</label>
        <Select
          input-id="crop"
          :model-value="job.cropId"
          :options="crops"
          option-label="name"
          option-value="id"
          filter
          auto-filter-focus
          show-clear
          placeholder="Choose what will grow in it"
          filter-placeholder="Search crops"
          empty-filter-message="No crop of that name"
          aria-label="Crop"
          @update:model-value="setCrop"
        />
        <p v-if="crop" class="said">
          Likes {{ percentText(crop.airFilledPorosity.low) }} to
          {{ percentText(crop.airFilledPorosity.high) }} air after draining, pH {{ pHText(crop.pH.low) }} to
          {{ pHText(crop.pH.high) }}, moisture: {{ crop.moisture }}.
        </p>
        <p v-else class="said">Sets what the mix is held against. Without one: what most vegetables like.</p>
      </div>
      <VesselForm :vessel="job.vessel" :units="units" :beside="besideField" @change="setVessel" />
    </section>
    <section class="drawing" aria-label="In section">
      <CutawayPicture v-if="ready" :container="container" :units="units" title="The container" />
      <ProblemBox v-else-if="problem" :sentence="problem">
        <p class="soft">The drawing waits until that is mended; everything else is kept as you typed it.</p>
      </ProblemBox>
    </section>
    <section class="sum" aria-label="How much">
      <h2>How much</h2>
      <template v-if="ready">
        <p class="big">
          <strong class="figure">{{ volumeText(ready.mixVolume, units) }}</strong> of mix in each
        </p>
        <p v-if="total !== null && job.vessel.count > 1" class="big">
          <strong class="figure">{{ volumeText(total, units) }}</strong> in all {{ job.vessel.count }}
        </p>
        <p class="soft">
          {{ volumeText(ready.rimVolume, units) }} to the rim, less the lip.
          <template v-if="ready.reservoirVolume > 0">
            Below the side holes: {{ volumeText(ready.reservoirVolume, units) }} that stays wet through.
          </template>
        </p>
        <p v-for="line in advice" :key="line">{{ line }}</p>
        <p class="soft">What stirring and watering-in take away is added later, and shown.</p>
      </template>
      <Button
        label="On to the mix"
        icon="pi pi-arrow-right"
        icon-pos="right"
        :disabled="!ready"
        @click="onward"
      />
      <CautionList
        v-if="ready && total !== null && total > 120"
        class="load"
        heading="Is it a balcony, roof or deck?"
        :cautions="[cautionById('load')]"
      />
    </section>
  </div>
</template>

<style scoped>
.fill {
  display: grid;
  grid-template-columns: minmax(360px, 440px) 1fr 270px;
  gap: 28px;
  padding: 16px 24px 32px;
}
.field {
  display: flex;
  flex-direction: column;
  gap: 3px;
  margin-bottom: 14px;
}
.field label {
  font-weight: 600;
  font-size: 0.95rem;
}
.said {
  font-size: 0.9rem;
  color: var(--ink-soft);
  margin: 0;
}
.drawing {
  display: flex;
  flex-direction: column;
  min-height: 380px;
}
.drawing > :first-child {
  flex: 1;
  max-height: 560px;
}
.drawing > .problem {
  flex: none;
}
.big {
  margin: 6px 0;
}
.big .figure {
  font-size: 1.6rem;
  display: block;
}
.load {
  margin-top: 18px;
}
@media (max-width: 1080px) {
  .fill {
    grid-template-columns: 1fr 1fr;
  }
}
@media (max-width: 760px) {
  .fill {
    grid-template-columns: 1fr;
    padding: 12px 14px 90px;
    gap: 16px;
  }
  .drawing {
    min-height: 300px;
  }
}
</style>
