<script setup lang="ts">
/** Up to five mixes in the same bed, crop and season: what differs most comes first. */
import { common } from '@/text/base/common'
import { compareView as words } from '@/text/views/compareView'
import { StorageSerializers, useSessionStorage } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, defineAsyncComponent } from 'vue'
import CompareTable from '@/components/compare/CompareTable.vue'
import SeasonCourses from '@/components/compare/SeasonCourses.vue'
import ChoiceField from '@/components/field/ChoiceField.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import { useBags } from '@/composables/shelf/useBags'
import { useChances } from '@/composables/bench/useChances'
import { useWithoutPeat } from '@/composables/find/useWithoutPeat'
import { useJob } from '@/composables/job/useJob'
import { useReplaceRecipe } from '@/composables/bench/useReplaceRecipe'
import { useStations } from '@/composables/job/useStations'
import type { Bag } from '@/model/garden/schemas'
import { bestOf, compare } from '@/model/mix/compare'
import { mixSources, type MixSource } from '@/model/mix/mixSources'
import { comparedRows } from '@/text/mix/compare'
import { changesText } from '@/text/mix/withoutPeat'
import { verdictText } from '@/text/mix/topics'
import { problemText } from '@/text/base/problems.en'
import { sourceName, sourceText } from '@/text/mix/recipes'

const BagDialog = defineAsyncComponent(() => import('@/components/bench/BagDialog.vue'))

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { garden, job, place, crop, tables, units } = inHand
const replaceRecipe = useReplaceRecipe(inHand)
const { to } = useStations(() => jobId)
const MOST = 5
/** Others shown beside the bench's mix from the start. */
const BESIDE = 2

const kept = useSessionStorage<string[] | null>(`open-bed-compare-${jobId}`, null, {
  serializer: StorageSerializers.object,
})
const {
  reading,
  listed,
  describe,
  keep,
  remove,
  close,
  materials: bagMaterials,
  dressings: bagDressings,
} = useBags()

/** Everything that can be compared with the rest. */
const all = computed(() => (job.value ? mixSources(garden.records, job.value) : []))
const sourceOf = (id: string) => all.value.find((s) => s.id === id)
/** Until somebody chooses: what is on the bench beside the two that suit this bed and crop best. */
const chosen = computed<string[]>({
  get: () => kept.value ?? ['bench', ...bestOthers.value],
  set: (ids) => (kept.value = ids),
})
const bestOthers = computed(() =>
  job.value
    ? bestOf(
        garden.records,
        job.value,
        all.value
          .filter((s) => s.kind !== 'bench' && !s.problem)
          .map((s) => ({ id: s.id, name: '', recipe: s.recipe, corners: [] })),
        BESIDE,
      )
    : [],
)
const taken = computed(() => chosen.value.flatMap((id) => sourceOf(id) ?? []).slice(0, MOST))
const offered = computed(() =>
  all.value.filter((s) => !chosen.value.includes(s.id)).map((s) => ({ value: s.id, label: sourceName(s) })),
)
const add = (id: string | null) => id && (chosen.value = [...taken.value.map((s) => s.id), id].slice(0, MOST))
const drop = (id: string) => (chosen.value = chosen.value.filter((c) => c !== id))

const compared = computed(() =>
  job.value
    ? compare(
        garden.records,
        job.value,
        place.value,
        taken.value.map((s) => ({ id: s.id, name: sourceName(s), recipe: s.recipe, corners: s.corners })),
      )
    : [],
)
/** The same with the chance of each, as soon as it is drawn. */
const chances = useChances(() =>
  compared.value.flatMap(({ rival, input, bands }) =>
    input && bands ? [{ id: rival.id, request: { input, bands, learning: tables.value.learning } }] : [],
  ),
)
const withChances = computed(() =>
  compared.value.map((c) => ({ ...c, chance: chances.value.get(c.rival.id) ?? null })),
)
const saysOf = (source: MixSource) =>
  source.problem ? problemText(source.problem, units.value).why : sourceText(source, units.value)
