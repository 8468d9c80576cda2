<script setup lang="ts">
/** What becomes of each mix through the season. */
import { common } from '@/text/base/common'
import { seasonCourses as words } from '@/text/components/compare'
import { computed, defineAsyncComponent, ref } from 'vue'
import type { Compared } from '@/model/mix/compare'
import { courseChart, COURSES, type Course } from '@/text/mix/compare'
import SwitchField from '../field/SwitchField.vue'

const SeasonChart = defineAsyncComponent(() => import('../bench/SeasonChart.vue'))

const { compared } = defineProps<{ compared: readonly Compared[] }>()
const course = ref<Course>('days')
const chart = computed(() => courseChart(compared, course.value))
</script>

<template>
  <section aria-labelledby="season-title">
    <div class="row head">
      <h2 id="season-title">{{ words.throughTheSeason }}</h2>
      <SwitchField v-model="course" :options="COURSES" :label="common.whatToFollow" />
    </div>
    <SeasonChart
      v-if="chart.labels.length"
      :labels="chart.labels"
      :courses="chart.courses"
      :axis="chart.axis"
    />
    <p v-else class="soft">{{ words.itTakesACropAnd }}</p>
  </section>
</template>

<style scoped>
section {
  margin-top: 24px;
}
.head {
  justify-content: space-between;
}
</style>
