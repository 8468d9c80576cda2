<script setup lang="ts">
/** Every container and bed: listed or stood in a yard to scale, one at a time drawn and described. */
import { common } from '@/text/base/common'
import { bedsView as says } from '@/text/views/bedsView'
import { yearsView as years } from '@/text/views/yearsView'
import { useTables } from '@/composables/garden/useTables'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import BedActs from '@/components/bed/BedActs.vue'
import BedForm from '@/components/bed/BedForm.vue'
import BedList from '@/components/bed/BedList.vue'
import BedPicture from '@/components/bed/BedPicture.vue'
import HowMuch from '@/components/bed/HowMuch.vue'
import LoadCaution from '@/components/bed/LoadCaution.vue'
import SheetDialog from '@/components/bed/SheetDialog.vue'
import YardPicture from '@/components/bed/YardPicture.vue'
import SwitchField from '@/components/field/SwitchField.vue'
import TextField from '@/components/field/TextField.vue'
import { saveFile } from '@/composables/page/saveFile'
import { useBedProblems } from '@/composables/job/useBedProblems'
import { useNewJob } from '@/composables/job/useNewJob'
import { useDelayedByFrame } from '@/composables/page/useDelayedByFrame'
import { useSlashToSearch } from '@/composables/page/useSlashToSearch'
import { bedOf, bedsOf } from '@/model/garden/garden'
import { LONGEST_NAME } from '@/model/garden/limits'
import type { Bed, BedSpec } from '@/model/garden/schemas'
import { startingBed, startingPlan } from '@/model/garden/starting'
import { materialsToChoose } from '@/model/garden/tables'
import { isAloft } from '@/model/garden/vessel'
import { bedsToCsv } from '@/model/sheets/bedSheet'
import { useGarden } from '@/stores/garden'
import { materialChoices } from '@/text/base/choices'
import { dayText } from '@/text/base/dates'
import { copied } from '@/text/shelf/own'
import { bedWords } from '@/text/base/titles'
import { bedTitle, jobTitle } from '@/text/base/titles'
import { loadHeading, loadTexts } from '@/text/bed/load'
import { noteText } from '@/text/base/problems.en'

const garden = useGarden()
const route = useRoute()
const router = useRouter()
const { forBed } = useNewJob()
const tables = useTables(garden)
const units = computed(() => garden.settings.units)
const search = ref('')
const searchBox = ref<InstanceType<typeof TextField> | null>(null)
useSlashToSearch(searchBox)
const look = ref<'list' | 'yard'>('list')
const LOOKS = [
  { value: 'list' as const, label: 'List' },
  { value: 'yard' as const, label: 'Yard' },
]
const pasting = ref(false)

const beds = computed(() => bedsOf(garden.records))
const wanted = computed(() => {
  const words = search.value.trim().toLowerCase()
  return words === '' ? beds.value : beds.value.filter((b) => bedWords(b).includes(words))
})
/** The sheet of the first one found follows the list: it takes longer to draw than a key may wait. */
const first = useDelayedByFrame(computed(() => wanted.value[0] ?? null))
const chosen = computed<Bed | null>(() => {
  const { id } = route.query
  if (typeof id === 'string') return bedOf(garden.records, id) ?? wanted.value[0] ?? null
  return first.value && (bedOf(garden.records, first.value.id) ?? null)
})
const materials = computed(() => materialChoices(materialsToChoose(garden.records)))
const choose = (id: string) => router.replace({ query: { id } })

const { plan, problem, beside } = useBedProblems(chosen, tables, units)
const needed = computed(() => (plan.value?.ok ? plan.value.value : null))
const notes = computed(() => (plan.value?.ok ? plan.value.notes.map((n) => noteText(n, units.value)) : []))
const history = computed(() =>
  garden.jobs
    .filter((j) => j.fills.some((f) => f.bedId !== null && f.bedId === chosen.value?.id))
    .map((job) => ({
      id: job.id,
      title: jobTitle(job),
      day: dayText(job.createdAt.slice(0, 10)),
      to: { name: 'job', params: { garden: garden.name, jobId: job.id } },
    })),
)

