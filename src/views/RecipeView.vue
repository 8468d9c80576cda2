<script setup lang="ts">
/** A shared recipe: by link or by file, checked before anything is made of it. */
import { recipeView as words } from '@/text/views/recipeView'
import { isOver } from '@/stations/stations'
import { versionOf } from '@/model/mix/versions'
import Button from 'primevue/button'
import { computed, ref, watchEffect } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import { ownDressingKey, ownMaterialKey, recordOf, specOf } from '@/model/garden/garden'
import { startingBed, startingJobBed, startingJob } from '@/model/garden/starting'
import { readFragment, readShared, type ShareOutcome } from '@/model/mix/share'
import { useGarden } from '@/stores/garden'
import { jobTitle } from '@/text/base/titles'
import { dosesText, partsText, shareProblemText } from '@/text/mix/recipes'

const garden = useGarden()
const route = useRoute()
const router = useRouter()
const units = computed(() => garden.settings.units)

const fromFile = ref<ShareOutcome | null>(null)
const outcome = computed(() => fromFile.value ?? readFragment(route.hash))
const shared = computed(() => (outcome.value?.ok ? outcome.value.shared : null))
const trouble = computed(() =>
  outcome.value && !outcome.value.ok ? shareProblemText(outcome.value.problem) : null,
)
const unknown = computed(() => (outcome.value?.ok ? outcome.value.unknown : []))
const nameOfOwn = (id: string) => shared.value?.own.materials.find((m) => m.id === id)?.name
const jobs = computed(() => garden.jobs.filter((j) => !isOver(j) && j.recordId === null))

/** A label of one's own: its record is on this device. */
const record = computed(() => recordOf(garden.records, String(route.query.record ?? '')))
watchEffect(() => {
  if (!record.value) return
  const { id } = record.value
  void router.replace({ name: 'records', params: { garden: garden.name }, query: { id } })
})

const picker = ref<HTMLInputElement | null>(null)
async function read(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file) fromFile.value = readShared(await file.text())
  input.value = ''
}

/** What the giver added of their own comes along, where it is not on this shelf yet. */
function takeOwn() {
  const own = shared.value?.own
  for (const material of own?.materials ?? [])
    if (!garden.records.has(ownMaterialKey(material.id))) garden.run({ type: 'ownMaterial/set', material })
  for (const dressing of own?.dressings ?? [])
    if (!garden.records.has(ownDressingKey(dressing.id))) garden.run({ type: 'ownDressing/set', dressing })
}
const ownNames = computed(() =>
  [...(shared.value?.own.materials ?? []), ...(shared.value?.own.dressings ?? [])].map((o) => o.name),
)

async function begin() {
  if (!shared.value) return
  takeOwn()
  const at = new Date().toISOString()
  const bed = startingBed(crypto.randomUUID(), at, 'roundPot', garden.settings.units)
  const fill = startingJobBed(crypto.randomUUID(), specOf(bed), bed.id)
  const job = {
    ...startingJob(crypto.randomUUID(), at, [fill], garden.settings.units),
    ...shared.value.recipe,
    name: shared.value.name,
  }
  garden.run({ type: 'job/create', job, beds: [bed] })
  await router.push({ name: 'mix', params: { garden: garden.name, jobId: job.id } })
}
/** Into the versions of a job in hand: nothing on its bench is touched. */
async function keepIn(jobId: string) {
  const job = garden.jobs.find((j) => j.id === jobId)
  if (!job || !shared.value) return
  takeOwn()
  const version = {
    ...versionOf(job, crypto.randomUUID(), new Date().toISOString(), shared.value.name || words.fromSomebody),
    ...shared.value.recipe,
    note: shared.value.note,
    from: null,
  }
  garden.run({ type: 'version/keep', jobId, version, beside: true })
  await router.push({ name: 'compare', params: { garden: garden.name, jobId } })
}
</script>

<template>
  <div class="page narrow">
    <h1>{{ words.aRecipeFromSomebody }}</h1>
    <ProblemBox v-if="trouble" :sentence="trouble" />
    <p v-if="!outcome" class="soft">
      {{ words.openALinkThatCarries }}
    </p>
    <article v-if="shared" class="card" :aria-label="shared.name || words.recipe">
      <h2>{{ shared.name || 'A mix' }}</h2>
      <p class="parts">{{ partsText(shared.recipe.parts, shared.recipe.mixes, nameOfOwn) }}</p>
      <p v-if="dosesText(shared.recipe, units)">{{ dosesText(shared.recipe, units) }}</p>
      <p v-if="shared.note" class="note">{{ shared.note }}</p>
      <p v-if="ownNames.length">
        {{ words.withWhatTheGiverAdded(ownNames.join(', ')) }}
      </p>
      <p v-if="unknown.length" class="wrong">
        {{ words.notInTheMaterialTables(unknown.join(', ')) }}
      </p>
      <div class="row">
        <Button :label="words.beginAJobWithIt" icon="pi pi-plus" @click="begin" />
      </div>
      <template v-if="jobs.length">
        <h3>{{ words.orKeepItAmongThe }}</h3>
        <ul class="plain">
          <li v-for="j in jobs" :key="j.id">
            <Button :label="jobTitle(j)" text icon="pi pi-bookmark" @click="keepIn(j.id)" />
          </li>
        </ul>
      </template>
    </article>
    <div class="row">
      <Button :label="words.openARecipeFile" icon="pi pi-upload" outlined @click="picker?.click()" />
      <input
        ref="picker"
        type="file"
        accept=".json,application/json"
        class="visually-hidden"
        :aria-label="words.recipeFile"
        tabindex="-1"
        @change="read"
      />
    </div>
  </div>
</template>

<style scoped>
.narrow {
  max-width: 720px;
}
.parts {
  font-size: 1.15rem;
  font-weight: 600;
}
.note {
  white-space: pre-wrap;
  border-left: 3px solid var(--rule);
  padding-left: 12px;
}
.wrong {
  color: var(--alarm);
}
.card {
  margin-bottom: 18px;
}
</style>
