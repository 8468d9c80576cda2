<script setup lang="ts">
/** The bench: parts on the left, the container in section, and what the mix will do against what is wanted. */
import { onKeyStroke } from '@vueuse/core'
import Button from 'primevue/button'
import SelectButton from 'primevue/selectbutton'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import CautionList from '@/components/CautionList.vue'
import CutawayPicture from '@/components/cutaway/CutawayPicture.vue'
import LimeBox from '@/components/LimeBox.vue'
import MaterialPicker from '@/components/MaterialPicker.vue'
import MixReadings from '@/components/MixReadings.vue'
import PartList from '@/components/PartList.vue'
import ProblemBox from '@/components/ProblemBox.vue'
import { useJob } from '@/composables/useJob'
import { useRanges } from '@/composables/useRanges'
import { MATERIALS } from '@/core/data'
import { STEPS, type StepName } from '@/core/mixing'
import { evaluateJob, materialById } from '@/model/reckoning'
import { cautionById } from '@/text/cautions'
import { bedTitle, jobTitle, onGround, shortName } from '@/text/labels'
import { noteText, problemText } from '@/text/problems.en'
import { percentText, pHText, weightText } from '@/text/units'
import { LIFT_LIMIT } from '@/core/weight'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, job, lead, crop, bands, units, container, evaluation, mixInput, place, fill, beside } =
  useJob(() => jobId)
const ranges = useRanges(mixInput)
const router = useRouter()
const picking = ref(false)

const steps: { label: string; value: StepName; name: string }[] = [
  { label: '1', value: 'whole', name: 'A whole part' },
  { label: '½', value: 'half', name: 'Half a part' },
  { label: '⅓', value: 'third', name: 'A third of a part' },
  { label: '¼', value: 'quarter', name: 'A quarter of a part' },
]
const step = computed(() => STEPS[job.value?.step ?? 'whole'])
const stepText = computed(() => steps.find((s) => s.value === job.value?.step)?.name ?? 'A part')

const total = computed(() => (job.value?.parts ?? []).reduce((s, p) => s + p.twelfths, 0))
const parts = computed(() =>
  (job.value?.parts ?? []).flatMap((p) => {
    const material = materialById(p.materialId)
    return material
      ? [{ material, twelfths: p.twelfths, share: p.twelfths / total.value, name: shortName(p.materialId) }]
      : []
  }),
)
const unknown = computed(() => (job.value?.parts ?? []).filter((p) => !materialById(p.materialId)))
const taken = computed(() => new Set(job.value?.parts.map((p) => p.materialId)))
const answer = computed(() => (evaluation.value?.ok ? evaluation.value.value : null))
const problem = computed(() =>
  evaluation.value && !evaluation.value.ok ? problemText(evaluation.value.problem, units.value) : null,
)
const notes = computed(() =>
  evaluation.value?.ok ? evaluation.value.notes.map((n) => noteText(n, units.value)) : [],
)
/** Beds of the job, with the air the mix has in each: the same mix is another in another depth. */
const judged = computed(() =>
  (job.value?.fills ?? []).map((fill) => {
    const there = job.value && evaluateJob({ ...job.value, judgedIn: fill.id })
    const air = there?.ok ? `: ${percentText(there.value.mix.airFilledPorosity)} air` : ''
    return { id: fill.id, label: `${bedTitle(fill.spec)}${air}` }
  }),
)
const heavy = computed(
  () =>
    answer.value !== null &&
    answer.value.weights.drained > LIFT_LIMIT &&
    !onGround(lead.value?.spec.vessel.kind),
)

/** The figures that matter, kept in sight on a phone while the parts are changed; the gauges below say them in full. */
const glance = computed(() => {
  const a = answer.value
  if (!a) return []
  const off = (value: number, band: { low: number; high: number }) => value < band.low || value > band.high
  const { airFilledPorosity: air, easilyAvailableWater: water } = a.mix
  return [
    { label: 'Air', value: percentText(air), off: off(air, bands.value.airFilledPorosity) },
    {
      label: 'Water',
      value: percentText(water),
      off: container.value?.base.kind !== 'onSoil' && off(water, bands.value.easilyAvailableWater),
    },
    { label: 'pH', value: pHText(a.lime.pH), off: off(Number(pHText(a.lime.pH)), bands.value.pH) },
    { label: 'Wet', value: weightText(a.weights.drained, units.value), off: false },
  ]
})

const add = (materialId: string) => garden.run({ type: 'part/add', jobId, materialId, twelfths: step.value })
const change = (materialId: string, direction: 1 | -1) =>
  garden.run({ type: 'part/change', jobId, materialId, by: direction * step.value })
const remove = (materialId: string) => garden.run({ type: 'part/remove', jobId, materialId })

onKeyStroke('/', (event) => {
  if (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(event.target.tagName)) return
  event.preventDefault()
  picking.value = true
})
</script>

