<script setup lang="ts">
/** Pour a can on the mix in its own container and watch it fill, drain, dry and fill again, alone or beside another. */
import { useOnPhone } from '@/composables/page/useOnPhone'
import { common } from '@/text/base/common'
import { waterView as words } from '@/text/views/waterView'
import { usePreferredReducedMotion } from '@vueuse/core'
import { computed } from 'vue'
import ChoiceField from '@/components/field/ChoiceField.vue'
import FigureTable from '@/components/frame/FigureTable.vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import PlayBar from '@/components/water/PlayBar.vue'
import PouringFields from '@/components/water/PouringFields.vue'
import WaterPicture from '@/components/water/WaterPicture.vue'
import { useJob } from '@/composables/job/useJob'
import { usePlayback } from '@/composables/page/usePlayback'
import { useStations } from '@/composables/job/useStations'
import { useWatering } from '@/composables/water/useWatering'
import { shapeHeight } from '@/core/geometry'
import { belowsFor } from '@/model/water/pouring'
import { useWateringTrouble } from '@/composables/water/useWateringTrouble'
import { volumeText } from '@/text/base/units'
import { failureText } from '@/text/make/tasks'
import { differenceText, momentRows, outcomeRows, sinceText } from '@/text/water/watering'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { job, units, prepared, evaluation } = inHand
const { to } = useStations(() => jobId)
const {
  pouring,
  change,
  beside,
  offered,
  sides,
  containers,
  days,
  problem,
  working,
  drawing,
  failure,
  again,
} = useWatering(inHand, () => jobId)

const motion = usePreferredReducedMotion()
const still = computed(() => motion.value === 'reduce')
const hours = computed(() => 24 * days.value)
const times = computed(() => sides.value[0]?.watered.moved.course.times ?? [0])
const { now, said, pace, playing, play, stop, step, to: seek } = usePlayback(hours, times)

const belows = computed(() => (prepared.value?.ok ? belowsFor(prepared.value.value.input) : []))
const grows = computed(
  () => evaluation.value?.ok === true && (evaluation.value.value.growing?.watering.length ?? 0) > 0,
)
const tallest = computed(() => Math.max(1, ...containers.value.map((c) => shapeHeight(c.shape))))
const head = computed(() => ['', ...sides.value.map((s) => s.title)])
const moment = computed(() => momentRows(sides.value, said.value, units.value))
const outcome = computed(() => outcomeRows(sides.value, days.value, units.value))
const difference = computed(() => differenceText(sides.value, days.value))
/** Moments shown side by side where nothing may move. */
const stills = computed(() =>
  [0, 1.1, 3, 24, hours.value].filter((t, i, all) => t <= hours.value && all.indexOf(t) === i),
)
/** On a phone the bar of stations shows the way back at once. */
const onPhone = useOnPhone()
const trouble = useWateringTrouble(inHand, problem)
</script>

