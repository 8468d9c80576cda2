<script setup lang="ts">
/** Done: when, how it went, kept with what was expected of it. */
import { common } from '@/text/base/common'
import { recordStation as words } from '@/text/views/recordStation'
import Button from 'primevue/button'
import { computed, ref, toRaw } from 'vue'
import { useRouter } from 'vue-router'
import CheckField from '@/components/field/CheckField.vue'
import NoteField from '@/components/field/NoteField.vue'
import TextField from '@/components/field/TextField.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import LeftList from '@/components/record/LeftList.vue'
import PhotoStrip from '@/components/record/PhotoStrip.vue'
import { useJob } from '@/composables/job/useJob'
import { useMade, useMaking } from '@/composables/make/useMaking'
import { usePhotos } from '@/composables/season/usePhotos'
import { useQuantities } from '@/composables/make/useQuantities'
import { useShopping } from '@/composables/make/useShopping'
import { useVerdict } from '@/composables/job/useVerdict'
import { useStations } from '@/composables/job/useStations'
import { recordOf } from '@/model/garden/garden'
import { LONGEST_NAME, LONGEST_NOTE } from '@/model/garden/limits'
import { recordFrom } from '@/model/make/recordFrom'
import { isShort, leftOver, shelfWith, type Left } from '@/model/make/settle'
import { dayProblem, isoDay } from '@/text/base/dates'
import { jobTitle } from '@/text/base/titles'
import { otherwiseTexts } from '@/text/make/making'
import { aboutName } from '@/text/make/preparing'
import { leftText } from '@/text/make/settle'
import { expectedText, recordedText } from '@/text/base/records'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { garden, job, units } = inHand
const { problem } = useQuantities(inHand)
const { go } = useStations(() => jobId)
const router = useRouter()

const verdict = useVerdict(inHand)
const record = computed(() =>
  job.value?.recordId ? recordOf(garden.records, job.value.recordId) : undefined,
)
/** The day of the press, unless another was typed: a page may be open past midnight. */
const typedDay = ref<string | null>(null)
const madeOn = computed({
  get: () => typedDay.value ?? isoDay(new Date()),
  set: (day) => (typedDay.value = day),
})
const dateProblem = computed(() => dayProblem(madeOn.value, 'mixed'))

const making = useMaking(inHand)
/** Said by a press of its own; else what was made is what was ticked. */
const saidAll = ref(false)
const { made, asMade, makingMade } = useMade(inHand, making, saidAll)
const batches = computed(() => made.value?.batches ?? 0)
const ofAll = computed(() => made.value?.of ?? 0)
const { list, doses, money } = useShopping(asMade, { alone: true })
const photos = usePhotos(garden, () => jobId)
/** Take what went in off the shelf, and put on it what was bought over. */
const settles = ref(true)
const answers = ref<Record<string, 'none' | 'bought'>>({})
const left = computed(() => leftOver(garden.records, list.value, doses.value, makingMade.used.value))
const leftRows = computed(() => left.value.map((row) => ({ id: row.id, ...leftText(row, units.value) })))
/** What is still to be said, in names; nothing where all is. */
const unanswered = computed(() =>
  settles.value
    ? left.value
        .filter((row) => isShort(row) && !answers.value[row.id])
        .map((row) => aboutName(row.id))
        .join(', ')
    : '',
)
const stockOf = (row: Left) =>
  answers.value[row.id] === 'bought' ? (row.leftIfBought ?? 0) : Math.max(0, row.left)
const lots = computed(() =>
  (job.value?.bought ?? []).filter((b) => b.amount > 0).map((b) => ({ ...b, name: aboutName(b.id) })),
)
const setLot = (id: string, lot: string) =>
  garden.run({
    type: 'job/marks',
    jobId,
    change: { bought: toRaw(job.value!.bought).map((b) => (b.id === id ? { ...b, lot } : b)) },
    what: 'lot',
  })

