<script setup lang="ts">
/** The bench: parts on the left, the container in section, and what the mix will do against what is wanted. */
import { onKeyStroke, useMediaQuery } from '@vueuse/core'
import Button from 'primevue/button'
import SelectButton from 'primevue/selectbutton'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import RecipeCard from '@/components/bench/RecipeCard.vue'
import DepthStrip from '@/components/bench/DepthStrip.vue'
import DressingList from '@/components/bench/DressingList.vue'
import JudgementList from '@/components/bench/JudgementList.vue'
import NextMoves from '@/components/bench/NextMoves.vue'
import ShelfStrip from '@/components/bench/ShelfStrip.vue'
import CautionList from '@/components/CautionList.vue'
import CutawayPicture from '@/components/cutaway/CutawayPicture.vue'
import LimeBox from '@/components/LimeBox.vue'
import MixReadings from '@/components/MixReadings.vue'
import MoreReadings from '@/components/MoreReadings.vue'
import PartList from '@/components/PartList.vue'
import ProblemBox from '@/components/ProblemBox.vue'
import { useBench } from '@/composables/useBench'
import { useCalm } from '@/composables/useCalm'
import { useJob } from '@/composables/useJob'
import { useRanges } from '@/composables/useRanges'
import type { StepName } from '@/core/mixing'
import { mixIn } from '@/model/innerMix'
import { evaluateJob, mixWanted, ownLime } from '@/model/reckoning'
import { materialById } from '@/model/tables'
import { cautionById } from '@/text/cautions'
import { bedTitle, jobTitle, onGround } from '@/text/labels'
import { noteText, problemText } from '@/text/problems.en'
import { bagText, partNames } from '@/text/recipes'
import { percentText, pHText, weightText } from '@/text/units'
import { LIFT_LIMIT } from '@/core/weight'
import BenchAdds from './BenchAdds.vue'
import BenchTools from './BenchTools.vue'

const { jobId } = defineProps<{ jobId: string }>()
const of = useJob(() => jobId)
const { garden, job, lead, crop, bands, units, container, evaluation, mixInput, place, fill, beside } = of
const { step, later, calmJob, source, next, take, look, whatIf, shelf, cost, put } = useBench(of)
const ranges = useRanges(mixInput)
const router = useRouter()
/** The card for the wall is made when it is printed. */
const printing = useMediaQuery('print')

const steps: { label: string; value: StepName; name: string }[] = [
  { label: '1', value: 'whole', name: 'A whole part' },
  { label: '½', value: 'half', name: 'Half a part' },
  { label: '⅓', value: 'third', name: 'A third of a part' },
  { label: '¼', value: 'quarter', name: 'A quarter of a part' },
]
const stepText = computed(() => steps.find((s) => s.value === job.value?.step)?.name ?? 'A part')

