<script setup lang="ts">
/** After the season: what the old mix has become, whether it may be used again, and what freshens it. */
import { common } from '@/text/base/common'
import { nextView as says } from '@/text/views/nextView'
import Button from 'primevue/button'
import { computed } from 'vue'
import CheckField from '@/components/field/CheckField.vue'
import ChoiceField from '@/components/field/ChoiceField.vue'
import NextPicture from '@/components/season/NextPicture.vue'
import { judgedBed, recordOf } from '@/model/garden/garden'
import FoundTable from '@/components/find/FoundTable.vue'
import FigureTable from '@/components/frame/FigureTable.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import { useJob } from '@/composables/job/useJob'
import { useNextYear } from '@/composables/season/useNextYear'
import { useStations } from '@/composables/job/useStations'
import { CROPS } from '@/core/data'
import { cropName } from '@/core/data/cropTable'
import type { Candidate } from '@/core/finder'
import { oldMixRows, REUSE_QUESTIONS, REUSE_TEXTS } from '@/text/season/nextYear'
import { problemText } from '@/text/base/problems.en'
import { cropFindable } from '@/text/shelf/names'
import { lengthText } from '@/text/base/units'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { job, units } = inHand
const { to, go } = useStations(() => jobId)
const next = useNextYear(inHand)
const { answers, asked, cropId, old, verdict, isKept, working, trouble, sunk, options } = next
const record = computed(() =>
  job.value?.recordId ? recordOf(inHand.garden.records, job.value.recordId) : undefined,
)
const crops = CROPS.map((c) => ({ value: c.id, label: c.name, words: cropFindable(c).words }))
const rows = computed(() => (old.value?.ok ? oldMixRows(old.value.value, units.value) : []))
async function begin(candidate: Candidate) {
  const id = next.begin(candidate)
  if (id) await go('mix', id)
}
async function topUp() {
  const id = next.topUp()
  if (id) await go('buy', id)
}
</script>

<template>
  <StationFrame v-if="job" columns="minmax(280px, 1fr) minmax(0, 1.4fr)">
    <NextPicture
      v-if="old?.ok && record"
      class="found"
      :spec="judgedBed(job).spec"
      :old="old.value"
      :p-h-was="record.predicted.pH"
      :units="units"
    />
    <section class="stack" aria-labelledby="next-title">
      <h2 id="next-title">{{ says.nextYear }}</h2>
      <p v-if="!job.recordId">
        {{ says.whatTheOldMixHas }}
        <RouterLink :to="to('record')">{{ says.writeTheMixDown }}</RouterLink> {{ common.first }}
      </p>
      <p v-else-if="old && !old.ok">{{ problemText(old.problem, units).why }}</p>
      <template v-else>
        <h3>{{ says.theMixAsItIs }}</h3>
        <FigureTable :caption="says.theMixAsItIs" :rows="rows" />
      </template>
      <template v-if="sunk !== null">
        <h3>{{ says.topItUp }}</h3>
        <p>
          {{ says.itHasSunkByA(lengthText(sunk, units)) }}
        </p>
        <Button :label="says.makeTheTopUp" outlined @click="topUp" />
      </template>
    </section>
    <section v-if="old?.ok" class="stack" aria-labelledby="reuse-title">
      <h2 id="reuse-title">{{ says.useItAgain }}</h2>
      <fieldset>
        <legend>{{ says.tickWhatIsSo }}</legend>
        <CheckField v-for="q in REUSE_QUESTIONS" :key="q.id" v-model="answers[q.id]" :label="q.text" />
      </fieldset>
      <Button v-if="!asked" :label="says.thatIsAll" outlined @click="asked = true" />
      <div aria-live="polite">
        <p v-if="verdict" :class="{ never: verdict === 'never' }">{{ REUSE_TEXTS[verdict] }}</p>
      </div>
      <template v-if="verdict && verdict !== 'never'">
        <p v-if="isKept" class="soft">
          {{ says.itIsOnTheShelf }}
        </p>
        <Button v-else :label="says.keepItOnTheShelf" icon="pi pi-box" outlined @click="next.keep" />
        <h3>{{ says.freshenIt }}</h3>
        <ChoiceField
          v-model="cropId"
          :label="says.forWhichCrop"
          :placeholder="says.whatMostVegetablesLike"
          :search="common.searchCrops"
          :none="says.noCropIsCalledThat"
          clearable
          :options="crops"
        />
        <Button
          :label="working ? says.workingItOut : says.workOutWhatToAdd"
          :disabled="working"
          @click="next.freshen"
        />
        <p v-if="trouble" role="alert">{{ trouble }}</p>
      </template>
    </section>
    <section v-if="options.length" class="stack found" aria-labelledby="found-title">
      <h2 id="found-title">{{ says.whatToAdd }}</h2>
      <FoundTable :rows="options" :units="units" :crop-name="cropName(cropId) || null" @open="begin" />
      <p class="soft">
        {{ says.whatYouChooseBeginsNext }}
      </p>
    </section>
  </StationFrame>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0 0 10px;
}
.never {
  border-left: 4px solid var(--alarm);
  padding-left: 10px;
}
section :deep(td.num) {
  white-space: normal;
}
.found {
  grid-column: 1 / -1;
  overflow-x: auto;
}
</style>
