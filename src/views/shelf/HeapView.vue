<script setup lang="ts">
/** Compost heaps: what goes on them, what they lack, how hot they were, whether they are ripe, what they leave. */
import { heapView as words } from '@/text/views/heapView'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import CautionList from '@/components/CautionList.vue'
import CheckField from '@/components/field/CheckField.vue'
import ChoiceField from '@/components/field/ChoiceField.vue'
import QuantityField from '@/components/field/QuantityField.vue'
import TextField from '@/components/field/TextField.vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import HeatCourse from '@/components/shelf/HeatCourse.vue'
import { LONGEST_NAME } from '@/model/garden/limits'
import { heapsOf } from '@/model/garden/garden'
import type { HeapRecord } from '@/model/garden/schemas'
import { compostOf, heapAnswer, startingHeap } from '@/model/heap/heaps'
import { useGarden } from '@/stores/garden'
import { cautionById } from '@/text/base/cautions'
import { dayText, isDay, isoDay } from '@/text/base/dates'
import { volumeText } from '@/text/base/units'
import {
  BARROW,
  faultText,
  HEAP_NAMES,
  heapChoices,
  heapLine,
  heatText,
  readingText,
  ripeText,
  yieldText,
} from '@/text/shelf/heap'

const garden = useGarden()
const units = computed(() => garden.settings.units)
const heaps = computed(() => heapsOf(garden.records))
const chosen = ref<string | null>(null)
const heap = computed(() => heaps.value.find((h) => h.id === chosen.value) ?? heaps.value[0] ?? null)
const answer = computed(() => heap.value && heapAnswer(heap.value))
const named = ({ name }: HeapRecord) => name.trim() || words.unnamed
const choices = computed(() => heaps.value.map((h) => ({ value: h.id, label: named(h) })))
const today = isoDay(new Date())
const CAUTIONS = [cautionById('moulds'), cautionById('legionella'), cautionById('manure')]

const set = (change: Partial<HeapRecord>, what: string) =>
  heap.value && garden.run({ type: 'heap/set', heap: { ...heap.value, ...change }, what })
function begin() {
  const one = startingHeap(crypto.randomUUID(), new Date().toISOString(), today)
  garden.run({ type: 'heap/set', heap: one, what: words.did.begin })
  chosen.value = one.id
}
const load = ref<string | null>(null)
const barrows = ref(1)
function addLoad() {
  if (!load.value || !(barrows.value > 0) || !heap.value) return
  set({ loads: [...heap.value.loads, { id: load.value, litres: barrows.value * BARROW }] }, words.did.load)
}
const reading = ref({ on: today, temperature: NaN, turned: false })
const canNote = computed(
  () => isDay(reading.value.on) && reading.value.temperature > -20 && reading.value.temperature < 100,
)
function note() {
  if (!canNote.value || !heap.value) return
  set({ readings: [...heap.value.readings, { ...reading.value }] }, words.did.read)
  reading.value = { ...reading.value, temperature: NaN, turned: false }
}
/** The heap that was put on the shelf last: pressed again it would be there twice. */
const kept = ref<string | null>(null)
function toShelf() {
  if (!heap.value || !answer.value) return
  const fresh = { id: `own:${crypto.randomUUID()}`, createdAt: new Date().toISOString() }
  const material = compostOf({ name: named(heap.value) }, answer.value, fresh)
  garden.run({ type: 'ownMaterial/set', material })
  kept.value = heap.value.id
}
/** An emptied field holds no number. */
const orNone = (x: number) => (Number.isNaN(x) ? null : x)
</script>