const total = computed(() => (job.value?.parts ?? []).reduce((s, p) => s + p.twelfths, 0))
const parts = computed(() =>
  (job.value?.parts ?? []).flatMap((p) => {
    const mix = mixIn(job.value!, p.materialId)
    const materials = (mix?.parts ?? [p]).flatMap((q) => materialById(q.materialId) ?? [])
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
const nameOf = computed(() => partNames(job.value))
const unknown = computed(() =>
  (job.value?.parts ?? []).filter((p) => !parts.value.some((row) => row.id === p.materialId)),
)
const answer = computed(() => (evaluation.value?.ok ? evaluation.value.value : null))
/** For what stands below the fold: it follows a frame after the figures. */
const calm = useCalm(answer)
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
  const off = (value: number, band: { low: number; high: number } | null) =>
    band !== null && (value < band.low || value > band.high)
  const { airFilledPorosity: air, easilyAvailableWater: water } = a.mix
  return [
    { label: 'Air', value: percentText(air), off: off(air, bands.value.airFilledPorosity) },
    {
      label: 'Water',
      value: percentText(water),
      off: off(water, bands.value.easilyAvailableWater),
    },
    { label: 'pH', value: pHText(a.lime.pH), off: off(Number(pHText(a.lime.pH)), bands.value.pH) },
    { label: 'Wet', value: weightText(a.weights.drained, units.value), off: false },
  ]
})

const add = (materialId: string) => garden.run({ type: 'part/add', jobId, materialId, twelfths: step.value })
const change = (materialId: string, direction: 1 | -1) =>
  garden.run({ type: 'part/change', jobId, materialId, by: direction * step.value })
const remove = (materialId: string) => garden.run({ type: 'part/remove', jobId, materialId })

const typing = (event: KeyboardEvent) =>
  event.target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(event.target.tagName)
// A digit takes a next move, unless something else has the keyboard.
onKeyStroke(['1', '2', '3', '4', '5'], (event) => {
  if (
    typing(event) ||
    event.ctrlKey ||
    event.metaKey ||
    event.altKey ||
    document.querySelector('[role=dialog]')
  )
    return
  take(Number(event.key) - 1)
})
/** A material dragged from the shelf onto the bench. */
function drop(event: DragEvent) {
  const id = event.dataTransfer?.getData('text/open-bed-material')
  if (!id || !materialById(id)) return
  event.preventDefault()
  add(id)
}
const allow = (event: DragEvent) => {
  if (event.dataTransfer?.types.includes('text/open-bed-material')) event.preventDefault()
}
/** Mix the job makes, for grams in all. */
const litres = computed(() => (calmJob.value ? mixWanted(calmJob.value) : null))
/** Doses for what the mix lacks, from the figures at rest. */
const offers = computed(() => later.value.value?.offers ?? [])
const judgements = computed(() => later.value.value?.judgements ?? [])
const lastingFigures = computed(() => (later.stale.value ? null : (later.value.value?.evaluation ?? null)))
const limeDose = computed(() => (calm.value && calmJob.value ? ownLime(calm.value, calmJob.value) : null))
const besideLime = (field: string) => beside(field, evaluation.value)
const LIFTING = [cautionById('lifting')]
const setLook = (change: { materialId: string; direction: 1 | -1 } | null) =>
  (look.value = change && { kind: 'part', ...change })
</script>

<template>
  <div v-if="job && container" class="mix" @dragover="allow" @drop="drop">
    <BenchTools v-if="calmJob" :job="calmJob" class="tools" @put="put" />
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
      <PartList :parts="parts" :step-text="stepText" @change="change" @remove="remove" @preview="setLook" />
      <p v-if="parts.length === 0" class="soft start">
        Nothing in it yet. Most mixes are one part that holds water (peat, coir, leaf mould), one that opens
        it up (perlite, bark, pumice) and one that feeds (compost, castings).
      </p>
      <p v-for="p in unknown" :key="p.materialId">
        “{{ p.materialId }}” is not in the material tables.
        <Button label="Take it out" size="small" outlined @click="remove(p.materialId)" />
      </p>
      <BenchAdds v-if="calmJob" :job="calmJob" :step="step" @add="add" />
      <ShelfStrip :items="shelf" :units="units" @pick="add" />
      <LimeBox
        v-if="parts.length"
        :lime="job.lime"
        :evaluation="calm"
        :dose="limeDose"
        :litres="litres"
        :offer="later.stale.value ? null : (later.value.value?.lime ?? null)"
        :units="units"
        :crop-name="crop?.name ?? null"
        :beside="besideLime"
        @change="garden.run({ type: 'mix/lime', jobId, lime: $event })"
      />
      <DressingList
        v-if="parts.length"
        :lines="job.dressings"
        :units="units"
        :litres="litres"
        :offers="offers"
        :stale="later.stale.value"
        @set="garden.run({ type: 'dressing/set', jobId, line: $event })"
        @remove="garden.run({ type: 'dressing/remove', jobId, dressingId: $event })"
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
      <DepthStrip
        v-if="calm"
        :total-porosity="calm.blend.totalPorosity"
        :water-at="calm.blend.waterAt"
        :here="calm.mixDepth"
        :units="units"
      />
      <NextMoves
        v-if="parts.length"
        :moves="next.value.value"
        :name-of="nameOf"
        :stale="next.stale.value"
        :units="units"
        :widest="source === 'all'"
        @take="take"
        @preview="look = $event === null ? null : { kind: 'move', index: $event }"
        @widen="source = source === 'all' ? 'shelf' : 'all'"
      />
      <JudgementList
        v-if="answer"
        :class="{ stale: later.stale.value }"
        :judgements="judgements"
        :answered="job.dismissed"
        :units="units"
        @answer="(code, reason) => garden.run({ type: 'warning/answer', jobId, code, reason })"
      />
    </section>

    <section class="readings" aria-label="What the mix will do">
      <template v-if="answer">
        <MixReadings
          :evaluation="answer"
          :what-if="whatIf"
          :ranges="ranges"
          :bands="bands"
          :wind="place?.wind ?? null"
          :crop-name="crop?.name ?? null"
          :container="container"
          :units="units"
          :wide="onGround(lead?.spec.vessel.kind)"
        />
        <MoreReadings
          v-if="calm"
          :evaluation="calm"
          :later="lastingFigures"
          :what-if="whatIf"
          :ranges="ranges"
          :salts="bands.electricalConductivity"
          :cost="cost"
          :name-of="nameOf"
          :perennial="crop?.perennial ?? false"
          :units="units"
        />
        <p v-if="crop && !place" class="note">
          <RouterLink :to="{ name: 'place', params: { garden: garden.name } }"
            >Say where you garden</RouterLink
          >
          to see how often it will want water.
        </p>
        <p v-for="note in notes" :key="note" class="note">{{ note }}</p>
        <CautionList v-if="heavy" heading="Before you fill it" :cautions="LIFTING" />
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

    <RecipeCard
      v-if="answer && printing"
      :job="job"
      :evaluation="answer"
      :crop-name="crop?.name ?? null"
      :units="units"
    />
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
.tools {
  grid-column: 1 / -1;
}
.picture {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.picture > .cutaway {
  height: min(430px, calc(100vh - 330px));
  min-height: 300px;
}
.stale {
  opacity: 0.5;
  transition: opacity 0s 0.25s;
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
    display: contents;
  }
  .picture > .judge,
  .picture > .cutaway {
    order: -1;
  }
  .picture > .cutaway {
    height: 300px;
  }
  .tools {
    order: -1;
    flex-wrap: nowrap;
    overflow-x: auto;
    margin-inline: -14px;
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
