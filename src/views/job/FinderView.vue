<script setup lang="ts">
/** Every recipe the rules allow, tried: the best of each family of materials, cost against fit, and what stands in the way. */
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import MultiSelect from 'primevue/multiselect'
import ProgressBar from 'primevue/progressbar'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import { useSessionStorage, useThrottleFn } from '@vueuse/core'
import { computed, defineAsyncComponent, onUnmounted, shallowRef, toRaw, watch } from 'vue'
import { useRouter } from 'vue-router'
import ProblemBox from '@/components/ProblemBox.vue'
import QuantityField from '@/components/QuantityField.vue'
import { useJob } from '@/composables/useJob'
import { usePut } from '@/composables/usePut'
import {
  candidateCount,
  type Candidate,
  type FinderProgress,
  type FinderResult,
  type Relaxation,
  type Rules,
  type Without,
} from '@/core/finder'
import {
  afterFinding,
  doubtOf,
  easyWaterFor,
  finderProblem,
  materialsFrom,
  thirstOf,
  type Source,
} from '@/model/bench'
import { LITRES } from '@/core/units'
import { shelfItemOf } from '@/model/garden'
import { mixWanted } from '@/model/reckoning'
import { materialById } from '@/model/tables'
import { fitText, givenUpText, meetsAll, onlyText, WITHOUT_NAMES } from '@/text/finder'
import { shortName } from '@/text/labels'
import { problemText, type Sentence } from '@/text/problems.en'
import { partsText } from '@/text/recipes'
import { percentText, pHText, rateFigure, rateUnit } from '@/text/units'
import { findInWorker, inTheWayInWorker } from '@/workers/core.client'

const FitChart = defineAsyncComponent(() => import('@/components/bench/FitChart.vue'))

const { jobId } = defineProps<{ jobId: string }>()
const of = useJob(() => jobId)
const { garden, job, crop, place, units } = of
const put = usePut(of)
const router = useRouter()

/** A shelf of one thing or none is nothing to find a mix on. */
const startingSource = (): Source =>
  job.value && materialsFrom(garden.records, job.value, 'shelf').length < 2 ? 'all' : 'shelf'
const wish = useSessionStorage(`open-bed-finder-${jobId}`, {
  source: startingSource(),
  without: [] as Without[],
  mustUse: [] as string[],
  mustNotUse: [] as string[],
  useUp: [] as string[],
  minFamilies: 2,
  maxMaterials: 4,
  budget: null as number | null,
  everyDays: null as number | null,
})
const sources = [
  { value: 'shelf', label: 'My shelf' },
  { value: 'all', label: 'Every material' },
]
const withouts = (Object.keys(WITHOUT_NAMES) as Without[]).map((value) => ({
  value,
  label: WITHOUT_NAMES[value],
}))
const leasts = [1, 2, 3].map((value) => ({ value, label: String(value) }))
const counts = [2, 3, 4, 5].map((value) => ({ value, label: String(value) }))

const ids = computed(() => (job.value ? materialsFrom(garden.records, job.value, wish.value.source) : []))
const named = (list: readonly string[]) => list.map((id) => ({ id, label: materialById(id)?.name ?? id }))
const materials = computed(() => named(ids.value))
const inStock = computed(() =>
  named(ids.value.filter((id) => (shelfItemOf(garden.records, id)?.stock ?? 0) > 0)),
)
/** How often it can be asked to want water: only where the place and the crop are known. */
const canAskWater = computed(() => Boolean(season.value?.growing?.thirstiestMonth))
const volume = computed(() => (job.value ? mixWanted(job.value) : null))
const season = computed(() => (job.value ? thirstOf(job.value, place.value) : null))
const total = computed(() =>
  candidateCount(
    ids.value.length,
    Math.min(wish.value.maxMaterials, ids.value.length || 1),
    12,
    wish.value.mustUse.length,
  ),
)

