<script setup lang="ts">
/** Up to five mixes in the same bed, crop and season: what differs most comes first. */
import { useSessionStorage } from '@vueuse/core'
import Button from 'primevue/button'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import { computed, defineAsyncComponent, ref } from 'vue'
import ProfileColumn from '@/components/bench/ProfileColumn.vue'
import { useBags } from '@/composables/useBags'
import { useJob } from '@/composables/useJob'
import { useReplaceRecipe } from '@/composables/useReplaceRecipe'
import { compare, differences } from '@/model/mix/compare'
import { mixSources } from '@/model/mix/mixSources'
import type { Bag } from '@/model/garden/schemas'
import { MONTHS } from '@/text/labels'
import { problemText } from '@/text/problems.en'
import { sourceName, sourceText } from '@/text/recipes'
import { intervalText, percentText, pHText, rateFigure, rateUnit, weightText } from '@/text/units'

const BagDialog = defineAsyncComponent(() => import('@/components/bench/BagDialog.vue'))
const SeasonChart = defineAsyncComponent(() => import('@/components/bench/SeasonChart.vue'))

const { jobId } = defineProps<{ jobId: string }>()
const of = useJob(() => jobId)
const { garden, job, place, units } = of
const replaceRecipe = useReplaceRecipe(of)
const MOST = 5

const chosen = useSessionStorage<string[]>(`open-bed-compare-${jobId}`, ['bench'])
const { reading, listed, describe, keep, remove, close } = useBags()

/** Everything that can be held against the rest. */
const all = computed(() => (job.value ? mixSources(garden.records, job.value) : []))
const named = computed(() => all.value.map((source) => ({ source, id: source.id, name: sourceName(source) })))
const rivals = computed(() =>
  chosen.value.flatMap((id) => named.value.find((r) => r.id === id) ?? []).slice(0, MOST),
)
const offered = computed(() => named.value.filter((r) => !chosen.value.includes(r.id)))
const add = (id: string | null) =>
  id && (chosen.value = [...rivals.value.map((r) => r.id), id].slice(0, MOST))
const drop = (id: string) => (chosen.value = chosen.value.filter((c) => c !== id))

const compared = computed(() =>
  job.value
    ? compare(
        garden.records,
        job.value,
        place.value,
        rivals.value.map(({ id, name, source }) => ({
          id,
          name,
          recipe: source.recipe,
          corners: source.corners,
        })),
      )
    : [],
)
/** A bag just described joins the others, if there is room. */
function keepBag(bag: Bag) {
  keep(bag)
  if (!chosen.value.includes(`bag ${bag.id}`)) add(`bag ${bag.id}`)
}
const bagOf = (id: string) => all.value.find((s) => s.id === id)?.bag
const saysOf = (id: string) => {
  const source = all.value.find((s) => s.id === id)
  if (!source) return ''
  return source.problem ? problemText(source.problem, units.value).why : sourceText(source, units.value)
}
const good = computed(() => compared.value.flatMap((c) => (c.answer.ok ? [{ ...c, e: c.answer.value }] : [])))

const ROWS: Record<string, { label: string; write: (x: number) => string }> = {
  air: { label: 'Air after draining', write: (x) => percentText(x) },
  water: { label: 'Water within easy reach', write: (x) => percentText(x) },
  days: { label: 'Waterings in the thirstiest month', write: intervalText },
  pH: { label: 'pH in six weeks', write: pHText },
  salts: { label: 'Salts, dS/m', write: (x) => x.toFixed(1) },
  weight: { label: 'Weight just after watering', write: (x) => weightText(x, units.value) },
  feed: { label: 'Season’s nitrogen it gives', write: (x) => percentText(x) },
  lost: { label: 'Gone after three years', write: (x) => percentText(x) },
  loss: { label: 'Lost on stirring', write: (x) => percentText(x) },
  cost: { label: 'Cost', write: (x) => `${rateFigure(x, units.value)} ${rateUnit(units.value)}` },
}
const rows = computed(() =>
  differences(compared.value).map((row) => ({
    ...row,
    label: ROWS[row.key]!.label,
    cells: row.values.map((v, i) => {
      const { write } = ROWS[row.key]!
      const open = row.open[i]
      return {
        text: v === null ? '–' : write(v),
        open: open && v !== null ? `${write(open.low)} to ${write(open.high)}` : '',
      }
    }),
    alike: row.steps < 1,
  })),
)
const firstAlike = computed(() => rows.value.findIndex((r) => r.alike))

const course = ref<'days' | 'pH' | 'nitrogen'>('days')
const courses = [
  { value: 'days', label: 'Waterings' },
  { value: 'pH', label: 'pH' },
  { value: 'nitrogen', label: 'Nitrogen at hand' },
]
/** More than this is "seldom", and would flatten the summer. */
const MOST_DAYS = 14
const chart = computed(() => {
  const list = good.value
  if (course.value === 'pH')
    return {
      axis: 'pH',
      labels: (list[0]?.e.acidity ?? [])
        .filter((_, i) => i % 2 === 0)
        .map((s) => `week ${Math.round(s.day / 7)}`),
      courses: list.map((c) => ({
        name: c.rival.name,
        values: c.e.acidity.filter((_, i) => i % 2 === 0).map((s) => s.pH),
      })),
    }
  if (course.value === 'nitrogen') {
    const longest = Math.max(0, ...list.map((c) => c.e.growing?.feeding.weeks.nitrogen.length ?? 0))
    return {
      axis: 'mg of nitrogen at hand in a litre',
      labels: Array.from({ length: longest }, (_, i) => `week ${i + 1}`),
      courses: list.map((c) => ({
        name: c.rival.name,
        values: (c.e.growing?.feeding.weeks.nitrogen ?? []).map((w) => w.pool),
      })),
    }
  }
  return {
    axis: 'days between waterings (14 at most)',
    labels: list.some((c) => c.e.growing?.watering.length) ? MONTHS.map((m) => m.slice(0, 3)) : [],
    courses: list.map((c) => ({
      name: c.rival.name,
      values: (c.e.growing?.watering ?? []).map((w) => Math.min(MOST_DAYS, w.days.value)),
    })),
  }
})
</script>

