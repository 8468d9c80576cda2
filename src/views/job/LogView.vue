<script setup lang="ts">
/** The season as it goes: what was done, read and seen, in two taps; its course beside what was expected. */
import { common } from '@/text/base/common'
import { logView as words } from '@/text/views/logView'
import Button from 'primevue/button'
import { computed, defineAsyncComponent, ref } from 'vue'
import ManyChoiceField from '@/components/field/ManyChoiceField.vue'
import QuantityField from '@/components/field/QuantityField.vue'
import SwitchField from '@/components/field/SwitchField.vue'
import TextField from '@/components/field/TextField.vue'
import DialogForm from '@/components/frame/DialogForm.vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import ListInSight from '@/components/frame/ListInSight.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import PhotoStrip from '@/components/record/PhotoStrip.vue'
import LogSheetDialog from '@/components/season/LogSheetDialog.vue'
import { saveFile } from '@/composables/page/saveFile'
import { useJob } from '@/composables/job/useJob'
import { useLog } from '@/composables/season/useLog'
import { usePhotos } from '@/composables/season/usePhotos'
import { useStations } from '@/composables/job/useStations'
import { LONGEST_RECIPE_NOTE } from '@/model/garden/limits'
import { ENTRY_KINDS, type EntryKind } from '@/model/garden/schemas'
import { logCsv } from '@/model/sheets/logCsv'
import { seasonStart, timelineOf, type Timeline } from '@/model/season/timeline'
import type { Matches } from '@/model/sheets/sheet'
import { logFromText } from '@/model/sheets/logSheet'
import { lowerFirst } from '@/text/base/counted'
import { dayText } from '@/text/base/dates'
import { jobTitle } from '@/text/base/titles'
import { ENTRY_NAMES, entryText } from '@/text/season/log'
import { NOTHING_READ, TIMELINE_NAMES } from '@/text/season/timeline'

const SeasonTimeline = defineAsyncComponent(() => import('@/components/season/SeasonTimeline.vue'))

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { garden, job, units, evaluation } = inHand
const log = useLog(inHand)
const { beds, bedOptions, bedName, draft, problem, dayProblem, search, shown, soFar, all, tests, record } =
  log
const photos = usePhotos(garden, () => jobId)
const { to } = useStations(() => jobId)

/** What is noted most; the rest is under a heading. */
const USUAL: readonly EntryKind[] = ['watered', 'fed', 'pH', 'harvest', 'note']
const OTHERS = ENTRY_KINDS.filter((kind) => !USUAL.includes(kind))
const following = ref<Timeline>('pH')
const start = computed(() => job.value && seasonStart({ job: job.value, record: record.value }))
const course = computed(() =>
  job.value && evaluation.value?.ok
    ? timelineOf(following.value, {
        job: job.value,
        record: record.value,
        evaluation: evaluation.value.value,
        entries: all.value.filter(
          (e) => beds.value.length === 0 || e.fillId === null || beds.value.includes(e.fillId),
        ),
        tests: tests.value,
      })
    : null,
)
const notedLine = ref<HTMLElement | null>(null)
/** The keyboard goes on from what was just noted. */
function keep() {
  log.keep()
  if (draft.value === null) notedLine.value?.focus()
}
const sheetOpen = ref(false)
const named = (word: string): EntryKind | undefined => {
  const wanted = word.trim().toLowerCase()
  return ENTRY_KINDS.find((k) => k.toLowerCase() === wanted || ENTRY_NAMES[k].name.toLowerCase() === wanted)
}
const read = (text: string, matches: Matches) =>
  logFromText(
    text,
    jobId,
    {
      known: all.value,
      units: units.value,
      kindOf: named,
      bedOf: (name) => {
        const wanted = name.trim().toLowerCase()
        if (wanted === 'all beds') return null
        return bedOptions.value.find((b) => b.label.toLowerCase() === wanted)?.value
      },
      newId: () => crypto.randomUUID(),
    },
    matches,
  )
const saveCsv = () =>
  saveFile(
    `${jobTitle(job.value!)} log.csv`,
    logCsv(all.value, units.value, bedName, (kind) => ENTRY_NAMES[kind].name),
    'text/csv',
  )
</script>

