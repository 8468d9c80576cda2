<script setup lang="ts">
/** Likely causes, the likeliest first: what speaks for and against each, how to tell, what to do. */
import { causeList as words } from '@/text/components/season'
const { causes } = defineProps<{
  causes: readonly {
    id: string
    name: string
    tell: string
    todo: string
    speaksFor: readonly string[]
    speaksAgainst: readonly string[]
  }[]
}>()
</script>

<template>
  <ol class="plain causes">
    <li v-for="(c, i) in causes" :key="c.id">
      <h3>{{ i + 1 }}. {{ c.name }}</h3>
      <p v-for="e in c.speaksFor" :key="e"><span class="for" aria-hidden="true">+</span> {{ e }}</p>
      <p v-for="e in c.speaksAgainst" :key="e" class="soft">
        <span aria-hidden="true">−</span> <span class="visually-hidden">{{ words.speaksAgainstIt }}</span>
        {{ e }}
      </p>
      <p v-if="c.tell"><strong>{{ words.toTell }}</strong> {{ c.tell }}</p>
      <p><strong>{{ words.toDo }}</strong> {{ c.todo }}</p>
    </li>
  </ol>
</template>

<style scoped>
.causes li {
  border-bottom: 1px solid var(--rule);
  padding: 8px 0 10px;
}
h3 {
  margin: 0 0 4px;
}
p {
  margin: 2px 0;
}
.for {
  color: var(--leaf);
  font-weight: 700;
}
</style>
