<script setup lang="ts">
/** From the container back to the shop: how much of each, in packs, with what is lost on the way kept apart. */
import { shelfEntry } from '@/model/garden/shelfEntry'
import { mixLines, shoppingList } from '@/model/make/shoppingList'
import { doseTotals } from '@/model/make/doseTotals'
import Button from 'primevue/button'
import Papa from 'papaparse'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import MaterialSwatch from '@/components/MaterialSwatch.vue'
import PackDialog from '@/components/PackDialog.vue'
import PlanFields from '@/components/PlanFields.vue'
import ProblemBox from '@/components/ProblemBox.vue'
import { saveFile } from '@/composables/saveFile'
import { useJob } from '@/composables/useJob'
import type { Material } from '@/core/data'
import type { InnerMix } from '@/model/garden/schemas'
import { jobTitle, packText, shortName } from '@/text/labels'
import { noteText, problemText } from '@/text/problems.en'
import { bagText } from '@/text/recipes'
import { doseWeightText, percentText, volumeText } from '@/text/units'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, job, units, quantities, beside } = useJob(() => jobId)
const router = useRouter()
const editing = ref<Material | null>(null)

const q = computed(() => (quantities.value?.ok ? quantities.value.value : null))
const problem = computed(() =>
  quantities.value && !quantities.value.ok ? problemText(quantities.value.problem, units.value) : null,
)
const notes = computed(() =>
  quantities.value?.ok
    ? quantities.value.notes.filter((n) => n.code === 'measures-rounded').map((n) => noteText(n, units.value))
    : [],
)
const list = computed(() => (q.value ? shoppingList(garden.records, q.value) : []))
const doses = computed(() => (q.value && job.value ? doseTotals(job.value, q.value) : []))
const mixes = computed(() => (q.value && job.value ? mixLines(job.value, q.value) : []))
const cost = computed(() => {
  const bought = [
    ...list.value.map((l) => ({ name: shortName(l.material.id), cost: l.purchase.cost })),
    ...mixes.value.flatMap((m) => (m.purchase ? [{ name: m.mix.name, cost: m.purchase.cost }] : [])),
  ]
  return {
    of: bought.length,
    sum: bought.reduce((s, b) => s + (b.cost ?? 0), 0),
    missing: bought.filter((b) => b.cost === null).map((b) => b.name),
  }
})
const setOrigin = (mix: InnerMix, kind: 'made' | 'ready') =>
  garden.run({ type: 'mix/origin', jobId, mixId: mix.id, origin: { kind } })
/** What the rounded batches really leave for settling. */
const over = computed(() => (q.value ? q.value.plan.blendLitres / q.value.inPlace - 1 : 0))
const measured = computed(() => q.value?.plan.totals.reduce((s, t) => s + t.litres, 0) ?? 0)
const bagged = (line: (typeof list.value)[number]) => line.purchase.counts[0]!
const back = computed(() => beside('count', quantities.value))

function saveCsv() {
  const rows = list.value.map((l) => ({
    material: l.material.name,
    'loose litres to measure': l.litres.toFixed(1),
    packs: bagged(l),
    pack: packText(l.pack, 'metric'),
    'from stock, L': l.purchase.fromStock.toFixed(1),
    'left over, L': l.purchase.leftover.toFixed(1),
    cost: l.purchase.cost?.toFixed(2) ?? '',
    'water to add, L': l.water.toFixed(1),
  }))
  const mixRows = mixes.value.map((m) => ({
    material: m.mix.name,
    'loose litres to measure': m.litres.toFixed(1),
    packs: m.purchase?.counts[0] ?? (m.mix.origin.kind === 'ready' ? 'on hand' : 'made first'),
    pack:
      m.mix.origin.kind === 'bag' ? packText({ kind: 'loose', litres: m.mix.origin.litres }, 'metric') : '',
    'left over, L': m.purchase?.leftover.toFixed(1) ?? '',
    cost: m.purchase?.cost?.toFixed(2) ?? '',
  }))
  const doseRows = doses.value.map((l) => ({
    material: l.name,
    'loose litres to measure': '',
    packs: `${l.grams.toFixed(0)} g`,
  }))
  saveFile(
    `${jobTitle(job.value!)} shopping.csv`,
    Papa.unparse([...rows, ...mixRows, ...doseRows], {
      columns: [
        'material',
        'loose litres to measure',
        'packs',
        'pack',
        'from stock, L',
        'left over, L',
        'cost',
        'water to add, L',
      ],
    }),
    'text/csv',
  )
}
</script>

