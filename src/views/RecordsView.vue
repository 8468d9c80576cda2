<script setup lang="ts">
/** What was mixed, when, of what, and what was expected of it. */
import { cropById } from '@/core/data'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import Papa from 'papaparse'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { saveFile } from '@/composables/saveFile'
import type { MixRecord } from '@/model/garden/schemas'
import { useGarden } from '@/stores/garden'
import { dayText } from '@/text/dates'
import { VESSEL_NAMES, placeText } from '@/text/labels'
import { bucketsText } from '@/text/measures'
import { doseWeightText, percentText, pHText, volumeText, weightText } from '@/text/units'

const garden = useGarden()
const route = useRoute()
const router = useRouter()
const units = computed(() => garden.settings.units)
const search = ref('')

const cropName = (r: MixRecord) => cropById(r.cropId)?.name ?? ''
const rows = computed(() =>
  garden.mixRecords.filter((r) =>
    `${r.jobName} ${r.note} ${cropName(r)} ${r.measured.map((m) => m.materialName).join(' ')}`
      .toLowerCase()
      .includes(search.value.trim().toLowerCase()),
  ),
)
const chosen = computed(() => rows.value.find((r) => r.id === route.query.id) ?? rows.value[0])
const choose = (id: string) => router.replace({ query: { id } })

function saveCsv() {
  const data = rows.value.map((r) => ({
    date: r.madeOn,
    job: r.jobName,
    crop: cropName(r),
    'mix, L': r.blendLitres.toFixed(1),
    recipe: r.measured.map((m) => `${m.litres.toFixed(1)} L ${m.materialName}`).join('; '),
    'lime, g': r.limes.reduce((s, l) => s + l.grams, 0).toFixed(0),
    'air expected, %': (r.predicted.airFilledPorosity * 100).toFixed(1),
    'pH expected': r.predicted.pH.toFixed(2),
    'weight drained, kg each': r.predicted.drainedWeight.toFixed(1),
    note: r.note,
  }))
  saveFile('open-bed records.csv', Papa.unparse(data), 'text/csv')
}
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
    <p v-if="garden.mixRecords.length === 0" class="soft empty">
      Nothing recorded yet. When a batch is mixed, its recipe, date and note come here, with the air, water
      and pH that were expected, so that next year you know why one tub did better than another.
    </p>
    <div v-else class="two">
      <section aria-label="All records">
        <InputText
          v-model="search"
          class="search"
          placeholder="Search records"
          aria-label="Search records"
          autocomplete="off"
        />
        <ul class="plain">
          <li v-for="r in rows" :key="r.id">
            <button
              type="button"
              :class="{ on: r.id === chosen?.id }"
              :aria-pressed="r.id === chosen?.id"
              @click="choose(r.id)"
            >
              <span
                ><strong>{{ r.jobName }}</strong
                ><small>{{ dayText(r.madeOn) }} · {{ cropName(r) || 'no crop' }}</small></span
              >
              <span class="num"
                >{{ volumeText(r.blendLitres, units)
                }}<small>air {{ percentText(r.predicted.airFilledPorosity) }}</small></span
              >
            </button>
          </li>
        </ul>
        <p v-if="rows.length === 0" class="soft">No record answers to “{{ search }}”.</p>
      </section>
      <article v-if="chosen" class="card" :aria-label="chosen.jobName">
        <h2>{{ chosen.jobName }}</h2>
        <p class="soft">
          {{ chosen.vessel.count }}
          {{
            chosen.vessel.count === 1
              ? VESSEL_NAMES[chosen.vessel.kind].one.toLowerCase()
              : VESSEL_NAMES[chosen.vessel.kind].many
          }},
          {{ cropName(chosen) || 'no crop named' }}
        </p>
        <div class="row">
          <label for="record-date"><strong>Mixed on</strong></label>
          <InputText
            id="record-date"
            type="date"
            :model-value="chosen.madeOn"
            @update:model-value="
              $event && garden.run({ type: 'record/edit', recordId: chosen.id, madeOn: $event })
            "
          />
        </div>
        <h3>What went in</h3>
        <table class="plain">
          <tbody>
            <tr v-for="m in chosen.measured" :key="m.materialId">
              <th scope="row">{{ m.materialName }}</th>
              <td class="num">{{ bucketsText(m.twelfths) }}</td>
              <td class="num">{{ volumeText(m.litres, units) }}</td>
            </tr>
            <tr v-for="l in chosen.limes" :key="l.limeId">
              <th scope="row">{{ l.limeName }}</th>
              <td class="num" colspan="2">{{ doseWeightText(l.grams, units) }}</td>
            </tr>
            <tr v-for="d in chosen.dressings" :key="`${d.dressingId} ${d.place.kind}`">
              <th scope="row">{{ d.dressingName }}</th>
              <td>{{ placeText(d.place, units) }}</td>
              <td class="num">{{ doseWeightText(d.grams, units) }}</td>
            </tr>
          </tbody>
        </table>
        <p class="soft">
          Buckets of {{ volumeText(chosen.bucket, units) }}; {{ volumeText(chosen.blendLitres, units) }} of
          mix in {{ chosen.batchCount }} {{ chosen.batchCount === 1 ? 'batch' : 'batches' }}.
        </p>
        <h3>What was expected</h3>
        <p>
          Air after draining {{ percentText(chosen.predicted.airFilledPorosity) }}, water within easy reach
          {{ percentText(chosen.predicted.easilyAvailableWater) }}, pH {{ pHText(chosen.predicted.pH) }} in
          six weeks, {{ weightText(chosen.predicted.drainedWeight, units) }} each when drained.
        </p>
        <label for="record-note"><strong>Note</strong></label>
        <Textarea
          id="record-note"
          class="note"
          rows="3"
          auto-resize
          maxlength="10000"
          :model-value="chosen.note"
          @update:model-value="garden.run({ type: 'record/edit', recordId: chosen.id, note: $event ?? '' })"
        />
        <div class="row">
          <Button
            v-if="garden.records.has(`job/${chosen.jobId}`)"
            label="Open its job"
            outlined
            size="small"
            @click="router.push({ name: 'mix', params: { garden: garden.name, jobId: chosen.jobId } })"
          />
          <Button
            label="Remove this record"
            severity="danger"
            text
            size="small"
            @click="garden.run({ type: 'record/remove', recordId: chosen.id })"
          />
          <small>Undo brings it back.</small>
        </div>
      </article>
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
  width: 100%;
  margin-bottom: 8px;
}
li button {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  width: 100%;
  padding: 9px 10px;
  border: 0;
  border-bottom: 1px solid var(--rule);
  border-left: 4px solid transparent;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
li button.on {
  border-left-color: var(--clay);
  background: var(--sheet);
}
li small {
  display: block;
}
.num {
  text-align: right;
  white-space: nowrap;
}
h3 {
  margin: 16px 0 2px;
}
.note {
  width: 100%;
  margin-bottom: 10px;
}
@media (max-width: 860px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
