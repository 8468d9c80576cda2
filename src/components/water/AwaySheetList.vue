<script setup lang="ts">
/** The sheet for who waters: each bed with what to do, and what goes for all. */
import type { AwaySheet } from '@/model/water/awaySheet'

const { sheet } = defineProps<{ sheet: Omit<AwaySheet, 'format' | 'formatVersion'> }>()
</script>

<template>
  <article>
    <h1>{{ sheet.title }}</h1>
    <ul class="plain">
      <li v-for="bed in sheet.beds" :key="bed.name">
        <h2>{{ bed.name }}</h2>
        <p v-for="line in bed.does" :key="line">{{ line }}</p>
      </li>
    </ul>
    <ul class="notes">
      <li v-for="note in sheet.notes" :key="note">{{ note }}</li>
    </ul>
  </article>
</template>

<style scoped>
li {
  break-inside: avoid;
  padding: 8px 0;
}
.plain li {
  border-bottom: 1px solid var(--rule);
}
h2 {
  font-size: 1.1rem;
  margin: 0 0 4px;
}
p {
  margin: 0 0 4px;
}
.notes {
  margin-top: 14px;
}
.notes li {
  padding: 2px 0;
}
</style>