<template>
  <div class="page">
    <h1>{{ words.title }}</h1>
    <p v-if="!heap">{{ words.none }}</p>
    <div class="row">
      <ChoiceField
        v-if="heaps.length > 1 && heap"
        :label="words.heap"
        :model-value="heap.id"
        :options="choices"
        @update:model-value="chosen = $event"
      />
      <Button :label="words.begin" icon="pi pi-plus" :outlined="heaps.length > 0" @click="begin" />
    </div>
    <div v-if="heap && answer" class="two">
      <section>
        <div class="pair">
          <TextField
            :label="words.heapName"
            :model-value="heap.name"
            :placeholder="words.unnamed"
            :most="LONGEST_NAME"
            @update:model-value="set({ name: $event }, words.did.name)"
          />
          <TextField
            :label="words.builtOn"
            type="date"
            :model-value="heap.builtOn"
            @update:model-value="isDay($event) && set({ builtOn: $event }, words.did.built)"
          />
        </div>
        <h2>{{ words.loads }}</h2>
        <ul class="plain">
          <li v-for="(l, i) in heap.loads" :key="i" class="row load">
            <span>{{ words.loadsOf(HEAP_NAMES[l.id] ?? l.id, volumeText(l.litres, units)) }}</span>
            <Button
              icon="pi pi-trash"
              text
              :aria-label="words.removeLoad(HEAP_NAMES[l.id] ?? l.id)"
              @click="set({ loads: heap.loads.filter((_, k) => k !== i) }, words.did.unload)"
            />
          </li>
        </ul>
        <div class="pair adding">
          <ChoiceField v-model="load" :label="words.what" :options="heapChoices" />
          <QuantityField v-model="barrows" :label="words.barrows" quantity="number" :units="units" />
        </div>
        <Button :label="words.addLoad" outlined :disabled="!load || !(barrows > 0)" @click="addLoad" />
        <QuantityField
          class="water"
          :label="words.water"
          quantity="volume"
          :units="units"
          :model-value="heap.water"
          @update:model-value="set({ water: Math.max(0, $event) }, words.did.water)"
        />
      </section>
      <section aria-live="polite">
        <template v-if="heap.loads.length">
          <p class="lead">{{ heapLine(answer.heap, units) }}</p>
          <p v-for="fault in answer.faults" :key="fault">{{ faultText(fault, answer.heap, units) }}</p>
          <p>{{ yieldText(answer.comesTo, units) }}</p>
        </template>
        <FoldBox id="heap-heat" :title="words.heat" :says="words.heatSays">
          <HeatCourse :built-on="heap.builtOn" :readings="heap.readings" :units="units" />
          <p v-for="line in heatText(answer.heat, units)" :key="line">{{ line }}</p>
          <ul v-if="heap.readings.length" class="plain">
            <li v-for="(r, i) in heap.readings" :key="i" class="row load">
              <span>{{ readingText(r, units) }}</span>
              <Button
                icon="pi pi-trash"
                text
                :aria-label="words.removeReading(dayText(r.on))"
                @click="set({ readings: heap.readings.filter((_, k) => k !== i) }, words.did.unread)"
              />
            </li>
          </ul>
          <div class="pair">
            <TextField v-model="reading.on" :label="words.on" type="date" />
            <QuantityField
              v-model="reading.temperature"
              :label="words.temperature"
              quantity="temperature"
              :units="units"
              optional
            />
          </div>
          <CheckField v-model="reading.turned" :label="words.turned" />
          <Button :label="words.addReading" outlined :disabled="!canNote" @click="note" />
          <CautionList :heading="words.cautions" :cautions="CAUTIONS" />
        </FoldBox>
        <FoldBox id="heap-ripe" :title="words.ripe" :says="words.ripeSays">
          <div class="pair">
            <QuantityField
              :label="words.rise"
              quantity="number"
              :units="units"
              optional
              :hint="words.riseHint"
              :model-value="heap.rise ?? NaN"
              @update:model-value="set({ rise: orNone($event) }, words.did.rise)"
            />
            <QuantityField
              :label="words.cress"
              quantity="number"
              :units="units"
              optional
              :hint="words.cressHint"
              :model-value="heap.cress ?? NaN"
              @update:model-value="set({ cress: orNone($event) }, words.did.cress)"
            />
          </div>
          <p v-if="answer.ripe">{{ ripeText(answer.ripe) }}</p>
        </FoldBox>
        <div class="row end">
          <Button
            v-if="heap.loads.length"
            :label="words.toShelf"
            icon="pi pi-box"
            outlined
            :disabled="kept === heap.id"
            @click="toShelf"
          />
          <Button :label="words.remove" text @click="garden.run({ type: 'heap/remove', heapId: heap.id })" />
        </div>
        <p v-if="kept === heap.id" role="status">{{ words.onShelf }}</p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1.2fr;
  gap: 32px;
  margin-top: 14px;
}
h2 {
  margin: 18px 0 4px;
}
.adding {
  margin: 14px 0 10px;
}
.end {
  margin-top: 18px;
}
.load {
  justify-content: space-between;
  border-bottom: 1px solid var(--rule);
}
.lead {
  font-size: 1.15rem;
}
.water {
  margin-top: 12px;
  max-width: 220px;
}
@media (max-width: 760px) {
  .two,
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
