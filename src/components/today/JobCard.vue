<script setup lang="ts">
/** A job in hand: what it is, and what it asks for next. */
import type { RouteLocationRaw } from 'vue-router'
import type { Job } from '@/model/garden/schemas'
import JobSection from './JobSection.vue'

const {
  job,
  title,
  about,
  says = '',
  to,
  next,
  station,
  late,
} = defineProps<{
  job: Job
  title: string
  /** Its crop and beds. */
  about: string
  /** What is said first of its mix; nothing while it has none. */
  says?: string
  /** Where a press leads. */
  to: RouteLocationRaw
  /** What is next, with its day where it has one. */
  next: string
  station: string
  late: boolean
}>()
</script>

<template>
  <RouterLink class="job" :to="to">
    <JobSection :job="job" />
    <span class="words">
      <strong>{{ title }}</strong>
      <span class="soft">{{ about }}</span>
      <span v-if="says" class="says">{{ says }}</span>
    </span>
    <span class="next"><small :class="{ late }">{{ next }}</small><b>{{ station }} →</b></span>
  </RouterLink>
</template>

<style scoped>
.job {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 8px 14px;
  margin-top: 8px;
  color: var(--ink);
  text-decoration: none;
  border: 1px solid var(--rule);
  border-radius: var(--round);
  background: var(--sheet);
}
.job:hover {
  border-color: var(--clay);
}
.words {
  flex: 1;
  display: flex;
  flex-direction: column;
}
.next {
  text-align: right;
  display: flex;
  flex-direction: column;
}
.late {
  color: var(--alarm);
}
.next b {
  color: var(--clay);
  white-space: nowrap;
}
@media (max-width: 760px) {
  .job {
    gap: 10px;
    padding: 8px 10px;
  }
  .next small {
    display: none;
  }
}
</style>
