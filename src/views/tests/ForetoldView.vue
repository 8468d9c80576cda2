<script setup lang="ts">
/** Every reading beside what was expected of it, by figure, with the share inside the likely range. */
import { computed, onMounted, shallowRef } from 'vue'
import FigureTable from '@/components/frame/FigureTable.vue'
import { useLearning } from '@/composables/learn/useLearning'
import { useTaught } from '@/composables/learn/useTaught'
import type { ReadingTold } from '@/core/ranges'
import { foretoldOf } from '@/model/learn/foretold'
import { useGarden } from '@/stores/garden'
import { foretoldText, readingToldRows } from '@/text/learned'

const garden = useGarden()
const learning = useLearning(garden)
const { all, working, trouble } = learning
const { nameOf } = useTaught(garden, learning)
const told = shallowRef<readonly ReadingTold[]>([])
onMounted(async () => {
  if (all.value.length > 0) told.value = (await learning.tell()) ?? []
})
const summary = computed(() => foretoldOf(told.value).map(foretoldText))
const rows = computed(() =>
  readingToldRows(told.value, nameOf, garden.settings.units).map(({ cells }) => cells),
)
</script>

<template>
  <div class="page">
    <h1>How well was it foretold?</h1>
    <p class="soft">
      Each reading beside what the tables alone had led to expect, before anything was learned. Where eight in
      ten lie inside the likely range, the ranges are honest.
    </p>
    <p v-if="all.length === 0">
      No reading yet.
      <RouterLink :to="{ name: 'tests', params: { garden: garden.name } }">Begin with a test.</RouterLink>
    </p>
    <p v-else-if="working" role="status">Holding your readings against what was expected…</p>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
    <ul v-if="summary.length">
      <li v-for="s in summary" :key="s">{{ s }}</li>
    </ul>
    <div v-if="rows.length" class="scroll" tabindex="0" role="region" aria-label="Every reading">
      <FigureTable
        caption="Readings beside what was expected"
        :head="['Reading', 'read', 'expected, likely range', 'expected since']"
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