function finish() {
  const now = made.value
  if (!now || now.batches === 0 || dateProblem.value || unanswered.value) return
  const j = now.job
  const record = recordFrom(j, now.quantities, {
    id: crypto.randomUUID(),
    madeOn: typedDay.value ?? isoDay(new Date()),
    note: j.note,
    jobName: jobTitle(j),
    made: makingMade.made.value,
    remade: now.remade,
    otherwise: otherwiseTexts(j, now.quantities.plan, units.value),
    money: money.value,
    verdict: verdict.value,
  })
  const shelf = settles.value
    ? shelfWith(garden.records, new Map(left.value.map((row) => [row.id, stockOf(row)])))
    : undefined
  garden.run({ type: 'job/finish', jobId, record, shelf })
}
const seeRecord = (id: string) =>
  router.push({ name: 'records', params: { garden: garden.name }, query: { id } })
</script>

<template>
  <div v-if="job" class="page narrow">
    <template v-if="record">
      <h2 class="paper-title">{{ words.recorded }}</h2>
      <p class="big"><strong>{{ record.jobName }}</strong>, {{ recordedText(record, units) }}</p>
      <p>{{ expectedText(record) }}</p>
      <p v-if="record.note" class="note">{{ record.note }}</p>
      <div class="row">
        <Button :label="words.onToFilling" icon="pi pi-arrow-right" icon-pos="right" @click="go('fill')" />
        <Button :label="words.seeItInRecords" outlined @click="seeRecord(record.id)" />
      </div>
    </template>
    <template v-else>
      <h2>{{ common.writeItDown }}</h2>
      <p class="soft">
        {{ words.keptWithTheRecipeAs }}
      </p>
      <ProblemBox v-if="problem" :sentence="problem" />
      <form v-else class="form" @submit.prevent="finish">
        <p v-if="batches < ofAll" class="open">
          {{ batches === 0 ? words.noBatchIsTicked : words.ticked(batches, ofAll) }}
        </p>
        <TextField v-model="madeOn" :label="common.mixedOn" type="date" :problem="dateProblem" />
        <NoteField
          :label="common.note"
          :model-value="job.note"
          :rows="4"
          :most="LONGEST_NOTE"
          :placeholder="words.howItFeltWhatWas"
          @update:model-value="garden.run({ type: 'job/note', jobId, note: $event })"
        />
        <TextField
          v-for="b in lots"
          :key="b.id"
          :label="`Lot of ${b.name}`"
          :most="LONGEST_NAME"
          :hint="words.asPrintedOnThePack"
          :model-value="b.lot"
          @update:model-value="setLot(b.id, $event)"
        />
        <template v-if="batches > 0 && leftRows.length">
          <CheckField v-model="settles" :label="words.takeWhatWentInOff" />
          <LeftList
            v-if="settles"
            :rows="leftRows"
            :answers="answers"
            @answer="(id, answer) => (answers = { ...answers, [id]: answer })"
          />
        </template>
        <PhotoStrip
          :photos="photos.photos.value"
          :room="photos.room.value"
          :trouble="photos.trouble.value"
          @add="photos.add"
          @remove="photos.remove"
        />
        <p v-if="unanswered" class="open" role="status">{{ words.firstSayWhatIsLeft(unanswered) }}</p>
        <div class="row">
          <Button
            v-if="batches > 0"
            type="submit"
            :label="
              batches < ofAll
                ? words.recordSome(batches, ofAll)
                : saidAll && ofAll > 1
                  ? words.recordAll(ofAll)
                  : words.recordThisMix
            "
            icon="pi pi-check"
            :disabled="dateProblem !== null || unanswered !== ''"
          />
          <Button
            v-if="batches < ofAll"
            :label="ofAll === 1 ? words.iMadeIt : words.iMadeAll(ofAll)"
            icon="pi pi-check-square"
            outlined
            @click="saidAll = true"
          />
        </div>
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
