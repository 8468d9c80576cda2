<script setup lang="ts">
/** Twelve months and how each suits a crop outside; shown by word and mark, not by tint alone. */
import { monthStrip as words } from '@/text/components/shared'
import type { MonthSuits } from '@/core/season'
import { MONTHS } from '@/text/base/months'
import { SUITS_MARKS, SUITS_NAMES } from '@/text/season/season'

const { suits, planting } = defineProps<{ suits: readonly MonthSuits[]; planting: readonly number[] }>()
</script>

<template>
  <div class="strip">
    <ol :aria-label="words.howTheMonthsSuitIt">
      <li
        v-for="(s, i) in suits"
        :key="i"
        :class="[s, { plant: planting.includes(i + 1) }]"
        :title="`${MONTHS[i]}: ${SUITS_NAMES[s]}${planting.includes(i + 1) ? words.canBePlanted : ''}`"
      >
        <span aria-hidden="true"><b>{{ MONTHS[i]!.slice(0, 1) }}</b><i>{{ SUITS_MARKS[s] }}</i></span
        ><span class="visually-hidden"
          >{{ MONTHS[i] }}: {{ SUITS_NAMES[s] }}{{ planting.includes(i + 1) ? words.canBePlanted : '' }}</span
        >
      </li>
    </ol>
    <p class="soft" aria-hidden="true">
      {{ words.asItLikesPassableToo }}
    </p>
  </div>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(12, 1fr);
  gap: 2px;
}
li > span:first-child {
  display: flex;
  flex-direction: column;
  align-items: center;
  line-height: 1.2;
  padding: 3px 0;
  border-radius: 4px;
  background: var(--sheet);
  border-bottom: 4px solid transparent;
}
li b {
  font-weight: 600;
}
li i {
  font-style: normal;
}
.best > span:first-child {
  background: color-mix(in srgb, var(--leaf) 22%, var(--sheet));
}
.hot > span:first-child {
  background: var(--straw-wash);
}
.plant > span:first-child {
  border-bottom-color: var(--leaf);
}
p {
  font-size: 0.82rem;
  margin: 4px 0 0;
}
</style>
