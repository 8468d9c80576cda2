<script setup lang="ts">
/** After planting: what is due and when, how often it wants water, how the months and the winter suit it. */
import { dosePerContainer } from '@/model/make/doseTotals'
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import MonthStrip from '@/components/MonthStrip.vue'
import { useJob } from '@/composables/useJob'
import { isOver } from '@/model/stations'
import { nextYearsJob, recordOf } from '@/model/garden/garden'
import { outdoorsOf, seasonPlan, winterOf } from '@/model/season/season'
import { dayText, isoDay, shortDayText } from '@/text/dates'
import { MONTHS } from '@/text/labels'
import { dressingName } from '@/text/dressings'
import { FOLLOW_UP_TEXTS, winterText } from '@/text/season'
import { doseWeightText, intervalText } from '@/text/units'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, job, units, crop, place, evaluation, lead, fill } = useJob(() => jobId)
const router = useRouter()

const record = computed(() =>
  job.value?.recordId ? recordOf(garden.records, job.value.recordId) : undefined,
)
const answer = computed(() => (evaluation.value?.ok ? evaluation.value.value : null))
const plan = computed(() => job.value && seasonPlan(job.value, record.value, answer.value, place.value))
const today = isoDay(new Date())
const rows = computed(() =>
  (plan.value?.due ?? []).map((d) => ({
    ...d,
    ...FOLLOW_UP_TEXTS[d.code],
    ...(d.dressingId ? { title: dressTitle(d.dressingId) } : {}),
    when: d.until ? `${shortDayText(d.on)} to ${dayText(d.until)}` : dayText(d.on),
    late: !d.done && plan.value!.planted.said && (d.until ?? d.on) < today,
  })),
)
/** "12 g of bone meal to each": what was held back, for the bed the mix is judged in. */
function dressTitle(dressingId: string) {
  const line = job.value?.dressings.find((d) => d.dressingId === dressingId)
  const grams =
    line && lead.value && fill.value?.ok ? dosePerContainer(line, lead.value, fill.value.value) : 0
  return `${doseWeightText(grams, units.value)} of ${dressingName(dressingId).toLowerCase()} to each`
}
const feed = computed(() => {
  const f = answer.value?.growing?.feeding
  return f && f.nitrogenToFeed > 0.05
    ? ` ${doseWeightText(f.nitrogenToFeed, units.value)} of nitrogen still to be given to each container over the season.`
    : ''
})
/** Longer than this, rain and the look of the plant say more than a reckoning, days. */
const SELDOM = 21
const watering = computed(() => {
  const g = answer.value?.growing
  if (!g || g.watering.length === 0) return []
  return g.watering.map((w, i) => ({
    month: MONTHS[i]!,
    text: w.days.value > SELDOM ? 'seldom: feel it' : intervalText(w.days.value),
  }))
})
const outdoors = computed(() => (job.value ? outdoorsOf(job.value, place.value) : null))
const winter = computed(() => {
  const w = job.value && winterOf(job.value, place.value)
  return w && crop.value ? winterText(w, crop.value.name, units.value) : null
})
const over = computed(() => job.value !== null && job.value !== undefined && isOver(job.value))
const tick = (step: string, done: boolean) =>
  garden.run({ type: 'steps/set', jobId, list: 'followedSteps', step, done })
async function again() {
  if (!job.value) return
  const next = nextYearsJob(job.value, crypto.randomUUID(), new Date().toISOString())
  garden.run({ type: 'job/create', job: next })
  await router.push({ name: 'fill', params: { garden: garden.name, jobId: next.id } })
}
</script>

<template>
  <div v-if="job && plan" class="page season">
    <section aria-labelledby="due-title">
      <h2 id="due-title">What is due</h2>
      <p v-if="!plan.planted.said" class="guess">
        Not planted yet: dates as if it were planted on {{ dayText(plan.planted.day) }}.
        <RouterLink :to="{ name: 'filling', params: { garden: garden.name, jobId } }"
          >Say when it is planted</RouterLink
        >
      </p>
      <p v-else class="soft">Planted on {{ dayText(plan.planted.day) }}.</p>
      <ol class="plain due">
        <li v-for="d in rows" :key="d.id" :class="{ done: d.done, late: d.late }">
          <Checkbox
            :input-id="`due-${d.id}`"
            binary
            :model-value="d.done"
            :disabled="!plan.planted.said"
            @update:model-value="tick(d.id, $event)"
          />
          <label :for="`due-${d.id}`"
            ><strong>{{ d.title }}</strong
            ><span>{{ d.text }}{{ d.code === 'feed' ? feed : '' }}</span></label
          >
          <span class="when">{{ d.when }}<small v-if="d.late">past its day</small></span>
        </li>
      </ol>
      <p v-if="plan.harvest?.slowed" class="soft">
        Harvest is drawn out by your cool months: growth taken as in proportion to the warmth.
      </p>
      <div v-if="over" class="row">
        <Button label="Begin it again for another year" icon="pi pi-replay" @click="again" />
      </div>
    </section>
    <section class="side">
      <template v-if="watering.length">
        <h2>Watering</h2>
        <table class="plain water">
          <caption class="visually-hidden">
            How often it wants water, by month, full grown
          </caption>
          <tbody>
            <tr v-for="w in watering" :key="w.month">
              <th scope="row">{{ w.month }}</th>
              <td>{{ w.text }}</td>
            </tr>
          </tbody>
        </table>
        <p class="soft">Full grown, without rain. Feel the mix before you trust a table.</p>
      </template>
      <p v-else>
        <RouterLink :to="{ name: 'place', params: { garden: garden.name } }">Say where you garden</RouterLink>
        <template v-if="!crop"> and choose a crop</template> to see how often it will want water, when it can
        be planted and what its winter asks.
      </p>
      <template v-if="outdoors && crop">
        <h2>{{ crop.name }} outside, by the month</h2>
        <MonthStrip :suits="outdoors.suits" :planting="outdoors.planting" />
      </template>
      <template v-if="winter">
        <h2>Winter</h2>
        <p>{{ winter }}</p>
      </template>
    </section>
  </div>
</template>

<style scoped>
.season {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(280px, 1fr);
  gap: 36px;
  align-items: start;
}
.guess {
  border-left: 4px solid var(--straw);
  padding-left: 10px;
}
.due li {
  display: flex;
  gap: 14px;
  align-items: flex-start;
  padding: 9px 4px;
  border-bottom: 1px solid var(--rule);
}
.due label {
  flex: 1;
  display: flex;
  flex-direction: column;
  cursor: pointer;
}
.when {
  text-align: right;
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}
.when small {
  display: block;
  color: var(--alarm);
}
.done label,
.done .when {
  color: var(--ink-soft);
}
.water {
  width: 100%;
}
.water th,
.water td {
  text-align: left;
  font-weight: 400;
  font-size: 1rem;
  line-height: 1.3;
  padding: 3px 12px 3px 0;
  vertical-align: baseline;
}
.water td {
  font-variant-numeric: tabular-nums;
}
.side h2:not(:first-child) {
  margin-top: 22px;
}
@media (max-width: 900px) {
  .season {
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
  .due li {
    flex-wrap: wrap;
  }
  .when {
    width: 100%;
    padding-left: 38px;
    text-align: left;
  }
  .when small {
    display: inline;
    margin-left: 8px;
  }
}
</style>