const columns = computed(() =>
  compared.value.map(({ rival, answer, verdict, input }, i) => ({
    id: rival.id,
    name: rival.name,
    says: saysOf(taken.value[i]!),
    trouble: !answer.ok && rival.recipe.parts.length > 0 ? problemText(answer.problem, units.value).why : '',
    verdict: verdict ? verdictText(verdict, crop.value?.name ?? null) : '',
    profile: answer.ok ? answer.value.profile : null,
    parts: (input?.parts ?? []).map(({ material: { material }, parts }) => ({ material, parts })),
    bagged: taken.value[i]!.bag !== undefined,
  })),
)
const rows = computed(() => comparedRows(withChances.value, units.value))
const anyGood = computed(() => compared.value.some((c) => c.answer.ok))

const peatFree = useWithoutPeat(inHand, words.withoutPeatName)
/** A mix just found comes first beside the one on the bench. */
const beside = (id: string) =>
  (chosen.value = [...new Set(['bench', id, ...taken.value.map((s) => s.id)])].slice(0, MOST))
const changes = computed(() => {
  const now = compared.value.find((c) => c.rival.id === 'bench')
  const then = compared.value.find((c) => c.rival.name === words.withoutPeatName)
  return now && then ? changesText(now, then) : []
})

/** A bag just described joins the others, if there is room. */
function keepBag(bag: Bag) {
  keep(bag)
  if (!chosen.value.includes(words.bag(bag.id))) add(words.bag(bag.id))
}
function putOnBench(id: string) {
  const rival = compared.value.find((c) => c.rival.id === id)?.rival
  if (rival) replaceRecipe(rival.recipe, words.taking(rival.name))
}
</script>

<template>
  <div v-if="job" class="page">
    <div class="row head">
      <h2>{{ words.compareMixes }}</h2>
      <RouterLink :to="to('mix')">{{ common.backToTheBench }}</RouterLink>
    </div>
    <p class="soft">{{ words.allInTheBedThe }}</p>
    <div class="row">
      <ChoiceField
        v-if="taken.length < MOST"
        class="adding"
        :label="words.addAMix"
        hide-label
        :model-value="null"
        :options="offered"
        :placeholder="words.addAMix"
        :search="common.searchMixes"
        :none="words.noMixOfThatName"
        @update:model-value="add"
      />
      <Button :label="common.describeABaggedMix" icon="pi pi-tag" outlined @click="describe()" />
      <Button
        v-if="peatFree.offered.value"
        :label="words.withoutPeat"
        icon="pi pi-search"
        outlined
        :loading="peatFree.running.value"
        @click="peatFree.find(beside)"
      />
    </div>
    <p v-if="taken.length < 2" class="soft">
      {{ words.versionsOfThisMixMixes(taken.length === 0 ? words.addTwoOrMore : words.addOneMore) }}
    </p>
    <p v-if="peatFree.running.value" class="soft" role="status">{{ words.lookingWithoutPeat }}</p>
    <p v-else-if="peatFree.trouble.value === 'none'" role="alert">{{ words.noneWithoutPeat }}</p>
    <ProblemBox v-else-if="peatFree.trouble.value" :sentence="peatFree.trouble.value" />
    <CompareTable
      v-if="taken.length"
      :columns="columns"
      :rows="rows"
      @drop="drop"
      @label="describe(sourceOf($event)?.bag)"
      @bench="putOnBench"
    />
    <section v-if="changes.length">
      <h3>{{ words.changes }}</h3>
      <ul>
        <li v-for="line in changes" :key="line">{{ line }}</li>
      </ul>
    </section>
    <SeasonCourses v-if="anyGood" :compared="compared" />
    <BagDialog
      :tables="tables"
      :materials="bagMaterials"
      :dressings="bagDressings"
      :bag="reading"
      :listed="listed"
      :units="units"
      @save="keepBag"
      @remove="remove"
      @close="close"
    />
  </div>
</template>

<style scoped>
.head {
  justify-content: space-between;
}
.adding {
  min-width: min(22rem, 100%);
}
</style>
