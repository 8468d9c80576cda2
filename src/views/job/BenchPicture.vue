<script setup lang="ts">
/** The container in section, what could be done next, and what stands out. */
import { common } from '@/text/base/common'
import { benchPicture as words } from '@/text/views/benchPicture'
import SwitchField from '@/components/field/SwitchField.vue'
import { computed, defineAsyncComponent } from 'vue'
import DepthStrip from '@/components/bench/DepthStrip.vue'
import CutawayPicture from '@/components/cutaway/CutawayPicture.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import { useBenchContext } from '@/composables/bench/useBenchContext'
import { layerName } from '@/text/base/labels'
import { bedTitle, jobTitle, shortName } from '@/text/base/titles'
import { standsText } from '@/text/mix/standing'
import { problemText } from '@/text/base/problems.en'
import BenchMoves from './BenchMoves.vue'

const BenchOffers = defineAsyncComponent(() => import('./BenchOffers.vue'))

const {
  garden,
  job,
  delayedJob,
  delayedAnswer,
  later,
  lead,
  container,
  fill,
  units,
  evaluation,
  answer,
  hasParts,
} = useBenchContext()
/** Beds of the job, with how the mix stands in each for what grows there: it is another in another depth. */
const judged = computed(() =>
  (delayedJob.value?.fills ?? []).map((f) => {
    const there = later.value.value?.beds[f.id]
    return { value: f.id, label: `${bedTitle(f.spec)}${there ? `: ${standsText(there)}` : ''}` }
  }),
)
/** What lies under the mix and on it. */
const layers = computed(() =>
  (lead.value?.spec.layers ?? []).map((l) => ({ name: layerName(l), thickness: l.thickness })),
)
const cover = computed(() => {
  const on = lead.value?.spec.cover
  return on ? { name: shortName(on.materialId), thickness: on.thickness } : null
})
const problem = computed(() =>
  evaluation.value && !evaluation.value.ok ? problemText(evaluation.value.problem, units.value) : null,
)
</script>

<template>
  <section v-if="job && container" class="picture" :aria-label="common.inSection">
    <SwitchField
      v-if="lead && judged.length > 1"
      class="judge"
      :model-value="lead.id"
      :options="judged"
      :label="words.bedTheMixIsJudged"
      @update:model-value="garden.run({ type: 'job/judge', jobId: job.id, fillId: $event })"
    />
    <BenchOffers v-if="!hasParts && delayedJob && delayedJob.parts.length === 0" />
    <CutawayPicture
      v-if="fill?.ok"
      :container="container"
      :profile="answer?.profile"
      :shares="answer?.blend.shares"
      :layers="layers"
      :cover="cover"
      :cloth="lead?.spec.wall === 'fabric'"
      :units="units"
      :title="jobTitle(job)"
    />
    <ProblemBox v-if="problem && hasParts" :sentence="problem" />
    <DepthStrip
      v-if="delayedAnswer"
      :total-porosity="delayedAnswer.blend.totalPorosity"
      :water-at="delayedAnswer.blend.waterAt"
      :here="delayedAnswer.mixDepth"
      :units="units"
    />
    <BenchMoves />
  </section>
</template>

<style scoped>
.picture {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.picture > .cutaway {
  height: min(430px, calc(100vh - 330px));
  min-height: 260px;
}
.picture > .cutaway:has(details[open]) {
  height: auto;
}
.judge {
  flex-wrap: wrap;
}
@media (max-width: 760px) {
  .picture {
    display: contents;
  }
  .picture > .judge,
  .picture > .offers,
  .picture > .cutaway {
    order: -1;
  }
  .picture > .cutaway {
    height: 262px;
  }
}
</style>
