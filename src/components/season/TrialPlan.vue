<script setup lang="ts">
/** A row of pots in pairs, each with the mix it gets. */
import { trialPlan as words } from '@/text/components/season'
const { plan } = defineProps<{
  /** Treatment of each place, 0 for A and 1 for B, in blocks of two. */
  plan: readonly number[]
}>()
</script>

<template>
  <ol class="plan" :aria-label="words.potsInTheirRow">
    <li v-for="(t, i) in plan" :key="i" :class="{ last: i % 2 === 1 }">
      <span class="visually-hidden">{{ words.pot(i + 1) }} </span>{{ t === 0 ? 'A' : 'B' }}
    </li>
  </ol>
  <p class="soft">
    {{ words.standThemInThisRow }}
  </p>
</template>

<style scoped>
.plan {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  padding: 0;
  list-style: none;
}
li {
  width: 34px;
  height: 34px;
  display: grid;
  place-content: center;
  border: 1px solid var(--rule);
  border-radius: 50%;
  font-weight: 700;
}
.last {
  margin-right: 10px;
}
</style>
