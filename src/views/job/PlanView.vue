<script setup lang="ts">
/** The least work that keeps the crop in its container from thirst: how often, how much, how long it can be left. */
import { common } from '@/text/base/common'
import { planView as words } from '@/text/views/planView'
import { computed } from 'vue'
import ChoiceField from '@/components/field/ChoiceField.vue'
import FigureTable from '@/components/frame/FigureTable.vue'
import AwayBars from '@/components/water/AwayBars.vue'
import LiftScale from '@/components/water/LiftScale.vue'
import MonthDrops from '@/components/water/MonthDrops.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import { useJob } from '@/composables/job/useJob'
import { useStations } from '@/composables/job/useStations'
import { useWateringPlan } from '@/composables/water/useWateringPlan'
import { MONTHS } from '@/text/base/months'
import { useWateringTrouble } from '@/composables/water/useWateringTrouble'
import { failureText } from '@/text/make/tasks'
import { percentText } from '@/text/base/units'
import { BELOW_NAMES } from '@/text/water/watering'
import {
  awayText,
  drainText,
  lastingRows,
  MONTH_HEAD,
  monthRows,
  planText,
  sufferText,
} from '@/text/water/wateringPlan'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { garden, job, units, prepared } = inHand
const { to } = useStations(() => jobId)
const { below, month, chosen, belows, plan, problem, progress, failure, again } = useWateringPlan(inHand)

const picked = computed({ get: () => chosen.value, set: (m: number | null) => (month.value = m) })
const MONTH_OPTIONS = MONTHS.map((label, i) => ({ value: i + 1, label }))
const belowOptions = computed(() => belows.value.map((value) => ({ value, label: BELOW_NAMES[value] })))
const empty = computed(() =>
  prepared.value?.ok ? (prepared.value.value.input.growing?.emptyWeight ?? 0) : 0,
)
const lifted = computed(() => prepared.value?.ok && !prepared.value.value.question.bed.wide)
const suffers = computed(() => (plan.value ? sufferText(plan.value) : ''))
const trouble = useWateringTrouble(inHand, problem)
</script>

<template>
  <StationFrame v-if="job">
    <div class="row head">
      <h2>{{ common.wateringPlan }}</h2>
      <span class="row">
        <RouterLink :to="to('water')">{{ common.waterIt }}</RouterLink>
        <RouterLink :to="to('season')">{{ words.backToTheSeason }}</RouterLink>
      </span>
    </div>
    <ProblemBox v-if="trouble" :sentence="trouble" />
    <div v-else class="row choices">
      <ChoiceField v-model="picked" :label="words.month" :options="MONTH_OPTIONS" />
      <ChoiceField
        v-if="belowOptions.length > 1"
        v-model="below"
        :label="common.below"
        :options="belowOptions"
      />
    </div>
    <ProblemBox v-if="failure" :sentence="failureText(failure)">
      <button type="button" class="again" @click="again">{{ common.tryAgain }}</button>
    </ProblemBox>
    <p v-if="!plan && !trouble && !failure" class="soft" role="status">
      {{ words.followingTheWaterThroughThe(progress ? percentText(progress) : '') }}
    </p>
    <div v-if="plan" class="stack">
      <section class="card" aria-labelledby="plan-now">
        <h3 id="plan-now" class="lead">{{ planText(plan, units) }}</h3>
        <p v-if="suffers" class="suffers">{{ suffers }}</p>
        <LiftScale
          v-if="lifted && plan.month.within"
          :light="plan.light + empty"
          :heavy="plan.heavy + empty"
          :units="units"
        />
        <p>{{ awayText(plan) }}</p>
        <p>{{ drainText(plan, units) }}</p>
        <p class="soft">{{ words.forOneContainerInA }}</p>
      </section>
      <section class="picture" aria-labelledby="plan-months">
        <h3 id="plan-months">{{ words.monthByMonth }}</h3>
        <MonthDrops
          :months="plan.months"
          :chosen="plan.month.month"
          :units="units"
          @choose="month = $event"
        />
        <details>
          <summary>{{ words.asATable }}</summary>
          <div class="wide" tabindex="0" role="region" aria-labelledby="plan-months">
            <FigureTable
              :head="MONTH_HEAD"
              :rows="monthRows(plan, units)"
              :caption="words.wateringsByMonth"
            />
          </div>
        </details>
      </section>
      <section class="picture" aria-labelledby="plan-helps">
        <h3 id="plan-helps">{{ words.ifYouAreAway }}</h3>
        <AwayBars :rows="lastingRows(plan, units)" :units="units" />
        <p>
          <RouterLink :to="{ name: 'away', params: { garden: garden.name } }">{{
            words.allBedsAway
          }}</RouterLink>
        </p>
      </section>
    </div>
  </StationFrame>
</template>

<style scoped>
.head {
  justify-content: space-between;
  margin-bottom: 10px;
}
.choices {
  align-items: end;
  margin-bottom: 14px;
}
.lead {
  font-size: 1.2rem;
  margin-bottom: 8px;
}
.suffers {
  font-weight: 600;
}
.wide {
  overflow-x: auto;
}
.stack > :not(.picture) {
  max-width: 46rem;
}
.stack {
  gap: 22px;
}
.again {
  min-height: 40px;
}
</style>
