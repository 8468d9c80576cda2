<script setup lang="ts">
/** One field test: its steps with timers, what is read, and what comes of it. */
import { common } from '@/text/base/common'
import { testView as words } from '@/text/views/testView'
import Button from 'primevue/button'
import { computed, toRaw } from 'vue'
import { useRouter } from 'vue-router'
import CheckField from '@/components/field/CheckField.vue'
import ChoiceField from '@/components/field/ChoiceField.vue'
import TextField from '@/components/field/TextField.vue'
import FigureTable from '@/components/frame/FigureTable.vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import TickLine from '@/components/frame/TickLine.vue'
import TimerList from '@/components/make/TimerList.vue'
import PhotoStrip from '@/components/record/PhotoStrip.vue'
import LabPaste from '@/components/tests/LabPaste.vue'
import RepeatFields from '@/components/tests/RepeatFields.vue'
import TaughtBox from '@/components/tests/TaughtBox.vue'
import { useLearning } from '@/composables/learn/useLearning'
import { useTaught } from '@/composables/learn/useTaught'
import { useTest } from '@/composables/learn/useTest'
import { useTimers } from '@/composables/make/useTimers'
import { usePhotos } from '@/composables/season/usePhotos'
import { BODY_UNTIL, workOut, type Repeat } from '@/core/fieldTests'
import { GARDEN_LIMITS, LONGEST_RECIPE_NOTE } from '@/model/garden/limits'
import { dayOfTest } from '@/model/learn/expected'
import { newReadings } from '@/model/learn/readings'
import { useGarden } from '@/stores/garden'
import { TEST_TEXTS } from '@/text/tests/fieldTests'
import { bedTitle } from '@/text/base/titles'
import { testedText } from '@/text/tests/tested'
import { inUnits } from '@/text/base/units'

const garden = useGarden()
const router = useRouter()
const testId = computed(() => String(router.currentRoute.value.params.testId ?? ''))
const { test, units, job, change, isSound, aside, rows, follows, finish } = useTest(
  garden,
  () => testId.value,
)
const { photos, room, trouble, add: addPhoto, remove: removePhoto } = usePhotos(garden, () => testId.value)
const text = computed(() => test.value && TEST_TEXTS[test.value.test])
const steps = computed(() =>
  (text.value?.steps ?? []).map((s) => ({ ...s, text: inUnits(s.text, units.value) })),
)
const timers = useTimers(
  () => test.value?.timers ?? [],
  (list, what) => change({ timers: list }, what),
)
const learning = useLearning(garden)
const { previewed, questioned } = useTaught(garden, learning)

function tick(i: number, done: boolean) {
  const others = test.value!.doneSteps.filter((s) => s !== i)
  change({ doneSteps: done ? [...others, i] : others }, done ? words.tickingAStep : words.untickingAStep)
}
function setRepeat(i: number, repeat: Repeat) {
  change(
    { repeats: toRaw(test.value!.repeats).map((r, k) => (k === i ? { ...repeat } : r)) },
    words.whatWasRead,
  )
}
/** What stays from one sample to the next is not typed again. */
const STAYS = new Set([
  'method',
  'volume',
  'depth',
  'potWeight',
  'emptyWeight',
  'water',
  'temperature',
  'saltsOfWater',
  'seeds',
])
function another() {
  const last = toRaw(test.value!.repeats).at(-1)!
  const next = Object.fromEntries(Object.entries(last).filter(([name]) => STAYS.has(name)))
  change({ repeats: [...toRaw(test.value!.repeats), next] }, words.anotherSample2)
}
const leave = (i: number) =>
  change({ repeats: toRaw(test.value!.repeats).filter((_, k) => k !== i) }, words.leavingASampleOut)
const problemOf = (repeat: Repeat) => {
  const worked = workOut(test.value!.test, repeat)
  return worked.ok ? null : worked.problem
}
const beds = computed(() => [
  { value: null, label: words.theMixAsMade },
  ...(job.value?.fills ?? []).map((f) => ({ value: f.id, label: bedTitle(f.spec) })),
])
const canTeach = computed(() => newReadings(garden.records).some((r) => r.id.startsWith(`${testId.value}:`)))
/** Read so long after mixing that it no longer speaks of what went in. */
const isLate = computed(
  () => test.value?.finishedAt && dayOfTest(garden.records, test.value, test.value.finishedAt) > BODY_UNTIL,
)
const waitsForRecord = computed(() => job.value !== undefined && job.value.recordId === null)
function end() {
  finish()
  if (canTeach.value) void learning.look()
}
async function remove() {
  garden.run({ type: 'test/remove', testId: testId.value })
  await router.push({ name: 'tests', params: { garden: garden.name } })
}
</script>

