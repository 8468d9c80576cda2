<script setup lang="ts">
/** Every reading beside what was expected of it, by figure, with the share inside the likely range. */
import { common } from '@/text/base/common'
import { predictionsView as words } from '@/text/views/predictionsView'
import Button from 'primevue/button'
import { computed, onMounted, shallowRef } from 'vue'
import FigureTable from '@/components/frame/FigureTable.vue'
import { useLearning } from '@/composables/learn/useLearning'
import { useTaught } from '@/composables/learn/useTaught'
import type { ReadingTold } from '@/core/ranges'
import { predictionsOf } from '@/model/learn/predictions'
import { useGarden } from '@/stores/garden'
import { predictionText, readingToldRows } from '@/text/tests/learned'

const garden = useGarden()
const learning = useLearning(garden)
const { all, working, trouble } = learning
const { nameOf } = useTaught(garden, learning)
const told = shallowRef<readonly ReadingTold[]>([])
async function tell() {
  if (all.value.length > 0) told.value = (await learning.tell()) ?? []
}
onMounted(tell)
const summary = computed(() => predictionsOf(told.value).map(predictionText))
const rows = computed(() =>
  readingToldRows(told.value, nameOf, garden.settings.units).map(({ cells }) => cells),
)
</script>

<template>
  <div class="page">
    <h1>{{ common.howCloseWereThePredictions }}</h1>
    <p class="soft">
      {{ words.eachReadingBesideWhatThe }}
    </p>
    <p v-if="all.length === 0">
      {{ words.noReadingYet }}
      <RouterLink :to="{ name: 'tests', params: { garden: garden.name } }">{{
        words.beginWithATest
      }}</RouterLink>
    </p>
    <p v-else-if="working" role="status">{{ words.holdingYourReadingsAgainstWhat }}</p>
    <p v-if="trouble" role="alert">
      {{ trouble }} <Button :label="common.tryAgain" size="small" outlined @click="tell" />
    </p>
    <ul v-if="summary.length">
      <li v-for="s in summary" :key="s">{{ s }}</li>
    </ul>
    <div v-if="rows.length" class="scroll" tabindex="0" role="region" :aria-label="words.everyReading">
      <FigureTable
        :caption="words.readingsBesideWhatWasExpected"
        :head="[words.reading, 'read', words.expectedLikelyRange, words.expectedSince]"
        :rows="rows"
      />
    </div>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
</style>
