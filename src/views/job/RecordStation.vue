<script setup lang="ts">
/** Done: when, how it went, kept with what was expected of it. */
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import NoteField from '@/components/field/NoteField.vue'
import TextField from '@/components/field/TextField.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import { useJob } from '@/composables/useJob'
import { useQuantities } from '@/composables/useQuantities'
import { useStations } from '@/composables/useStations'
import { recordOf } from '@/model/garden/garden'
import { LONGEST_NOTE } from '@/model/garden/limits'
import { batchCards } from '@/model/make/batchCard'
import { recordFrom } from '@/model/make/recordFrom'
import { dayProblem, isoDay } from '@/text/dates'
import { jobTitle } from '@/text/labels'
import { expectedText, recordedText } from '@/text/records'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { garden, job, units } = inHand
const { q, problem } = useQuantities(inHand)
const { go } = useStations(() => jobId)
const router = useRouter()

const record = computed(() =>
  job.value?.recordId ? recordOf(garden.records, job.value.recordId) : undefined,
)
const open = computed(() =>
  job.value && q.value
    ? batchCards(job.value, q.value).reduce((sum, c) => sum + c.lines.length - c.done, 0)
    : 0,
)
const madeOn = ref(isoDay(new Date()))
const dateProblem = computed(() => dayProblem(madeOn.value, 'mixed'))

function finish() {
  const j = job.value
  if (!j || !q.value || dateProblem.value) return
  const made = recordFrom(crypto.randomUUID(), j, q.value, madeOn.value, j.note, jobTitle(j))
  garden.run({ type: 'job/finish', jobId, record: made })
}
const seeRecord = (id: string) =>
  router.push({ name: 'records', params: { garden: garden.name }, query: { id } })
</script>

<template>
  <div v-if="job" class="page narrow">
    <template v-if="record">
      <h2>Recorded</h2>
      <p class="big">
        <strong>{{ record.jobName }}</strong>, {{ recordedText(record, units) }}
      </p>
      <p>{{ expectedText(record) }}</p>
      <p v-if="record.note" class="note">{{ record.note }}</p>
      <div class="row">
        <Button label="On to filling" icon="pi pi-arrow-right" icon-pos="right" @click="go('fill')" />
        <Button label="See it in Records" outlined @click="seeRecord(record.id)" />
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
        <TextField v-model="madeOn" label="Mixed on" type="date" :problem="dateProblem" />
        <NoteField
          label="Note"
          :model-value="job.note"
          :rows="4"
          :most="LONGEST_NOTE"
          placeholder="How it felt, what was swapped, the weather"
          @update:model-value="garden.run({ type: 'job/note', jobId, note: $event })"
        />
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
.form .p-button {
  align-self: flex-start;
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