<template>
  <div v-if="job" class="page">
    <section class="card plan" aria-label="Tools and allowance">
      <PlanFields
        :plan="job.plan"
        :units="units"
        :beside="(field: string) => beside(field, quantities)"
        @change="garden.run({ type: 'job/plan', jobId, plan: $event })"
      />
    </section>
    <ProblemBox v-if="problem" :sentence="problem">
      <RouterLink v-if="back" :to="{ name: 'fill', params: { garden: garden.name, jobId } }"
        >Back to what is filled</RouterLink
      >
      <RouterLink
        v-else-if="job.parts.length === 0"
        :to="{ name: 'mix', params: { garden: garden.name, jobId } }"
        >Back to the mix</RouterLink
      >
    </ProblemBox>
    <template v-if="q">
      <section class="flow" aria-label="From the bucket to the bed">
        <div>
          <strong class="figure">{{ volumeText(measured, units) }}</strong><span>to measure out, loose</span>
        </div>
        <div class="loss">
          <span aria-hidden="true">→</span><small>−{{ percentText(q.lossHere, 1) }} on stirring</small>
        </div>
        <div>
          <strong class="figure">{{ volumeText(q.plan.blendLitres, units) }}</strong><span
            >of mix, blended</span
          >
        </div>
        <div class="loss">
          <span aria-hidden="true">→</span><small>{{ percentText(over) }} over, to settle</small>
        </div>
        <div>
          <strong class="figure">{{ volumeText(q.inPlace, units) }}</strong><span>in place, watered in</span>
        </div>
      </section>
      <p v-for="note in notes" :key="note" class="soft">{{ note }}</p>

      <div class="row title">
        <h2>What to gather</h2>
        <Button label="Save as CSV" icon="pi pi-download" text size="small" @click="saveCsv" />
      </div>
      <div class="scroll">
        <table class="plain list stacks">
          <thead>
            <tr>
              <th scope="col">Material</th>
              <th scope="col" class="num">Measure out</th>
              <th scope="col">Buy</th>
              <th scope="col" class="num">Left over</th>
              <th scope="col" class="num">Cost</th>
              <th scope="col">Wet it first</th>
              <th scope="col"><span class="visually-hidden">Change</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="line in list" :key="line.material.id">
              <th scope="row">
                <span class="what"
                  ><MaterialSwatch :material="line.material" :size="28" />{{
                    shortName(line.material.id)
                  }}</span
                >
              </th>
              <td class="num" data-label="Measure out">{{ volumeText(line.litres, units) }}</td>
              <td data-label="Buy">
                <strong v-if="bagged(line) > 0">{{ bagged(line) }} × {{ packText(line.pack, units) }}</strong>
                <strong v-else>nothing</strong>
                <small v-if="line.purchase.fromStock > 0"
                  ><br />{{ volumeText(line.purchase.fromStock, units) }} from your shelf</small
                >
                <small v-if="line.pack.kind !== 'loose' && bagged(line) > 0"
                  ><br />each gives {{ volumeText(line.packLitres, units) }} loose</small
                >
              </td>
              <td class="num" data-label="Left over">{{ volumeText(line.purchase.leftover, units) }}</td>
              <td class="num" data-label="Cost">
                {{ line.purchase.cost === null ? '?' : line.purchase.cost.toFixed(2) }}
              </td>
              <td data-label="Wet it first">
                <template v-if="line.water >= 0.25">{{ volumeText(line.water, units) }} of water</template
                ><template v-else>as it comes</template>
                <small v-if="line.wettingAgent > 0 && line.material.family === 'peat'"
                  ><br />{{ line.wettingAgent.toFixed(0) }} mL wetting agent if it is dry</small
                >
              </td>
              <td>
                <Button
                  label="Pack"
                  text
                  size="small"
                  :aria-label="`Pack, price and stock of ${shortName(line.material.id)}`"
                  @click="editing = line.material"
                />
              </td>
            </tr>
            <tr v-for="m in mixes" :key="m.mix.id">
              <th scope="row">
                <span class="what"
                  ><span class="mix-dot" aria-hidden="true" /><span
                    >{{ m.mix.name }}<small class="inside">{{ bagText(m.mix, units) }}</small></span
                  ></span
                >
              </th>
              <td class="num" data-label="Measure out">{{ volumeText(m.litres, units) }}</td>
              <template v-if="m.purchase">
                <td data-label="Buy">
                  <strong
                    >{{ m.purchase.counts[0] }} ×
                    {{ m.mix.origin.kind === 'bag' ? volumeText(m.mix.origin.litres, units) : '' }}
                    bag</strong
                  >
                </td>
                <td class="num" data-label="Left over">{{ volumeText(m.purchase.leftover, units) }}</td>
                <td class="num" data-label="Cost">
                  {{ m.purchase.cost === null ? '?' : m.purchase.cost.toFixed(2) }}
                </td>
                <td data-label="Wet it first">as it comes</td>
                <td></td>
              </template>
              <td v-else data-label="Buy" colspan="5">
                {{
                  m.mix.origin.kind === 'ready'
                    ? 'on hand, ready made'
                    : 'made first, from the materials above'
                }}
                <Button
                  :label="m.mix.origin.kind === 'ready' ? 'Make it first' : 'I have it ready'"
                  :aria-label="
                    m.mix.origin.kind === 'ready' ? `Make ${m.mix.name} first` : `I have ${m.mix.name} ready`
                  "
                  text
                  size="small"
                  @click="setOrigin(m.mix, m.mix.origin.kind === 'ready' ? 'made' : 'ready')"
                />
              </td>
            </tr>
            <tr v-for="l in doses" :key="`${l.id} ${l.place.kind}`">
              <th scope="row">
                <span class="what"><span class="lime-dot" aria-hidden="true" />{{ l.name }}</span>
              </th>
              <td class="num" data-label="Measure out">{{ doseWeightText(l.grams, units) }}</td>
              <td data-label="Buy" class="soft" colspan="5">
                {{
                  l.place.kind === 'throughout'
                    ? 'weighed or spooned for each batch, see Make'
                    : l.place.kind === 'top'
                      ? 'into the top at filling, see Fill'
                      : 'put on later, see Season'
                }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="total">
        <template v-if="cost.missing.length < cost.of">
          Known cost: <strong class="figure">{{ cost.sum.toFixed(2) }}</strong>,
          {{ (cost.sum / q.inPlace).toFixed(3) }} a litre in place.
        </template>
        <span v-if="cost.missing.length" class="soft">No price yet for {{ cost.missing.join(', ') }}.</span>
      </p>
      <p class="soft">
        Pack sizes are common ones until you say what your shop sells; leftovers are loose and wetted. Peat
        wants hours to a day to take up water, coir an hour.
      </p>
      <Button
        label="On to mixing"
        icon="pi pi-arrow-right"
        icon-pos="right"
        @click="router.push({ name: 'make', params: { garden: garden.name, jobId } })"
      />
    </template>
    <PackDialog
      :material="editing"
      :item="editing ? shelfEntry(garden.records, editing) : null"
      :units="units"
      @save="garden.run({ type: 'shelf/set', item: $event })"
      @close="editing = null"
    />
  </div>
</template>

<style scoped>
.plan {
  margin-bottom: 16px;
}
.flow {
  display: flex;
  align-items: center;
  gap: 22px;
  padding: 10px 0 14px;
  flex-wrap: wrap;
}
.flow > div {
  display: flex;
  flex-direction: column;
}
.flow .figure {
  font-size: 1.6rem;
}
.loss {
  align-items: center;
  color: var(--ink-soft);
}
.loss span {
  font-size: 1.4rem;
  line-height: 1;
}
.title {
  justify-content: space-between;
  margin-top: 10px;
}
.what {
  display: flex;
  align-items: center;
  gap: 10px;
  color: var(--ink);
  font-size: 1rem;
}
.mix-dot {
  width: 28px;
  height: 28px;
  border-radius: 50%;
  border: 1.5px solid var(--edge);
  background: var(--clay-wash);
  flex: none;
}
.inside {
  display: block;
}
.lime-dot {
  width: 28px;
  height: 28px;
  border-radius: 6px;
  border: 1px dashed var(--edge);
  flex: none;
}
.total {
  margin: 14px 0 6px;
}
.total .figure {
  font-size: 1.25rem;
}
@media (max-width: 760px) {
  .flow {
    gap: 4px 14px;
  }
  .loss {
    flex-direction: row !important;
    gap: 8px;
  }
}
</style>