<template>
  <StationFrame v-if="test && text" columns="minmax(0, 1.2fr) minmax(300px, 1fr)">
    <section aria-labelledby="test-title">
      <RouterLink :to="{ name: 'tests', params: { garden: garden.name } }">{{ words.allTests }}</RouterLink>
      <h1 id="test-title">{{ text.name }}</h1>
      <p>{{ text.tells }}</p>
      <p class="soft">{{ words.ofYouNeed(testedText(garden.records, test), inUnits(text.kit, units)) }}</p>
      <p v-if="text.caution" class="care"><span aria-hidden="true">⚠ </span>{{ text.caution }}</p>
      <TimerList :timers="timers" />
      <ol class="plain">
        <TickLine
          v-for="(step, i) in steps"
          :key="i"
          :title="words.step(i + 1)"
          :text="step.text"
          :done="test.doneSteps.includes(i)"
          @update:done="tick(i, $event)"
        >
          <Button
            v-if="step.wait"
            :label="words.min(step.wait)"
            icon="pi pi-stopwatch"
            outlined
            size="small"
            :aria-label="words.timeStepMinutes(i + 1, step.wait)"
            @click="timers.start(`${text.name}, step ${i + 1}`, step.wait)"
          />
        </TickLine>
      </ol>
    </section>
    <section aria-labelledby="read-title">
      <h2 id="read-title">{{ words.whatYouRead }}</h2>
      <ChoiceField
        v-if="job && beds.length > 2"
        :label="words.whereItWasTaken"
        :options="beds"
        :model-value="test.fillId"
        @update:model-value="change({ fillId: $event }, 'where it was taken')"
      />
      <div
        v-for="(repeat, i) in test.repeats"
        :key="i"
        class="repeat"
        role="group"
        :aria-label="words.sample(i + 1)"
      >
        <div v-if="test.repeats.length > 1" class="row">
          <h3>{{ words.sample(i + 1) }}</h3>
          <Button icon="pi pi-trash" text :aria-label="`Leave out sample ${i + 1}`" @click="leave(i)" />
        </div>
        <LabPaste
          v-if="test.test === 'laboratory'"
          :model-value="repeat"
          @update:model-value="setRepeat(i, $event)"
        />
        <RepeatFields
          :test="test.test"
          :units="units"
          :problem="problemOf(repeat)"
          :model-value="repeat"
          @update:model-value="setRepeat(i, $event)"
        />
      </div>
      <CheckField
        v-if="test.test !== 'laboratory' && 'pH' in (test.repeats[0] ?? {})"
        :label="words.phWasReadWithPaper"
        :model-value="test.strips"
        @update:model-value="change({ strips: $event }, 'strips or meter')"
      />
      <TextField
        :label="common.aWordWithIt"
        :model-value="test.note"
        :most="LONGEST_RECIPE_NOTE"
        @update:model-value="change({ note: $event }, 'a word with a test')"
      />
      <FoldBox
        v-if="test.test === 'beanTest' || photos.length"
        id="test-photos"
        :title="words.photos"
        :says="words.photosSay"
      >
        <PhotoStrip :photos="photos" :room="room" :trouble="trouble" @add="addPhoto" @remove="removePhoto" />
      </FoldBox>
      <div class="row">
        <Button
          v-if="test.repeats.length < GARDEN_LIMITS.repeats.value"
          :label="words.anotherSample"
          icon="pi pi-plus"
          outlined
          @click="another"
        />
        <Button
          v-if="!test.finishedAt"
          :label="words.done"
          icon="pi pi-check"
          :disabled="!isSound"
          @click="end"
        />
        <Button :label="words.removeTheTest" text @click="remove" />
      </div>
      <p v-if="aside && !test.finishedAt" class="soft">{{ aside.why }} {{ aside.fix }}</p>
      <div v-if="rows.length" aria-live="polite">
        <h2>{{ words.whatItSays }}</h2>
        <FigureTable :caption="words.resultOf(text.name)" :head="['', 'read', 'expected']" :rows="rows" />
        <p v-for="line in follows" :key="line">{{ line }}</p>
      </div>
      <template v-if="test.finishedAt">
        <h2>{{ words.whatItTeaches }}</h2>
        <p v-if="learning.trouble.value" role="alert">{{ learning.trouble.value }}</p>
        <p v-if="learning.working.value" role="status">{{ common.workingOutWhatYourReadings }}</p>
        <TaughtBox
          v-else-if="learning.preview.value"
          :rows="previewed"
          :questioned="questioned"
          @keep="learning.keep()"
          @trust="learning.trust($event)"
        />
        <Button v-else-if="canTeach" :label="words.seeWhatItTeaches" outlined @click="learning.look()" />
        <p v-else-if="waitsForRecord" class="soft">
          {{ words.itTeachesOnceTheMix }}
        </p>
        <p v-else-if="isLate" class="soft">
          {{ words.itSpeaksOfTheBed }}
        </p>
        <p v-else class="soft">
          {{ words.learnedFromAsFarAs }}
          <RouterLink :to="{ name: 'learned', params: { garden: garden.name } }">{{
            common.whatReadingsTaught
          }}</RouterLink>
        </p>
      </template>
    </section>
  </StationFrame>
  <div v-else class="page">
    <p>
      {{ words.thisTestIsNoMore }}
      <RouterLink :to="{ name: 'tests', params: { garden: garden.name } }">{{ words.allTests }}</RouterLink>
    </p>
  </div>
</template>

<style scoped>
.repeat {
  border-bottom: 1px solid var(--rule);
  padding-bottom: 12px;
  margin-bottom: 12px;
}
.row,
h2:not(:first-child) {
  margin-top: 14px;
}
.care {
  border-left: 4px solid var(--straw);
  padding-left: 10px;
}
</style>
