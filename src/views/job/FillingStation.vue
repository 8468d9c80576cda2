<script setup lang="ts">
/** Getting the containers ready, filling them in lifts, planting: one bed at a time, each step ticked as it is done. */
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import CautionList from '@/components/CautionList.vue'
import ProblemBox from '@/components/ProblemBox.vue'
import { useFirstOpen } from '@/composables/useFirstOpen'
import { useJob } from '@/composables/useJob'
import { LIFT_LIMIT } from '@/core/weight'
import { fillingCards } from '@/model/make/filling'
import { plantingDay } from '@/model/season/season'
import { cautionById, type CautionId } from '@/text/cautions'
import { isoDay } from '@/text/dates'
import { fillingText } from '@/text/filling'
import { bedTitle } from '@/text/labels'
import { problemText } from '@/text/problems.en'
import { volumeText } from '@/text/units'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, job, units, quantities, crop } = useJob(() => jobId)
const router = useRouter()

const q = computed(() => (quantities.value?.ok ? quantities.value.value : null))
const problem = computed(() =>
  quantities.value && !quantities.value.ok ? problemText(quantities.value.problem, units.value) : null,
)
const cards = computed(() => (job.value && q.value ? fillingCards(job.value, q.value) : []))
const { chosen, card, allDone } = useFirstOpen(cards, (c) => c.left === 0)
const steps = computed(() =>
  (card.value?.steps ?? []).map((s) => ({
    ...s,
    ...fillingText(s.do, card.value!.fill.spec, job.value!.plan.bucket, units.value),
  })),
)
const tick = (step: string, done: boolean) =>
  garden.run({ type: 'steps/set', jobId, list: 'filledSteps', step, done })

const cautions = computed(() => {
  const ids: CautionId[] = []
  const aloft = job.value?.fills.some((f) => f.spec.standing === 'balcony' || f.spec.standing === 'roof')
  if (aloft) ids.push('load')
  if (q.value && q.value.asMeasured.weights.drained > LIFT_LIMIT) ids.push('lifting')
  ids.push('legionella')
  return ids.map(cautionById)
})

const planted = ref(job.value?.plantedOn ?? isoDay(new Date()))
const expected = computed(() => (job.value ? plantingDay(job.value) : null))
const dateProblem = computed(() =>
  /^\d{4}-\d{2}-\d{2}$/.test(planted.value) ? null : 'Choose the day it was planted or sown.',
)
async function plant() {
  if (dateProblem.value) return
  garden.run({ type: 'job/planting', jobId, change: { plantedOn: planted.value } })
  await router.push({ name: 'season', params: { garden: garden.name, jobId } })
}
</script>

<template>
  <div v-if="job" class="page filling">
    <ProblemBox v-if="problem" :sentence="problem">
      <Button
        label="Back to the mix"
        text
        size="small"
        @click="router.push({ name: 'mix', params: { garden: garden.name, jobId } })"
      />
    </ProblemBox>
    <template v-if="card">
      <section class="work" aria-labelledby="bed-title">
        <div v-if="cards.length > 1" class="row chooser" role="group" aria-label="Beds of this job">
          <button
            v-for="(c, i) in cards"
            :key="c.fill.id"
            type="button"
            class="chip"
            :class="{ on: c === card }"
            :aria-pressed="c === card"
            @click="chosen = i"
          >
            {{ bedTitle(c.fill.spec) }}<span v-if="c.left === 0"> ✓</span>
          </button>
        </div>
        <h2 id="bed-title">
          {{ card.fill.count > 1 ? `${card.fill.count} × ` : '' }}{{ bedTitle(card.fill.spec) }}
          <small>{{ volumeText(card.loose, units) }} of loose mix in all</small>
        </h2>
        <ol class="plain steps">
          <li v-for="(s, i) in steps" :key="s.id" :class="{ done: s.done }">
            <Checkbox
              :input-id="`step-${i}`"
              binary
              :model-value="s.done"
              @update:model-value="tick(s.id, $event)"
            />
            <label :for="`step-${i}`"
              ><strong>{{ s.title }}</strong
              ><span>{{ s.text }}</span></label
            >
          </li>
        </ol>
      </section>
      <section class="side">
        <form class="planted" @submit.prevent="plant">
          <h2>{{ job.plantedOn ? 'Planted' : 'All in?' }}</h2>
          <p v-if="!allDone" class="soft">Not every step is ticked. The season can begin all the same.</p>
          <label for="planted-on">Planted or sown on</label>
          <InputText
            id="planted-on"
            v-model="planted"
            type="date"
            :invalid="dateProblem !== null"
            aria-describedby="planted-said"
          />
          <p id="planted-said" class="wrong">{{ dateProblem ?? '' }}</p>
          <p v-if="crop && !job.plantedOn && expected" class="soft">The season is counted from this day.</p>
          <div class="row">
            <Button
              type="submit"
              :label="job.plantedOn ? 'Keep this day' : 'It is planted'"
              icon="pi pi-check"
              :disabled="dateProblem !== null"
            />
            <Button
              v-if="job.plantedOn"
              label="Not yet after all"
              text
              @click="garden.run({ type: 'job/planting', jobId, change: { plantedOn: null } })"
            />
          </div>
        </form>
        <CautionList heading="While you fill" :cautions="cautions" />
      </section>
    </template>
  </div>
</template>

<style scoped>
.filling {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(280px, 360px);
  gap: 32px;
  align-items: start;
}
.filling > .problem {
  grid-column: 1 / -1;
}
h2 small {
  font: 400 1rem var(--text);
  color: var(--ink-soft);
  margin-left: 8px;
}
.chooser {
  gap: 6px;
  margin-bottom: 12px;
  flex-wrap: wrap;
}
.chip {
  min-height: 44px;
  padding: 0 12px;
  border: 1.5px solid var(--edge);
  border-radius: 9px;
  background: var(--sheet);
  color: var(--ink);
  font: 600 1rem var(--text);
  cursor: pointer;
}
.chip.on {
  border-color: var(--clay);
  box-shadow: inset 0 0 0 2px var(--clay);
}
.steps li {
  display: flex;
  gap: 14px;
  align-items: flex-start;
  padding: 10px 4px;
  border-bottom: 1px solid var(--rule);
}
.steps label {
  flex: 1;
  display: flex;
  flex-direction: column;
  cursor: pointer;
}
.steps .done label {
  color: var(--ink-soft);
}
.steps .done strong::after {
  content: ' ✓';
  color: var(--leaf);
}
.planted {
  background: var(--sheet);
  border: 1px solid var(--rule);
  border-radius: var(--round);
  padding: 12px 16px;
  margin-bottom: 18px;
  display: flex;
  flex-direction: column;
  gap: 6px;
  align-items: flex-start;
}
.planted label {
  font-weight: 600;
}
.planted p {
  margin: 0;
}
.wrong {
  color: var(--alarm);
}
@media (max-width: 900px) {
  .filling {
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
}
</style>