<template>
  <StationFrame v-if="job" columns="minmax(280px, 1fr) minmax(0, 1.4fr)">
    <section aria-labelledby="log-title">
      <h2 id="log-title">{{ words.log }}</h2>
      <ManyChoiceField
        v-if="job.fills.length > 1"
        v-model="beds"
        :label="common.beds"
        :search="words.typeToFindABed"
        :none="words.noBedIsCalledThat"
        :placeholder="common.allBeds"
        :options="bedOptions"
      />
      <div class="kinds">
        <Button :label="words.watered" icon="pi pi-check" @click="log.watered" />
        <Button
          v-for="kind in USUAL"
          :key="kind"
          :label="kind === 'watered' ? words.wateredSoMuch : ENTRY_NAMES[kind].name"
          outlined
          :aria-pressed="draft?.kind === kind && !draft.of"
          @click="log.begin(kind)"
        />
      </div>
      <p ref="notedLine" role="status" tabindex="-1" class="noted" :class="{ shown: log.noted.value }">
        <template v-if="log.noted.value">
          <i class="pi pi-check" aria-hidden="true" />
          <span>{{ words.noted(ENTRY_NAMES[log.noted.value.kind].name) }}</span>
          <Button :label="words.undo" text size="small" @click="log.takeBack" />
        </template>
      </p>
      <FoldBox id="log-more" :title="words.moreToNote" :says="words.moreToNoteSays">
        <div class="kinds">
          <Button
            v-for="kind in OTHERS"
            :key="kind"
            :label="ENTRY_NAMES[kind].name"
            outlined
            :aria-pressed="draft?.kind === kind && !draft.of"
            @click="log.begin(kind)"
          />
        </div>
        <PhotoStrip
          :photos="photos.photos.value"
          :room="photos.room.value"
          :trouble="photos.trouble.value"
          @add="photos.add"
          @remove="photos.remove"
        />
        <RouterLink :to="{ name: 'tests', params: { garden: garden.name }, query: { of: `job ${jobId}` } }">{{
          common.testTheMix
        }}</RouterLink>
      </FoldBox>
      <DialogForm
        v-if="draft"
        :keep="words.keep(lowerFirst(ENTRY_NAMES[draft.kind].name))"
        :sound="problem === null && dayProblem === null"
        @keep="keep"
        @cancel="draft = null"
      >
        <QuantityField
          v-if="ENTRY_NAMES[draft.kind].quantity"
          :key="draft.kind"
          v-model="draft.value"
          :label="ENTRY_NAMES[draft.kind].ask"
          :quantity="ENTRY_NAMES[draft.kind].quantity!"
          :units="units"
          optional
          :term="draft.kind === 'salts' ? 'dS/m' : draft.kind === 'pH' ? 'pH' : ''"
          :problem="Number.isNaN(draft.value) ? null : problem"
        />
        <QuantityField
          v-if="draft.kind === 'harvest'"
          v-model="draft.count"
          :label="words.numberOfPieces"
          quantity="number"
          optional
          :units="units"
        />
        <TextField v-model="draft.note" :label="common.aWordWithIt" :most="LONGEST_RECIPE_NOTE" />
        <TextField v-model="draft.day" :label="common.day" type="date" :problem="dayProblem" />
        <p v-if="problem" class="soft">{{ problem.fix }}</p>
        <template #beside>
          <Button v-if="draft.of" type="button" :label="words.removeThisLine" text @click="log.removeDraft" />
        </template>
      </DialogForm>
      <p class="on">
        <RouterLink :to="to('wrong')">{{ common.somethingLooksWrong }}</RouterLink>
      </p>
    </section>
    <section aria-labelledby="course-title">
      <div class="row title">
        <h2 id="course-title">{{ words.howItGoes }}</h2>
        <SwitchField v-model="following" :options="TIMELINE_NAMES" :label="common.whatToFollow" />
      </div>
      <SeasonTimeline
        v-if="course && start && course.expected.length"
        :course="course"
        :of="following"
        :start="start"
        :units="units"
      />
      <p v-if="course && course.read.length === 0" class="soft">{{ NOTHING_READ[following] }}</p>
      <p v-if="!start" class="soft">
        {{ words.itsCourseIsDrawnOnce }} <RouterLink :to="to('record')">{{ words.recorded }}</RouterLink>
        {{ words.orPlanted }}
      </p>
      <div class="row title">
        <h2>{{ words.whatWasNoted }}</h2>
        <FoldBox id="log-sheet" :title="words.searchAndSheets">
          <Button
            :label="common.readASheet"
            icon="pi pi-upload"
            text
            size="small"
            @click="sheetOpen = true"
          />
          <Button
            v-if="all.length"
            :label="common.saveAsCsv"
            icon="pi pi-download"
            text
            size="small"
            @click="saveCsv"
          />
          <TextField
            v-if="all.length > 8"
            v-model="search"
            :label="words.searchTheLog"
            hide-label
            :placeholder="words.searchTheLog"
          />
        </FoldBox>
      </div>
      <p v-if="soFar">{{ soFar }}</p>
      <p v-if="all.length === 0" class="soft">
        {{ words.nothingNotedYetOnePress }}
      </p>
      <ListInSight v-slot="{ item }" :items="shown" :lines="4" on-demand class="plain">
        <div class="entry">
          <span class="day">{{ dayText(item.at) }}</span>
          <span class="what">
            <strong>{{ ENTRY_NAMES[item.kind].name }}</strong> {{ entryText(item, units) }}
            <small v-if="job.fills.length > 1">{{ bedName(item.fillId) }}</small>
          </span>
          <button
            type="button"
            class="p-button p-button-text p-button-icon-only"
            :aria-label="words.change(ENTRY_NAMES[item.kind].name, dayText(item.at))"
            @click="log.change(item)"
          >
            <i class="pi pi-pencil" aria-hidden="true" />
          </button>
        </div>
      </ListInSight>
    </section>
    <LogSheetDialog
      v-model:visible="sheetOpen"
      :units="units"
      :read="read"
      :bed-name="bedName"
      @take="log.take"
    />
  </StationFrame>
</template>

<style scoped>
.kinds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
  gap: 8px;
  margin: 12px 0;
}
.kinds .p-button {
  min-height: 48px;
}
.noted {
  display: flex;
  align-items: center;
  gap: 8px;
  margin: 0;
  border-radius: 8px;
}
.noted.shown {
  margin-bottom: 8px;
  padding: 2px 10px;
  background: var(--leaf-wash);
}
.noted:focus {
  outline: none;
}
.title {
  justify-content: space-between;
}
.entry {
  display: flex;
  gap: 12px;
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
.day {
  min-width: 6.5rem;
  color: var(--ink-soft);
  font-variant-numeric: tabular-nums;
}
.what {
  flex: 1;
}
.what small {
  display: block;
}
.title > .fold {
  border-bottom: 0;
}
</style>
