<script setup lang="ts">
/** Beds, batches and years side by side: what differed, what came of it, how sure that is; and a fair trial. */
import { seasonsView as words } from '@/text/views/seasonsView'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import QuantityField from '@/components/field/QuantityField.vue'
import SwitchField from '@/components/field/SwitchField.vue'
import ListInSight from '@/components/frame/ListInSight.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import DotRows from '@/components/picture/DotRows.vue'
import type { DotRow } from '@/components/picture/dotRows'
import TrialPlan from '@/components/season/TrialPlan.vue'
import { useSeasons } from '@/composables/season/useSeasons'
import { splitFill, type SeasonBed } from '@/model/season/compareSeasons'
import { useGarden } from '@/stores/garden'
import {
  differedTexts,
  differenceText,
  harvestText,
  MEASURE_NAMES,
  trialText,
} from '@/text/season/compareSeasons'
import { trialPlan } from '@/core/trial'

const SIDES = [
  { value: 'neither', label: '–', name: 'neither' },
  { value: 'A', label: 'A' },
  { value: 'B', label: 'B' },
] as const

const garden = useGarden()
const units = computed(() => garden.settings.units)
const { beds, about, sideOf, put, measure, comparison } = useSeasons(garden)
const said = computed(() =>
  comparison.value ? differenceText(comparison.value.difference, measure.value, units.value) : '',
)
/** Each pot or bed a dot, the mean marked; under them what B likely gives, seen from A. */
const dots = computed((): DotRow[] => {
  const found = comparison.value
  if (!found || found.values.some((v) => v.length === 0)) return []
  const { means, range } = found.difference
  return (['A', 'B'] as const).map((side, i) => ({
    id: side,
    name: side,
    dots: found.values[i]!,
    at: means[i]!,
    text: harvestText(means[i]!, measure.value, units.value),
    isOther: i === 1,
    range:
      i === 1 && range ? { low: means[0] * (1 + range.low), high: means[0] * (1 + range.high) } : undefined,
  }))
})
const differed = computed(() => (comparison.value ? differedTexts(comparison.value) : []))
function split({ job, fill }: SeasonBed) {
  const fills = splitFill(job, fill.id, () => crypto.randomUUID())
  garden.run({ type: 'jobBed/split', jobId: job.id, fills })
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
      <h1 id="seasons-title">{{ words.compareSeasons }}</h1>
      <p class="soft">
        {{ words.putBedsOnSideA }}
      </p>
      <p v-if="beds.length === 0">{{ words.nothingPlantedYet }}</p>
      <ListInSight v-slot="{ item }" :items="beds" class="plain">
        <div class="bed">
          <span class="what">
            <strong>{{ item.name }}</strong> <small>{{ item.year }}</small>
            <small class="about">{{ about(item) ?? '\u00a0' }}</small>
            <Button
              v-if="item.pots > 1"
              :label="words.noteEachOfByItself(item.pots)"
              text
              size="small"
              :aria-label="words.noteEachOfByItself2(item.pots, item.name)"
              @click="split(item)"
            />
          </span>
          <SwitchField
            :model-value="sideOf(item.id)"
            :options="SIDES"
            :label="words.sideOf(item.name)"
            @update:model-value="put(item.id, $event)"
          />
        </div>
      </ListInSight>
    </section>
    <section class="stack" aria-labelledby="result-title">
      <h2 id="result-title">{{ words.whatCameOfIt }}</h2>
      <SwitchField v-model="measure" :options="MEASURE_NAMES" :label="words.harvestCountedBy" />
      <div aria-live="polite">
        <DotRows v-if="dots.length" :rows="dots" :label="words.onOneScale" />
        <p v-if="said">{{ said }}</p>
        <p v-else class="soft">{{ words.chooseAtLeastOneBed }}</p>
        <p v-if="comparison && comparison.without > 0" class="soft">
          {{ words.leftOutWhatItIs(comparison.without) }}
        </p>
        <template v-if="differed.length">
          <h3>{{ words.whatDiffered }}</h3>
          <ul>
            <li v-for="d in differed" :key="d">{{ d }}</li>
          </ul>
        </template>
      </div>
      <h2>{{ words.aFairTrial }}</h2>
      <QuantityField v-model="pots" :label="words.potsOfEachMix" quantity="number" :units="units" />
      <p>{{ trialText(wholePots) }}</p>
      <Button :label="plan.length ? words.drawAgain : words.drawWhichPotGetsWhich" outlined @click="draw" />
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
