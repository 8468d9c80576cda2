<script setup lang="ts">
/** What was mixed, when, of what, and what was expected of it. */
import { atOnce } from '@/text/base/atOnce'
import { common } from '@/text/base/common'
import { recordsView as says } from '@/text/views/recordsView'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import TextField from '@/components/field/TextField.vue'
import PhotoStrip from '@/components/record/PhotoStrip.vue'
import RecordList from '@/components/record/RecordList.vue'
import RecordSheet from '@/components/record/RecordSheet.vue'
import { usePhotos } from '@/composables/season/usePhotos'
import { saveFile } from '@/composables/page/saveFile'
import { useNewJob } from '@/composables/job/useNewJob'
import { jobKey, jobOf } from '@/model/garden/garden'
import type { MixRecord } from '@/model/garden/schemas'
import { recordsCsv } from '@/model/sheets/recordSheet'
import { useGarden } from '@/stores/garden'
import { recordCrop } from '@/text/base/records'

const garden = useGarden()
const route = useRoute()
const router = useRouter()
const units = computed(() => garden.settings.units)
const search = ref('')

/** What a record is found by, put together once: it is never written into. */
const WORDS = new WeakMap<MixRecord, string>()
function wordsOf(r: MixRecord) {
  const known = WORDS.get(r)
  if (known !== undefined) return known
  const words = [r.jobName, r.note, recordCrop(r), ...r.measured.map((m) => m.materialName)]
  const text = words.join(' ').toLowerCase()
  WORDS.set(r, text)
  return text
}
const rows = computed(() => {
  const wanted = search.value.trim().toLowerCase()
  return garden.mixRecords.filter((r) => wordsOf(r).includes(wanted))
})
const chosen = computed(() => rows.value.find((r) => r.id === route.query.id) ?? rows.value[0])
const photos = usePhotos(garden, () => chosen.value?.jobId ?? '')
const choose = (id: string) => router.replace({ query: { id } })
const saveCsv = () =>
  saveFile(says.openBedRecordsCsv, recordsCsv(rows.value, recordCrop, garden.settings.units), 'text/csv')
const { again } = useNewJob()
/** The same job once more: its beds, crop, mix and plan, with nothing ticked. */
function makeAgain(jobId: string) {
  const stored = jobOf(garden.records, jobId)
  if (stored) void again(stored)
}
const openJob = (jobId: string) => router.push({ name: 'mix', params: { garden: garden.name, jobId } })
</script>

<template>
  <div class="page">
    <div class="row top no-print">
      <h1>{{ says.records }}</h1>
      <Button
        v-if="garden.mixRecords.length"
        :label="common.saveAsCsv"
        icon="pi pi-download"
        text
        @click="saveCsv"
      />
    </div>
    <p v-if="garden.mixRecords.length" class="soft">
      <RouterLink :to="{ name: 'seasons', params: { garden: garden.name } }">{{
        says.compareSeasonsAndTreatments
      }}</RouterLink>
      ·
      <RouterLink :to="{ name: 'predictions', params: { garden: garden.name } }">{{
        common.howCloseWereThePredictions
      }}</RouterLink>
    </p>
    <p v-if="garden.mixRecords.length === 0" class="soft empty">
      {{ says.nothingRecordedYetWhenA }}
    </p>
    <div v-else class="two">
      <section class="no-print" :aria-label="atOnce.allRecords">
        <TextField
          v-model="search"
          class="search"
          :label="says.searchRecords"
          :placeholder="says.searchRecords"
          hide-label
        />
        <RecordList :records="rows" :chosen="chosen?.id ?? null" :units="units" @choose="choose" />
        <p v-if="rows.length === 0" class="soft">{{ says.noRecordAnswersTo(search) }}</p>
      </section>
      <RecordSheet
        v-if="chosen"
        :record="chosen"
        :units="units"
        :has-job="garden.records.has(jobKey(chosen.jobId))"
        @edit="garden.run({ type: 'record/edit', recordId: chosen.id, ...$event })"
        @open="openJob(chosen.jobId)"
        @again="makeAgain(chosen.jobId)"
        @remove="garden.run({ type: 'record/remove', recordId: chosen.id })"
      >
        <PhotoStrip
          :photos="photos.photos.value"
          :room="photos.room.value"
          :trouble="photos.trouble.value"
          @add="photos.add"
          @remove="photos.remove"
        />
      </RecordSheet>
    </div>
  </div>
</template>

<style scoped>
.top {
  justify-content: space-between;
}
.empty {
  max-width: 44rem;
}
.two {
  display: grid;
  grid-template-columns: minmax(300px, 420px) minmax(0, 1fr);
  gap: 28px;
  align-items: start;
  margin-top: 10px;
}
.search {
  margin-bottom: 8px;
}
@media (max-width: 860px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
