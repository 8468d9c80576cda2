<script setup lang="ts">
/** Every container and bed: listed or stood in a yard to scale, one at a time drawn and described. */
import { onKeyStroke } from '@vueuse/core'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import BedDrawing from '@/components/bed/BedDrawing.vue'
import BedForm from '@/components/bed/BedForm.vue'
import BedList from '@/components/bed/BedList.vue'
import HowMuch from '@/components/bed/HowMuch.vue'
import LoadCaution from '@/components/bed/LoadCaution.vue'
import SheetDialog from '@/components/bed/SheetDialog.vue'
import YardPicture from '@/components/bed/YardPicture.vue'
import ProblemBox from '@/components/ProblemBox.vue'
import { saveFile } from '@/composables/saveFile'
import { useBedProblems } from '@/composables/useBedProblems'
import { bedsToCsv } from '@/model/sheets/bedSheet'
import {
  bedOf,
  bedsOf,
  specOf,
  STARTING_PLAN,
  startingBed,
  startingJobBed,
  startingJob,
} from '@/model/garden/garden'
import type { Bed, BedSpec } from '@/model/garden/schemas'
import { useGarden } from '@/stores/garden'
import { dayText } from '@/text/dates'
import { bedTitle, jobTitle, VESSEL_NAMES } from '@/text/labels'
import { noteText } from '@/text/problems.en'

const garden = useGarden()
const route = useRoute()
const router = useRouter()
const units = computed(() => garden.settings.units)
const search = ref('')
const searchBox = ref<InstanceType<typeof InputText> | null>(null)
const look = ref<'list' | 'yard'>('list')
const looks = [
  { value: 'list', label: 'List' },
  { value: 'yard', label: 'Yard' },
]
const pasting = ref(false)

const beds = computed(() => bedsOf(garden.records))
const wanted = computed(() => {
  const words = search.value.trim().toLowerCase()
  return words === ''
    ? beds.value
    : beds.value.filter((b) =>
        `${bedTitle(b)} ${VESSEL_NAMES[b.vessel.kind].one}`.toLowerCase().includes(words),
      )
})
const chosenId = computed(() => (typeof route.query.id === 'string' ? route.query.id : null))
const chosen = computed<Bed | null>(
  () => (chosenId.value && bedOf(garden.records, chosenId.value)) || (wanted.value[0] ?? null),
)
const choose = (id: string) => router.replace({ query: { id } })

const { plan, problem, beside } = useBedProblems(chosen, units)
const notes = computed(() => (plan.value?.ok ? plan.value.notes.map((n) => noteText(n, units.value)) : []))
/** Jobs that fill the chosen bed, newest first. */
const history = computed(() =>
  garden.jobs.filter((j) => j.fills.some((f) => f.bedId !== null && f.bedId === chosen.value?.id)),
)
const aloft = computed(() => chosen.value?.standing === 'balcony' || chosen.value?.standing === 'roof')

function add(list: Bed[]) {
  garden.run({ type: 'beds/add', beds: list })
  search.value = ''
  void choose(list[0]!.id)
}
const addOne = () =>
  add([startingBed(crypto.randomUUID(), new Date().toISOString(), chosen.value?.vessel.kind ?? 'roundPot')])
const copy = (bed: Bed) =>
  add([
    { ...bed, id: crypto.randomUUID(), createdAt: new Date().toISOString(), name: `${bedTitle(bed)}, copy` },
  ])
const change = (part: Partial<BedSpec>) =>
  chosen.value && garden.run({ type: 'bed/change', bedId: chosen.value.id, change: part })
function remove(bed: Bed) {
  const at = wanted.value.findIndex((b) => b.id === bed.id)
  const next = wanted.value[at + 1] ?? wanted.value[at - 1]
  garden.run({ type: 'bed/remove', bedId: bed.id })
  void router.replace({ query: next ? { id: next.id } : {} })
}
async function fill(bed: Bed) {
  const at = new Date().toISOString()
  const job = startingJob(crypto.randomUUID(), at, [startingJobBed(crypto.randomUUID(), specOf(bed), bed.id)])
  garden.run({ type: 'job/create', job })
  await router.push({ name: 'fill', params: { garden: garden.name, jobId: job.id } })
}
const saveCsv = () => saveFile('open-bed beds.csv', bedsToCsv(wanted.value, units.value), 'text/csv')

onKeyStroke('/', (event) => {
  if (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(event.target.tagName)) return
  event.preventDefault()
  ;(searchBox.value as unknown as { $el: HTMLElement } | null)?.$el.focus()
})
</script>