/** Kept for a litre, asked for in the grower's measure. */
const perUnit = computed(() => (units.value === 'us' ? LITRES.usGallon : 1))
const budget = computed({
  get: () => (wish.value.budget ?? 0) * perUnit.value,
  set: (money) => (wish.value.budget = money / perUnit.value),
})
const problem = computed(() => {
  const j = job.value
  if (!j) return null
  const w = wish.value
  const rules: Rules = {
    without: [...w.without],
    mustUse: [...w.mustUse],
    mustNotUse: [...w.mustNotUse],
    useUp: volume.value === null ? [] : [...w.useUp],
    minFamilies: Math.min(w.minFamilies, w.maxMaterials),
    maxMaterials: w.maxMaterials,
    ...(w.budget === null ? {} : { maxCostPerLitre: w.budget }),
  }
  const easyWater = w.everyDays !== null && season.value ? easyWaterFor(season.value, j, w.everyDays) : null
  return finderProblem(garden.records, toRaw(j), toRaw(place.value), {
    source: w.source,
    rules,
    volume: volume.value,
    easyWater,
  })
})

const progress = shallowRef<FinderProgress | null>(null)
const result = shallowRef<FinderResult | null>(null)
const way = shallowRef<Relaxation[] | null>(null)
const asking = shallowRef(false)
const trouble = shallowRef<Sentence | null>(null)
let abort: AbortController | null = null
let enough: AbortController | null = null
const running = shallowRef(false)

function stop() {
  abort?.abort()
  abort = enough = null
  running.value = asking.value = false
}
onUnmounted(stop)
// What was found belongs to what was asked.
watch(problem, () => {
  stop()
  result.value = way.value = progress.value = trouble.value = null
})
/** Progress is drawn a few times a second: oftener, drawing it would cost the page its smoothness. */
const told = useThrottleFn((x: FinderProgress) => (progress.value = x), 250)
async function find() {
  const p = problem.value
  if (!p) return
  stop()
  result.value = way.value = progress.value = trouble.value = null
  if (!p.ok) {
    trouble.value = problemText(p.problem, units.value)
    return
  }
  running.value = true
  const mine = (abort = new AbortController())
  enough = new AbortController()
  const answer = await findInWorker(p.value, {
    signal: mine.signal,
    enough: enough.signal,
    onProgress: told,
  })
  if (mine.signal.aborted || !answer) return
  running.value = false
  if (answer.ok) result.value = answer.value
  else trouble.value = problemText(answer.problem, units.value)
}
async function askWay() {
  const p = problem.value
  if (!p?.ok) return
  stop()
  asking.value = true
  const mine = (abort = new AbortController())
  const answer = await inTheWayInWorker(p.value, { signal: mine.signal })
  if (mine.signal.aborted || !answer) return
  asking.value = false
  if (answer.ok) way.value = answer.value
  else trouble.value = problemText(answer.problem, units.value)
}

const MOST_ROWS = 30
/** All that meet everything are alike in that. */
const rankOf = (c: Candidate) => (meetsAll(c) ? 0 : Math.round(c.score * 50) + 1)
const written = (c: Candidate) =>
  partsText(c.parts.map((p) => ({ materialId: p.id, twelfths: p.parts * 12 })))
/** Everything found, best first; of those alike the cheaper, then those of materials that are known well. */
const found = computed(() => {
  const r = result.value
  if (!r) return []
  const front = new Set(r.front.map(written))
  const seen = new Set<string>()
  return [...r.families, ...r.front]
    .filter((c) => !seen.has(written(c)) && seen.add(written(c)))
    .sort(
      (a, b) =>
        rankOf(a) - rankOf(b) ||
        (a.figures.costPerLitre || 9e9) - (b.figures.costPerLitre || 9e9) ||
        Math.round(doubtOf(a) * 5) - Math.round(doubtOf(b) * 5),
    )
    .map((c) => ({ c, parts: written(c), fit: fitText(c), onFront: front.has(written(c)) }))
})
const rows = computed(() => found.value.slice(0, MOST_ROWS))
const best = computed(() => found.value[0]?.c ?? null)
const heading = computed(() => {
  if (!best.value) return 'No recipe keeps these rules'
  if (!meetsAll(best.value)) return 'Nothing meets all of it'
  const ways = found.value.filter((r) => meetsAll(r.c)).length
  return ways === 1 ? 'One way meets all of it' : `${ways} ways meet all of it`
})
const priced = computed(() => (result.value?.front.length ?? 0) > 0)
const share = computed(() =>
  progress.value ? Math.min(100, (100 * progress.value.tried) / progress.value.total) : 0,
)

async function openIt(c: Candidate) {
  if (!job.value) return
  put(afterFinding(job.value, c), `what the finder found: ${written(c)}`.slice(0, 110))
  await router.push({ name: 'mix', params: { garden: garden.name, jobId } })
}
</script>

