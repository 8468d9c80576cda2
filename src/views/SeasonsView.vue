<script setup lang="ts">
/** Beds, batches and years side by side: what differed, what came of it, how sure that is; and a fair trial. */
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import QuantityField from '@/components/field/QuantityField.vue'
import SwitchField from '@/components/field/SwitchField.vue'
import ListInSight from '@/components/frame/ListInSight.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import TrialPlan from '@/components/season/TrialPlan.vue'
import { bedSeasons, compareSides, splitFill, type Measure } from '@/model/season/compareSeasons'
import { useGarden } from '@/stores/garden'
import { bedSeasonText, differedTexts, differenceText, MEASURE_NAMES, trialText } from '@/text/compareSeasons'
import { bedTitle, jobTitle } from '@/text/labels'
import { trialPlan } from '@/core/trial'

const SIDES = [
  { value: 'neither', label: '–', name: 'neither' },
  { value: 'A', label: 'A' },
  { value: 'B', label: 'B' },
] as const
type Side = (typeof SIDES)[number]['value']

const garden = useGarden()
const units = computed(() => garden.settings.units)
const measure = ref<Measure>('plant')
const sides = ref<Record<string, Side>>({})
const all = computed(() => bedSeasons(garden.records))
const rows = computed(() =>
  all.value.map((s) => ({
    id: s.id,
    season: s,
    name: `${jobTitle(s.job)}, ${bedTitle(s.fill.spec)}`,
    about: bedSeasonText(s.litres, s.plants, s.kg, s.pieces, units.value),
  })),
)
const of = (side: Side) => all.value.filter((s) => sides.value[s.id] === side)
const comparison = computed(() =>
  of('A').length > 0 && of('B').length > 0 ? compareSides(of('A'), of('B'), measure.value) : null,
)
const said = computed(() =>
  comparison.value ? differenceText(comparison.value.difference, measure.value, units.value) : '',
)
const differed = computed(() => (comparison.value ? differedTexts(comparison.value) : []))
function split(s: (typeof all.value)[number]) {
  const fills = splitFill(s.job, s.fill.id, () => crypto.randomUUID())
  garden.run({ type: 'jobBed/split', jobId: s.job.id, fills })
}
const pots = ref(6)
const seed = ref(0)
const wholePots = computed(() => Math.min(60, Math.max(1, Math.round(pots.value))))
const plan = computed(() => (seed.value > 0 ? trialPlan(2, wholePots.value, seed.value) : []))
const draw = () => (seed.value = crypto.getRandomValues(new Uint32Array(1))[0]! % 2147483647 || 1)
</script>

<template>
  <StationFrame columns="minmax(0, 1.3fr) minmax(300px, 1fr)">
    <section class="stack" aria-labelledby="seasons-title">
      <h1 id="seasons-title">Compare seasons</h1>
      <p class="soft">
        Put beds on side A or B: two mixes of one year, or one mix in two years. What is compared is the
        harvest you noted in their logs.
      </p>
      <p v-if="rows.length === 0">Nothing planted yet.</p>
      <ListInSight v-slot="{ item }" :items="rows" class="plain">
        <div class="bed">
          <span class="what">
            <strong>{{ item.name }}</strong> <small>{{ item.season.year }}</small>
            <small class="about">{{ item.about }}</small>
            <Button
              v-if="item.season.pots > 1"
              :label="`Note each of ${item.season.pots} by itself`"
              text
              size="small"
              :aria-label="`Note each of ${item.season.pots} by itself: ${item.name}`"
              @click="split(item.season)"
            />
          </span>
          <SwitchField
            :model-value="sides[item.id] ?? 'neither'"
            :options="SIDES"
            :label="`Side of ${item.name}`"
            @update:model-value="sides = { ...sides, [item.id]: $event }"
          />
        </div>
      </ListInSight>
    </section>
    <section class="stack" aria-labelledby="result-title">
      <h2 id="result-title">What came of it</h2>
      <SwitchField v-model="measure" :options="MEASURE_NAMES" label="Harvest counted by" />
      <div aria-live="polite">
        <p v-if="said">{{ said }}</p>
        <p v-else class="soft">Choose at least one bed for each side.</p>
        <p v-if="comparison && comparison.without > 0" class="soft">
          {{ comparison.without }} left out: what it is counted by is not known of them.
        </p>
        <template v-if="differed.length">
          <h3>What differed</h3>
          <ul>
            <li v-for="d in differed" :key="d">{{ d }}</li>
          </ul>
        </template>
      </div>
      <h2>A fair trial</h2>
      <QuantityField v-model="pots" label="Pots of each mix" quantity="number" :units="units" />
      <p>{{ trialText(wholePots) }}</p>
      <Button :label="plan.length ? 'Draw again' : 'Draw which pot gets which'" outlined @click="draw" />
      <TrialPlan v-if="plan.length" :plan="plan" />
    </section>
  </StationFrame>
</template>

<style scoped>
.bed {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  border-bottom: 1px solid var(--rule);
  padding: 6px 0;
}
.bed :deep(.p-selectbutton) {
  flex-wrap: nowrap;
}
.about {
  display: block;
}
</style>