<template>
  <div class="page wide">
    <div class="row top">
      <h1>Beds</h1>
      <InputText
        ref="searchBox"
        v-model="search"
        class="search"
        placeholder="Search beds ( / )"
        aria-label="Search beds"
        autocomplete="off"
      />
      <SelectButton
        v-model="look"
        :options="looks"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        aria-label="How to look at them"
      />
      <span class="tools">
        <Button label="New bed" icon="pi pi-plus" @click="addOne" />
        <Button label="Many at once" icon="pi pi-table" outlined @click="pasting = true" />
        <Button v-if="beds.length" label="Save as CSV" icon="pi pi-download" text @click="saveCsv" />
      </span>
    </div>

    <p v-if="beds.length === 0" class="soft empty">
      No beds yet. Describe the pots, bags, troughs and beds you own once: their inside size, where water
      leaves, what they stand on. Each then knows how much mix it takes, and a job fills as many of them as
      you like.
    </p>
    <p v-else-if="wanted.length === 0" class="soft empty">No bed answers to “{{ search }}”.</p>

    <YardPicture
      v-if="look === 'yard' && wanted.length"
      :beds="wanted"
      :chosen="chosen?.id ?? null"
      :bucket="STARTING_PLAN.bucket"
      :units="units"
      @choose="choose"
    />

    <div v-if="chosen" class="two" :class="{ lone: look === 'yard' }">
      <BedList v-if="look === 'list'" :beds="wanted" :chosen="chosen.id" :units="units" @choose="choose" />
      <section class="picture" aria-label="In section">
        <BedDrawing v-if="plan?.ok" :spec="chosen" :units="units" @change="change" />
        <ProblemBox v-else-if="problem" :sentence="problem">
          <p class="soft">The drawing waits until that is mended; everything else is kept as you typed it.</p>
        </ProblemBox>
        <div class="under">
          <HowMuch
            v-if="plan?.ok"
            :parts="[{ name: bedTitle(chosen), count: Math.max(1, chosen.vessel.count), plan: plan.value }]"
            :units="units"
            :settling="STARTING_PLAN.settling"
            :bucket="STARTING_PLAN.bucket"
          />
          <div class="acts">
            <Button label="Fill it" icon="pi pi-arrow-right" icon-pos="right" @click="fill(chosen)" />
            <Button label="Copy" icon="pi pi-copy" text @click="copy(chosen)" />
            <Button label="Remove" icon="pi pi-trash" text severity="danger" @click="remove(chosen)" />
            <p v-for="note in notes" :key="note" class="note">{{ note }}</p>
            <template v-if="history.length">
              <h3>What it was filled with</h3>
              <ul class="plain">
                <li v-for="job in history" :key="job.id">
                  <RouterLink :to="{ name: 'job', params: { garden: garden.name, jobId: job.id } }">{{
                    jobTitle(job)
                  }}</RouterLink>
                  <small>{{ dayText(job.createdAt.slice(0, 10)) }}</small>
                </li>
              </ul>
            </template>
            <LoadCaution
              v-if="aloft"
              heading="It stands on a balcony or roof"
              :plan="plan?.ok ? plan.value : null"
              :count="Math.max(1, chosen.vessel.count)"
              :units="units"
            />
          </div>
        </div>
      </section>
      <section class="form" aria-label="The bed">
        <BedForm :key="chosen.id" :spec="chosen" :units="units" :beside="beside" @change="change" />
      </section>
    </div>
    <SheetDialog v-model:visible="pasting" :units="units" @add="add" />
  </div>
</template>

<style scoped>
.wide {
  max-width: 1400px;
}
.top {
  gap: 12px;
  flex-wrap: wrap;
  margin-bottom: 10px;
}
.search {
  flex: 1;
  min-width: 180px;
  max-width: 320px;
}
.tools {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  margin-left: auto;
}
.two {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr) minmax(340px, 420px);
  gap: 24px;
  align-items: start;
}
.two.lone {
  grid-template-columns: minmax(0, 1fr) minmax(340px, 420px);
}
.picture > .drawing {
  height: 400px;
}
.under {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 20px;
  margin-top: 10px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-content: flex-start;
}
.acts > ul,
.acts > p,
.acts > h3,
.acts > .load {
  flex-basis: 100%;
}
.acts li small {
  margin-left: 8px;
}
.note {
  font-size: 0.92rem;
  padding-left: 10px;
  border-left: 4px solid var(--straw);
}
@media (max-width: 1080px) {
  .two,
  .two.lone {
    grid-template-columns: 1fr 1fr;
  }
}
@media (max-width: 760px) {
  .two,
  .two.lone {
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
  .under {
    grid-template-columns: minmax(0, 1fr);
  }
  .tools {
    margin-left: 0;
  }
  .picture > .drawing {
    height: 320px;
  }
}
</style>