<template>
  <div v-if="job && container" class="mix">
    <div v-if="answer" class="glance" aria-hidden="true">
      <span v-for="g in glance" :key="g.label" :class="{ off: g.off }"
        ><small>{{ g.label }}</small
        ><b class="figure">{{ g.value }}</b></span
      >
    </div>
    <section class="recipe" aria-labelledby="parts-title">
      <div class="row head">
        <h2 id="parts-title">Parts</h2>
        <span class="by">
          <span id="step-label" class="soft">by</span>
          <SelectButton
            :model-value="job.step"
            :options="steps"
            option-label="label"
            option-value="value"
            :allow-empty="false"
            aria-labelledby="step-label"
            @update:model-value="garden.run({ type: 'mix/step', jobId, step: $event })"
          >
            <template #option="{ option }">
              <span aria-hidden="true">{{ option.label }}</span><span class="visually-hidden">{{
                option.name
              }}</span>
            </template>
          </SelectButton>
        </span>
      </div>
      <PartList :parts="parts" :step-text="stepText" @change="change" @remove="remove" />
      <p v-if="parts.length === 0" class="soft start">
        Nothing in it yet. Most mixes are one part that holds water (peat, coir, leaf mould), one that opens
        it up (perlite, bark, pumice) and one that feeds (compost, castings).
      </p>
      <p v-for="p in unknown" :key="p.materialId">
        “{{ p.materialId }}” is not in the material tables.
        <Button label="Take it out" size="small" outlined @click="remove(p.materialId)" />
      </p>
      <Button class="add" icon="pi pi-plus" label="Add from the shelf" outlined @click="picking = true" />
      <span class="hint soft"><kbd>/</kbd></span>
      <LimeBox
        v-if="parts.length"
        :job="job"
        :evaluation="answer"
        :units="units"
        :crop-name="crop?.name ?? null"
        :beside="(field: string) => beside(field, evaluation)"
        @change="garden.run({ type: 'mix/lime', jobId, lime: $event })"
      />
    </section>

    <section class="picture" aria-label="In section">
      <SelectButton
        v-if="job.fills.length > 1"
        class="judge"
        :model-value="lead?.id"
        :options="judged"
        option-label="label"
        option-value="id"
        :allow-empty="false"
        aria-label="Bed the mix is judged in"
        @update:model-value="garden.run({ type: 'job/judge', jobId, fillId: $event })"
      />
      <CutawayPicture
        v-if="fill?.ok"
        :container="container"
        :profile="answer?.profile"
        :shares="answer?.blend.shares"
        :units="units"
        :title="jobTitle(job)"
      />
      <ProblemBox v-if="problem && parts.length" :sentence="problem" />
    </section>

    <section class="readings" aria-label="What the mix will do">
      <template v-if="answer">
        <MixReadings
          :evaluation="answer"
          :ranges="ranges"
          :bands="bands"
          :wind="place?.wind ?? null"
          :crop-name="crop?.name ?? null"
          :container="container"
          :units="units"
          :wide="onGround(lead?.spec.vessel.kind)"
        />
        <p v-if="crop && !place" class="note">
          <RouterLink :to="{ name: 'place', params: { garden: garden.name } }"
            >Say where you garden</RouterLink
          >
          to see how often it will want water.
        </p>
        <p v-for="note in notes" :key="note" class="note">{{ note }}</p>
        <CautionList v-if="heavy" heading="Before you fill it" :cautions="[cautionById('lifting')]" />
        <Button
          class="onward"
          label="On to quantities"
          icon="pi pi-arrow-right"
          icon-pos="right"
          @click="router.push({ name: 'buy', params: { garden: garden.name, jobId } })"
        />
      </template>
      <p v-else class="soft">
        Air, water, pH and weight appear here as soon as there is something in the mix.
      </p>
    </section>

    <MaterialPicker v-model:visible="picking" :materials="MATERIALS" :taken="taken" @pick="add" />
  </div>
</template>

<style scoped>
.mix {
  display: grid;
  grid-template-columns: 330px minmax(0, 1fr) 284px;
  gap: 20px;
  padding: 12px 24px 24px;
}
.glance {
  display: none;
}
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
.add {
  margin-top: 10px;
}
.hint {
  margin-left: 8px;
}
.picture {
  display: flex;
  flex-direction: column;
  gap: 10px;
  height: min(640px, calc(100vh - 140px));
  min-height: 420px;
  position: sticky;
  top: 10px;
}
.picture > .cutaway {
  flex: 1;
}
.judge {
  flex-wrap: wrap;
}
.note {
  font-size: 0.92rem;
  margin: 8px 0 0;
  padding-left: 10px;
  border-left: 4px solid var(--straw);
}
.onward {
  margin-top: 12px;
}
@media (max-width: 1080px) {
  .mix {
    grid-template-columns: 1fr 1fr;
  }
  .picture {
    position: static;
  }
}
@media (max-width: 760px) {
  .mix {
    grid-template-columns: minmax(0, 1fr);
    padding: 8px 14px 90px;
    gap: 14px;
  }
  .picture {
    order: -1;
    height: 300px;
    min-height: 0;
  }
  .glance {
    order: -2;
    display: grid;
    grid-template-columns: repeat(4, 1fr);
    position: sticky;
    top: 0;
    z-index: 5;
    margin: -8px -14px 0;
    padding: 5px 8px;
    background: var(--paper);
    border-bottom: 1px solid var(--rule);
    text-align: center;
  }
  .glance small {
    display: block;
    line-height: 1;
  }
  .glance .off b {
    color: var(--straw);
    text-decoration: underline wavy 1.5px;
    text-underline-offset: 3px;
  }
  .hint {
    display: none;
  }
}
</style>
