<script setup lang="ts">
/** What readings have taught: each material before and after, from which readings; forgotten and taken up again. */
import { common } from '@/text/base/common'
import { learnedView as words } from '@/text/views/learnedView'
import Button from 'primevue/button'
import { computed } from 'vue'
import FigureTable from '@/components/frame/FigureTable.vue'
import TaughtBox from '@/components/tests/TaughtBox.vue'
import { useLearning } from '@/composables/learn/useLearning'
import { useTaught } from '@/composables/learn/useTaught'
import { useGarden } from '@/stores/garden'
import { readingValueText, waitingText } from '@/text/tests/learned'
import { fromReadingsText } from '@/text/readings/reading'
import { readingOf } from '@/core/ranges'

const garden = useGarden()
const units = computed(() => garden.settings.units)
const learning = useLearning(garden)
const { learned, all, fresh, isStale, working, trouble, preview } = learning
const { nameOf, inWords, previewed, questioned } = useTaught(garden, learning)
const rows = computed(() => inWords(learned.value?.rows ?? []))
const readings = computed(() => {
  const from = new Set(learned.value?.from ?? [])
  const without = new Set(learned.value?.without ?? [])
  return [...all.value].reverse().map((r) => ({
    id: r.id,
    name: nameOf(r.id),
    read: readingValueText(r.measurement.kind, readingOf(r.measurement), units.value),
    expected: r.expected === null ? '' : readingValueText(r.measurement.kind, r.expected, units.value),
    isOut: without.has(r.id),
    state: without.has(r.id) ? words.leftOut : from.has(r.id) ? words.learnedFrom : words.notLearnedFromYet,
  }))
})
</script>

<template>
  <div class="page">
    <h1>{{ common.whatReadingsTaught }}</h1>
    <p v-if="all.length === 0" class="soft">
      {{ words.noReadingYetThatSpeaks }}
      <RouterLink :to="{ name: 'tests', params: { garden: garden.name } }">{{
        words.beginWithATest
      }}</RouterLink
      >{{ words.phOfAMixThat }}
    </p>
    <template v-else>
      <p role="status">{{ working ? common.workingOutWhatYourReadings : waitingText(fresh.length) }}</p>
      <p v-if="isStale">{{ words.aReadingItWasLearned }}</p>
      <p v-if="trouble" role="alert">{{ trouble }}</p>
      <Button
        v-if="!preview"
        :label="fresh.length > 0 || isStale ? words.seeWhatTheyTeach : words.workItOutAgain"
        :outlined="fresh.length === 0 && !isStale"
        :disabled="working"
        @click="learning.look()"
      />
      <TaughtBox
        v-if="preview"
        :rows="previewed"
        :questioned="questioned"
        @keep="learning.keep()"
        @trust="learning.trust($event)"
      />
      <section v-if="learned" aria-labelledby="rows-title">
        <h2 id="rows-title">{{ words.onTheShelf }}</h2>
        <p v-if="rows.length === 0" class="soft">{{ words.theReadingsAreAsThe }}</p>
        <details v-for="r in rows" :key="r.id">
          <summary>
            <strong>{{ r.name }}</strong> <span class="soft">{{ fromReadingsText(r.from.length) }}</span>
          </summary>
          <p v-if="r.says">{{ r.says }}</p>
          <FigureTable
            :caption="common.beforeAndAfter(r.name)"
            :head="['', common.asTheTableHasIt, common.asYouReadIt]"
            :rows="r.lines.map((l) => [l.label, l.before, l.after])"
          />
          <ul class="from">
            <li v-for="id in r.from" :key="id">{{ nameOf(id) }}</li>
          </ul>
          <Button
            :label="words.forgetWhatWasLearnedOf(r.name)"
            text
            :disabled="working"
            @click="learning.forgetRow(r.id)"
          />
        </details>
        <Button v-if="rows.length" :label="words.forgetAllOfIt" text @click="learning.forgetAll()" />
      </section>
      <section aria-labelledby="readings-title">
        <h2 id="readings-title">{{ words.readings }}</h2>
        <ul class="plain">
          <li v-for="r in readings" :key="r.id" class="reading">
            <span class="what">
              {{ r.name }}: <strong>{{ r.read }}</strong>
              <template v-if="r.expected">{{ words.expected(r.expected) }}</template>
              <small>{{ r.state }}</small>
            </span>
            <Button
              :label="r.isOut ? words.takeItIn : words.leaveItOut"
              text
              size="small"
              :disabled="working"
              :aria-label="`${r.isOut ? words.takeIn : words.leaveOut}: ${r.name}`"
              @click="learning.leaveOut(r.id, !r.isOut)"
            />
          </li>
        </ul>
      </section>
    </template>
  </div>
</template>

<style scoped>
summary {
  min-height: 44px;
  align-content: center;
  cursor: pointer;
}
.reading {
  display: flex;
  gap: 12px;
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
.what {
  flex: 1;
}
.what small {
  display: block;
}
.from {
  margin: 6px 0;
}
</style>
