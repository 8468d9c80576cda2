<script setup lang="ts">
/** Done: when, how it went, kept with what was expected of it. */
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import ProblemBox from '@/components/ProblemBox.vue'
import { useJob } from '@/composables/useJob'
import { batchCards } from '@/model/make/batchCard'
import { recordOf } from '@/model/garden/garden'
import { recordFrom } from '@/model/make/recordFrom'
import { dayText, isoDay } from '@/text/dates'
import { jobTitle } from '@/text/labels'
import { problemText } from '@/text/problems.en'
import { percentText, pHText, volumeText } from '@/text/units'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, job, units, quantities } = useJob(() => jobId)
const router = useRouter()

const go = (name: string) => router.push({ name, params: { garden: garden.name, jobId } })
const record = computed(() =>
  job.value?.recordId ? recordOf(garden.records, job.value.recordId) : undefined,
)
const q = computed(() => (quantities.value?.ok ? quantities.value.value : null))
const problem = computed(() =>
  quantities.value && !quantities.value.ok ? problemText(quantities.value.problem, units.value) : null,
)
const open = computed(() => {
  if (!job.value || !q.value) return 0
  return batchCards(job.value, q.value).reduce((s, c) => s + c.lines.length - c.done, 0)
})
const madeOn = ref(isoDay(new Date()))
const dateProblem = computed(() =>
  /^\d{4}-\d{2}-\d{2}$/.test(madeOn.value) ? null : 'Choose the day it was mixed.',
)

function finish() {
  if (!job.value || !q.value || dateProblem.value) return
  const made = recordFrom(
    crypto.randomUUID(),
    job.value,
    q.value,
    madeOn.value,
    job.value.note,
    jobTitle(job.value),
  )
  garden.run({ type: 'job/finish', jobId, record: made })
}
</script>

<template>
  <div v-if="job" class="page narrow">
    <template v-if="record">
      <h2>Recorded</h2>
      <p class="big">
        <strong>{{ record.jobName }}</strong>, mixed on {{ dayText(record.madeOn) }}:
        {{ volumeText(record.blendLitres, units) }} in {{ record.batchCount }}
        {{ record.batchCount === 1 ? 'batch' : 'batches' }}.
      </p>
      <p>
        Expected: {{ percentText(record.predicted.airFilledPorosity) }} air after draining, pH
        {{ pHText(record.predicted.pH) }} in six weeks. Test the pH after a fortnight and again at six weeks.
      </p>
      <p v-if="record.note" class="note">{{ record.note }}</p>
      <div class="row">
        <Button label="On to filling" icon="pi pi-arrow-right" icon-pos="right" @click="go('filling')" />
        <Button
          label="See it in Records"
          outlined
          @click="router.push({ name: 'records', params: { garden: garden.name }, query: { id: record.id } })"
        />
      </div>
    </template>
    <template v-else>
      <h2>Write it down</h2>
      <p class="soft">
        Kept with the recipe as measured and what it should do, to hold against what you find.
      </p>
      <ProblemBox v-if="problem" :sentence="problem" />
      <form v-else class="form" @submit.prevent="finish">
        <p v-if="open > 0" class="open">
          {{ open }} {{ open === 1 ? 'measure is' : 'measures are' }} not ticked. You can record it all the
          same.
        </p>
        <div>
          <label for="made-on">Mixed on</label>
          <InputText
            id="made-on"
            v-model="madeOn"
            type="date"
            :invalid="dateProblem !== null"
            aria-describedby="made-on-said"
          />
          <p id="made-on-said" class="said">{{ dateProblem ?? '' }}</p>
        </div>
        <div>
          <label for="note">Note</label>
          <Textarea
            id="note"
            :model-value="job.note"
            rows="4"
            auto-resize
            maxlength="10000"
            placeholder="How it felt, what was swapped, the weather"
            @update:model-value="garden.run({ type: 'job/note', jobId, note: $event ?? '' })"
          />
        </div>
        <Button
          type="submit"
          label="Record this mix"
          icon="pi pi-check"
          :disabled="!q || dateProblem !== null"
        />
      </form>
    </template>
  </div>
</template>

<style scoped>
.narrow {
  max-width: 680px;
}
.form {
  display: flex;
  flex-direction: column;
  gap: 14px;
}
.form label {
  display: block;
  font-weight: 600;
}
.form :deep(textarea) {
  width: 100%;
}
.form .p-button {
  align-self: flex-start;
}
.said {
  color: var(--alarm);
  margin: 0;
}
.open {
  border-left: 4px solid var(--straw);
  padding-left: 10px;
}
.note {
  white-space: pre-wrap;
  border-left: 3px solid var(--rule);
  padding-left: 12px;
}
.big {
  font-size: 1.1rem;
}
</style>