<template>
  <div v-if="job" class="page finder">
    <section class="wishes" aria-labelledby="wishes-title">
      <div class="row">
        <h2 id="wishes-title">Find a mix</h2>
        <RouterLink :to="{ name: 'mix', params: { garden: garden.name, jobId } }"
          >Back to the bench</RouterLink
        >
      </div>
      <p class="soft">
        For {{ crop ? crop.name.toLowerCase() : 'most vegetables' }}, in the bed of this job, against its
        bands. Every recipe of whole parts that the rules allow is tried.
      </p>
      <SelectButton
        v-model="wish.source"
        :options="sources"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        aria-label="Materials to choose from"
      />
      <p v-if="ids.length < 3" class="note">
        {{ ids.length === 0 ? 'Nothing' : `Only ${ids.length}` }} on your shelf has a price or a stock. Put
        more there, or choose from every material.
      </p>
      <fieldset>
        <legend>Without</legend>
        <label v-for="w in withouts" :key="w.value" :for="`without-${w.value}`" class="check">
          <Checkbox v-model="wish.without" :input-id="`without-${w.value}`" :value="w.value" />
          {{ w.label }}
        </label>
      </fieldset>
      <div class="field">
        <label for="least">Kinds of material at least</label>
        <Select
          v-model="wish.minFamilies"
          input-id="least"
          :options="leasts"
          option-label="label"
          option-value="value"
          aria-label="Kinds of material at least"
        />
      </div>
      <div class="field">
        <label for="most">Materials at most</label>
        <Select
          v-model="wish.maxMaterials"
          input-id="most"
          :options="counts"
          option-label="label"
          option-value="value"
          aria-label="Materials at most"
        />
      </div>
      <div
        v-for="[field, label, list] in [
          ['mustUse', 'Has to be in it', materials],
          ['mustNotUse', 'Must not be in it', materials],
          ['useUp', 'Use up what is left of', inStock],
        ] as const"
        v-show="list.length"
        :key="field"
        class="field"
      >
        <label :for="field">{{ label }}</label>
        <MultiSelect
          v-model="wish[field]"
          :input-id="field"
          :options="[...list]"
          option-label="label"
          option-value="id"
          filter
          auto-filter-focus
          :show-toggle-all="false"
          placeholder="nothing named"
          filter-placeholder="Search materials"
          empty-filter-message="No material of that name"
          :aria-label="label"
        />
      </div>
      <label for="budget-on" class="check">
        <Checkbox
          input-id="budget-on"
          binary
          :model-value="wish.budget !== null"
          @update:model-value="wish.budget = $event ? 0.2 : null"
        />
        {{ units === 'us' ? 'A gallon' : 'A litre' }} may cost so much
      </label>
      <QuantityField
        v-if="wish.budget !== null"
        v-model="budget"
        :label="units === 'us' ? 'Most for a gallon' : 'Most for a litre'"
        quantity="number"
        :units="units"
        :problem="wish.budget >= 0 ? null : { why: 'Below nothing.', fix: 'Type 0 or more.' }"
        hint="in the money of your shelf; what has no price is left out"
      />
      <label v-if="canAskWater" for="days-on" class="check">
        <Checkbox
          input-id="days-on"
          binary
          :model-value="wish.everyDays !== null"
          @update:model-value="wish.everyDays = $event ? 2 : null"
        />
        Water no oftener than
      </label>
      <QuantityField
        v-if="canAskWater && wish.everyDays !== null"
        v-model="wish.everyDays"
        label="Days between waterings"
        quantity="number"
        :units="units"
        :problem="wish.everyDays > 0 ? null : { why: 'No days at all.', fix: 'Type more than 0.' }"
        hint="in the thirstiest month, full grown"
      />
      <p v-if="ids.length === 0" class="soft">
        Nothing on your shelf has a price or is in stock yet: look among every material, or
        <RouterLink :to="{ name: 'shelf', params: { garden: garden.name } }">fill the shelf</RouterLink>.
      </p>
      <div class="row go">
        <Button
          v-if="!running"
          label="Find mixes"
          icon="pi pi-search"
          :disabled="ids.length === 0"
          @click="find"
        />
        <Button v-else label="Stop and show" icon="pi pi-stop" outlined @click="enough?.abort()" />
        <small>{{ total.toLocaleString('en') }} recipes</small>
      </div>
    </section>

    <section class="found" aria-live="polite" aria-label="What was found">
      <ProblemBox v-if="trouble" :sentence="trouble" />
      <div v-if="running" class="running">
        <ProgressBar :value="Math.round(share)" aria-label="Recipes tried" />
        <p v-if="progress?.best">
          Best so far: <strong>{{ written(progress.best) }}</strong>, {{ fitText(progress.best) }}.
        </p>
      </div>
      <p v-else-if="!result && !trouble" class="soft teach">
        Choose what it may be made of and press Find. The best of each family of materials comes first; where
        prices are known, cost is held against fit.
      </p>
      <template v-if="result">
        <h2>{{ heading }}</h2>
        <p v-if="!result.complete" class="soft">
          Of the {{ result.tried.toLocaleString('en') }} recipes looked at before you stopped it; those of few
          materials come first.
        </p>
        <p v-if="!best || !meetsAll(best)">
          <template v-if="best">The nearest {{ fitText(best) }}.</template>
          <Button v-if="!way && !asking" label="What is in the way?" text size="small" @click="askWay" />
          <span v-if="asking" class="soft">Giving up each wish in turn …</span>
        </p>
        <ul v-if="way" class="way">
          <li v-if="way.length === 0">{{ onlyText(best) }}</li>
          <li v-for="w in way" :key="givenUpText(w)">{{ givenUpText(w) }}</li>
        </ul>
        <FitChart v-if="best && priced" :families="result.families" :front="result.front" :units="units" />
        <p v-else-if="best" class="soft">With prices on the shelf, cost would be held against fit here.</p>
        <div v-if="best" class="scroll">
          <table class="plain list stacks">
            <caption class="visually-hidden">
              Recipes found, best first
            </caption>
            <thead>
              <tr>
                <th scope="col">Parts</th>
                <th scope="col">Fit</th>
                <th scope="col" class="num">Air</th>
                <th scope="col" class="num">Easy water</th>
                <th scope="col" class="num">pH before lime</th>
                <th scope="col" class="num">Cost {{ rateUnit(units) }}</th>
                <th scope="col"><span class="visually-hidden">Open</span></th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="r in rows" :key="r.parts">
                <th scope="row">
                  {{ r.parts }}<small v-if="r.onFront" class="front">nothing better for the money</small>
                </th>
                <td data-label="Fit">{{ r.fit }}</td>
                <td class="num" data-label="Air">{{ percentText(r.c.figures.airFilledPorosity) }}</td>
                <td class="num" data-label="Easy water">
                  {{ percentText(r.c.figures.easilyAvailableWater) }}
                </td>
                <td class="num" data-label="pH before lime">{{ pHText(r.c.figures.pH) }}</td>
                <td class="num" :data-label="`Cost ${rateUnit(units)}`">
                  {{
                    Number.isFinite(r.c.figures.costPerLitre)
                      ? rateFigure(r.c.figures.costPerLitre, units)
                      : '–'
                  }}
                </td>
                <td>
                  <Button
                    label="On the bench"
                    size="small"
                    outlined
                    :aria-label="`Put on the bench: ${r.parts}`"
                    @click="openIt(r.c)"
                  />
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <p class="soft">
          {{ result.tried.toLocaleString('en') }} recipes tried of {{ result.allowed.length }} materials ({{
            result.allowed.map(shortName).slice(0, 8).join(', ')
          }}{{ result.allowed.length > 8 ? ' …' : '' }}). Lime is set when one is put on the bench.
        </p>
      </template>
    </section>
  </div>
</template>

<style scoped>
.finder {
  display: grid;
  grid-template-columns: minmax(270px, 320px) minmax(0, 1fr);
  gap: 36px;
  align-items: start;
}
.wishes {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.wishes > .row {
  justify-content: space-between;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-direction: column;
}
legend {
  font-weight: 600;
  font-size: 0.95rem;
  padding: 0;
}
.check {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 40px;
}
.note {
  border-left: 4px solid var(--straw);
  padding-left: 10px;
  margin: 0;
}
.go {
  margin-top: 6px;
}
.way li {
  padding: 4px 0;
}
.list :deep(.p-button) {
  white-space: nowrap;
}
.front {
  display: block;
  color: var(--clay);
}
.list th[scope='row'] {
  font-weight: 600;
}
@media (max-width: 760px) {
  .finder {
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
}
</style>
