<script setup lang="ts">
/** Jobs looked back on or put away: kept for doing again. */
import { doneJobs as words } from '@/text/components/today'
import Button from 'primevue/button'
import { ref } from 'vue'
import type { RouteLocationRaw } from 'vue-router'
import ListInSight from '../frame/ListInSight.vue'
import PlainLine from './PlainLine.vue'

const { jobs } = defineProps<{
  jobs: readonly { id: string; title: string; about: string; archived: boolean; to: RouteLocationRaw }[]
}>()
const open = ref(false)
const emit = defineEmits<{ again: [id: string]; take: [id: string] }>()
</script>

<template>
  <details v-if="jobs.length" class="done" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>{{ words.doneAndPutAway(jobs.length) }}</summary>
    <ListInSight v-if="open" v-slot="{ item: job }" :items="jobs">
      <PlainLine>
        <span>
          <RouterLink :to="job.to">{{ job.title }}</RouterLink><br /><span class="soft">{{ job.about }}</span>
        </span>
        <span class="row">
          <Button
            :label="words.again"
            icon="pi pi-replay"
            size="small"
            outlined
            :aria-label="words.beginAgainForAnotherYear(job.title)"
            @click="emit('again', job.id)"
          />
          <Button
            v-if="job.archived"
            :label="words.takeUp"
            size="small"
            text
            :aria-label="words.takeUpAgain(job.title)"
            @click="emit('take', job.id)"
          />
        </span>
      </PlainLine>
    </ListInSight>
  </details>
</template>

<style scoped>
.done {
  margin-top: 18px;
}
summary {
  cursor: pointer;
  color: var(--clay);
  padding: 6px 0;
}
</style>
