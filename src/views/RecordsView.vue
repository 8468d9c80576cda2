<script setup lang="ts">
/** What was mixed, when, of what, and what was expected of it. */
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import TextField from '@/components/field/TextField.vue'
import PhotoStrip from '@/components/record/PhotoStrip.vue'
import RecordList from '@/components/record/RecordList.vue'
import RecordSheet from '@/components/record/RecordSheet.vue'
import { usePhotos } from '@/composables/season/usePhotos'
import { saveFile } from '@/composables/page/saveFile'
import { jobKey } from '@/model/garden/garden'
import type { MixRecord } from '@/model/garden/schemas'
import { recordsCsv } from '@/model/sheets/recordSheet'
import { useGarden } from '@/stores/garden'
import { recordCrop } from '@/text/records'

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
  saveFile('open-bed records.csv', recordsCsv(rows.value, recordCrop, garden.settings.units), 'text/csv')
const openJob = (jobId: string) => router.push({ name: 'mix', params: { garden: garden.name, jobId } })
</script>

<template>
  <div class="page">
    <div class="row top">
      <h1>Records</h1>
      <Button
        v-if="garden.mixRecords.length"
        label="Save as CSV"
        icon="pi pi-download"
        text
        @click="saveCsv"
      />
    </div>
    <p v-if="garden.mixRecords.length" class="soft">
      <RouterLink :to="{ name: 'seasons', params: { garden: garden.name } }"
        >Compare seasons and treatments</RouterLink
      >
      ·
      <RouterLink :to="{ name: 'foretold', params: { garden: garden.name } }"
        >How well was it foretold?</RouterLink
      >
    </p>
    <p v-if="garden.mixRecords.length === 0" class="soft empty">
      Nothing recorded yet. When a batch is mixed, its recipe, date and note come here, with the air, water
      and pH that were expected, so that next year you know why one tub did better than another.
    </p>
    <div v-else class="two">
      <section aria-label="All records">
        <TextField
          v-model="search"
          class="search"
          label="Search records"
          placeholder="Search records"
          hide-label
        />
        <RecordList :records="rows" :chosen="chosen?.id ?? null" :units="units" @choose="choose" />
        <p v-if="rows.length === 0" class="soft">No record answers to “{{ search }}”.</p>
      </section>
      <RecordSheet
        v-if="chosen"
        :record="chosen"
        :units="units"
        :has-job="garden.records.has(jobKey(chosen.jobId))"
        @edit="garden.run({ type: 'record/edit', recordId: chosen.id, ...$event })"
        @open="openJob(chosen.jobId)"
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