function add(list: Bed[]) {
  garden.run({ type: 'beds/add', beds: list })
  search.value = ''
  void choose(list[0]!.id)
}
const tools = computed(() => startingPlan(garden.settings.units))
const fresh = () => ({ id: crypto.randomUUID(), createdAt: new Date().toISOString() })
function addOne() {
  const { id, createdAt } = fresh()
  add([startingBed(id, createdAt, chosen.value?.vessel.kind ?? 'roundPot', garden.settings.units)])
}
const copy = (bed: Bed) =>
  add([{ ...bed, ...fresh(), name: copied(bedTitle(bed).slice(0, LONGEST_NAME - 6)) }])
const change = (part: Partial<BedSpec>) =>
  chosen.value && garden.run({ type: 'bed/change', bedId: chosen.value.id, change: part })
function remove(bed: Bed) {
  const at = wanted.value.findIndex((b) => b.id === bed.id)
  const next = wanted.value[at + 1] ?? wanted.value[at - 1]
  garden.run({ type: 'bed/remove', bedId: bed.id })
  void router.replace({ query: next ? { id: next.id } : {} })
}
const saveCsv = () => saveFile(says.openBedBedsCsv, bedsToCsv(wanted.value, units.value), 'text/csv')
</script>

<template>
  <div class="page wide">
    <div class="row top">
      <h1>{{ common.beds }}</h1>
      <TextField
        ref="searchBox"
        v-model="search"
        class="search"
        :label="common.searchBeds"
        hide-label
        :placeholder="says.searchBeds2"
      />
      <SwitchField v-model="look" :options="LOOKS" :label="says.howToLookAtThem" />
      <span class="tools">
        <Button :label="says.newBed" icon="pi pi-plus" @click="addOne" />
        <Button :label="says.manyAtOnce" icon="pi pi-table" outlined @click="pasting = true" />
        <RouterLink v-if="beds.length" :to="{ name: 'years', params: { garden: garden.name } }">{{
          years.link
        }}</RouterLink>
        <Button v-if="beds.length" :label="common.saveAsCsv" icon="pi pi-download" text @click="saveCsv" />
      </span>
    </div>
    <p v-if="beds.length === 0" class="soft">
      {{ says.noBedsYetDescribeThe }}
    </p>
    <p v-else-if="wanted.length === 0" class="soft">{{ says.noBedAnswersTo(search) }}</p>

    <YardPicture
      v-if="look === 'yard' && wanted.length"
      :beds="wanted"
      :chosen="chosen?.id ?? null"
      :bucket="tools.bucket"
      :units="units"
      @choose="choose"
    />
    <div v-if="chosen" class="two" :class="{ lone: look === 'yard' }">
      <BedList
        v-if="look === 'list'"
        :beds="wanted"
        :tables="tables"
        :chosen="chosen.id"
        :units="units"
        @choose="choose"
      />
      <section class="picture" :aria-label="common.inSection">
        <h2 class="visually-hidden">{{ common.inSection }}</h2>
        <BedPicture :spec="chosen" :units="units" :problem="problem" @change="change" />
        <div class="under">
          <HowMuch
            v-if="needed"
            :parts="[{ name: bedTitle(chosen), count: Math.max(1, chosen.vessel.count), plan: needed }]"
            :units="units"
            :settling="tools.settling"
            :bucket="tools.bucket"
          />
          <BedActs
            :notes="notes"
            :history="history"
            @fill="forBed(chosen)"
            @copy="copy(chosen)"
            @remove="remove(chosen)"
          >
            <LoadCaution
              v-if="isAloft(chosen)"
              :heading="loadHeading(chosen)"
              :lines="needed ? loadTexts(chosen, needed, Math.max(1, chosen.vessel.count), units) : []"
            />
          </BedActs>
        </div>
      </section>
      <section :aria-label="says.theBed">
        <h2 class="visually-hidden">{{ bedTitle(chosen) }}</h2>
        <BedForm
          :key="chosen.id"
          :spec="chosen"
          :materials="materials"
          :units="units"
          :beside="beside"
          @change="change"
        />
      </section>
    </div>
    <SheetDialog v-model:visible="pasting" :units="units" :tables="tables" @add="add" />
  </div>
</template>

<style scoped>
.wide {
  max-width: 1400px;
}
.top {
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
  align-items: center;
  margin-left: auto;
}
.tools a {
  margin: 0 8px;
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
.picture > :deep(.drawing) {
  height: 400px;
}
.under {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 20px;
  margin-top: 10px;
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
  .picture > :deep(.drawing) {
    height: 320px;
  }
}
</style>