<template>
  <div v-if="job" class="page compare">
    <div class="row head">
      <h2>Compare mixes</h2>
      <RouterLink :to="{ name: 'mix', params: { garden: garden.name, jobId } }">Back to the bench</RouterLink>
    </div>
    <p class="soft">All in the bed, the crop and the season of this job.</p>
    <div class="row">
      <Select
        v-if="rivals.length < MOST"
        :model-value="null"
        :options="offered"
        option-label="name"
        option-value="id"
        filter
        auto-filter-focus
        placeholder="Add a mix"
        filter-placeholder="Search mixes"
        empty-filter-message="No mix of that name"
        aria-label="Add a mix"
        class="adding"
        @update:model-value="add"
      />
      <Button label="Describe a bagged mix" icon="pi pi-tag" outlined @click="describe()" />
    </div>
    <p v-if="rivals.length < 2" class="soft">
      {{ rivals.length === 0 ? 'Add two or more' : 'Add one more' }}: versions of this mix, mixes to begin
      from, those of your other jobs, or a bagged one from its label.
    </p>
    <div v-if="rivals.length" class="scroll">
      <table class="plain list">
        <thead>
          <tr>
            <td></td>
            <th v-for="c in compared" :key="c.rival.id" scope="col">
              <span class="name">{{ c.rival.name }}</span>
              <Button
                icon="pi pi-times"
                text
                size="small"
                :aria-label="`Leave out ${c.rival.name}`"
                @click="drop(c.rival.id)"
              />
              <Button
                v-if="bagOf(c.rival.id)"
                label="Label"
                text
                size="small"
                :aria-label="`Label of ${c.rival.name}`"
                @click="describe(bagOf(c.rival.id))"
              />
            </th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">Parts</th>
            <td v-for="c in compared" :key="c.rival.id" class="parts">
              {{ saysOf(c.rival.id) }}
              <p v-if="!c.answer.ok && c.rival.recipe.parts.length" class="wrong">
                {{ problemText(c.answer.problem, units).why }}
              </p>
            </td>
          </tr>
          <tr>
            <th scope="row">
              By depth<small class="key"
                ><i class="solids" />&nbsp;solids <i class="water" />&nbsp;water
                <i class="air" />&nbsp;air</small
              >
            </th>
            <td v-for="c in compared" :key="c.rival.id">
              <ProfileColumn v-if="c.answer.ok" :profile="c.answer.value.profile" :name="c.rival.name" />
            </td>
          </tr>
          <tr
            v-for="(row, i) in rows"
            :key="row.key"
            :class="{ alike: row.alike && rivals.length > 1, first: i === firstAlike }"
          >
            <th scope="row">{{ row.label }}</th>
            <td v-for="(cell, k) in row.cells" :key="k">
              <strong class="figure">{{ cell.text }}</strong>
              <small v-if="cell.open" class="open">label allows {{ cell.open }}</small>
            </td>
          </tr>
          <tr>
            <td></td>
            <td v-for="c in compared" :key="c.rival.id">
              <Button
                v-if="c.rival.id !== 'bench'"
                label="On the bench"
                size="small"
                outlined
                :aria-label="`Put ${c.rival.name} on the bench`"
                @click="replaceRecipe(c.rival.recipe, `taking ${c.rival.name}`)"
              />
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="rivals.length > 1 && firstAlike > -1" class="soft">
        Rows in grey differ by less than a grower would notice.
      </p>
    </div>
    <section v-if="good.length" aria-labelledby="season-title">
      <div class="row head">
        <h2 id="season-title">Through the season</h2>
        <SelectButton
          v-model="course"
          :options="courses"
          option-label="label"
          option-value="value"
          :allow-empty="false"
          aria-label="What to follow"
        />
      </div>
      <SeasonChart
        v-if="chart.labels.length"
        :labels="chart.labels"
        :courses="chart.courses"
        :axis="chart.axis"
      />
      <p v-else class="soft">It takes a crop and a place to follow this.</p>
    </section>
    <BagDialog
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
thead td {
  width: 11rem;
}
.list {
  table-layout: fixed;
}
.list :is(th, td) {
  vertical-align: top;
  min-width: 9rem;
}
.name {
  font-weight: 600;
}
.parts {
  font-size: 0.92rem;
}
.alike :is(th, .figure) {
  color: var(--ink-soft);
  font-weight: 400;
}
.first :is(th, td) {
  border-top: 2px solid var(--rule);
}
.open {
  display: block;
}
.key {
  display: block;
  font-weight: 400;
  white-space: nowrap;
}
.key i {
  display: inline-block;
  width: 10px;
  height: 10px;
  border: 1px solid var(--ink);
  margin-left: 4px;
}
.key .solids {
  background: #6b5136;
}
.key .water {
  background: #5b8fae;
}
.key .air {
  background: var(--sheet);
}
.wrong {
  color: var(--alarm);
}
@media (max-width: 760px) {
  thead td {
    width: 6.2rem;
  }
  .list :is(th, td) {
    min-width: 6.5rem;
    overflow-wrap: anywhere;
  }
  .key {
    white-space: normal;
  }
}
section {
  margin-top: 24px;
}
</style>