<template>
  <StationFrame v-if="job">
    <div class="row head">
      <h2>{{ common.waterIt }}</h2>
      <span class="row">
        <RouterLink :to="to('plan')">{{ common.wateringPlan }}</RouterLink>
        <RouterLink :to="to('lessons')">{{ common.lessons }}</RouterLink>
        <RouterLink v-if="!onPhone" :to="to('mix')">{{ common.backToTheBench }}</RouterLink>
      </span>
    </div>
    <p v-if="job.parts.length === 0" class="soft">
      {{ words.nothingIsInTheMix }} <RouterLink :to="to('mix')">{{ common.putSomethingInIt }}</RouterLink
      >{{ words.thenWaterItHere }}
    </p>
    <ProblemBox v-else-if="trouble" :sentence="trouble" />
    <ProblemBox v-if="failure" :sentence="failureText(failure)">
      <button type="button" class="again" @click="again">{{ common.tryAgain }}</button>
    </ProblemBox>
    <p v-if="pouring && sides.length === 0 && !failure && !trouble" class="soft" role="status">
      {{ common.pouring }}
    </p>
    <section v-if="sides.length" class="stack" :aria-busy="working">
      <div class="pictures" :class="{ two: sides.length > 1 }">
        <WaterPicture
          v-for="(side, i) in sides"
          :key="i"
          :container="containers[i]!"
          :tallest="tallest"
          :side="side"
          :hours="now"
          :said="said"
          :units="units"
          :can="pouring ? volumeText(pouring.litres, units) : ''"
        >
          {{ side.title }}
        </WaterPicture>
      </div>
      <p class="key soft">
        <span><i class="swatch dry" />{{ words.dry }}</span
        ><span><i class="swatch wet" />{{ words.fullOfWater }}</span>
        <span
          ><i class="swatch solids" />{{ words.solids }} <i class="swatch water" />{{ words.water }}
          <i class="swatch air" />{{ words.airByDepth }}</span
        >
      </p>
      <PlayBar
        v-model:pace="pace"
        :now="now"
        :hours="hours"
        :playing="playing"
        :still="still"
        @play="play"
        @stop="stop"
        @step="step"
        @to="seek"
      />
      <p v-if="difference" class="difference" role="status">{{ difference }}</p>
    </section>
    <template v-if="pouring">
      <PouringFields
        class="pouring"
        :pouring="pouring"
        :belows="belows"
        :grows="grows"
        :units="units"
        @change="change"
      >
        <ChoiceField
          v-model="beside"
          :label="words.besideIt"
          :options="offered"
          :placeholder="common.nothing"
          clearable
        />
      </PouringFields>
    </template>
    <section v-if="sides.length" class="stack" :aria-busy="working">
      <div class="tables">
        <div>
          <h3>{{ words.in(days === 1 ? words.oneDay : words.days(days)) }}</h3>
          <FigureTable :head="head" :rows="outcome" :caption="words.whatItComesToLikely" />
          <small v-if="drawing" role="status">{{ words.likelyRangesAreBeingDrawn }}</small>
          <small v-else>{{ words.inBracketsTheLikelyRange }}</small>
        </div>
        <FoldBox id="water-moment" :title="words.momentByMoment" :says="sinceText(said)">
          <template v-if="still">
            <div v-for="(side, i) in sides" :key="i" class="stills">
              <WaterPicture
                v-for="t in stills"
                :key="t"
                small
                :container="containers[i]!"
                :tallest="tallest"
                :side="side"
                :hours="t"
                :said="t"
                :units="units"
              >
                {{ sinceText(t) }}
              </WaterPicture>
            </div>
          </template>
          <FigureTable :head="head" :rows="moment" :caption="words.figuresOfThisMoment" />
          <p class="soft">{{ words.howFastAMixLets }}</p>
        </FoldBox>
      </div>
    </section>
  </StationFrame>
</template>

<style scoped>
.head {
  justify-content: space-between;
  margin-bottom: 10px;
}
.stack {
  margin-top: 16px;
}
.pouring {
  margin-top: 16px;
}
.pictures {
  display: grid;
  gap: 12px;
}
.pictures.two {
  grid-template-columns: 1fr 1fr;
}
.stills {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(110px, 1fr));
  gap: 8px;
}
.tables {
  display: grid;
  gap: 20px;
  max-width: 52rem;
}
.key {
  margin: 0;
  display: flex;
  gap: 14px;
  flex-wrap: wrap;
  justify-content: center;
  font-size: 0.88rem;
}
.swatch {
  display: inline-block;
  width: 14px;
  height: 14px;
  border: 1px solid var(--ink-soft);
  margin-right: 4px;
  vertical-align: -2px;
}
.dry {
  background: #c9a878;
}
.wet {
  background: #2f4f63;
}
.solids {
  background: #6b5136;
}
.water {
  background: var(--water);
}
.air {
  background: var(--air);
}
.difference {
  font-weight: 600;
}
.again {
  min-height: 40px;
}
@media (max-width: 760px) {
  .pictures.two {
    grid-template-columns: minmax(0, 1fr);
  }
  .pictures :deep(.stage) {
    height: 184px;
  }
  .key {
    font-size: 0.82rem;
    gap: 8px;
  }
  .tables :deep(.num) {
    white-space: normal;
  }
  .tables :deep(tbody th) {
    min-width: 6.5rem;
  }
}
</style>
