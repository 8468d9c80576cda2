<script setup lang="ts">
/** Short cautions where the hand is about to do the thing, each with who to ask. */
import type { Caution } from '@/text/cautions'
const { cautions, heading } = defineProps<{ cautions: readonly Caution[]; heading: string }>()
</script>

<template>
  <aside v-if="cautions.length" class="cautions" :aria-label="heading">
    <h3><span aria-hidden="true">⚠ </span>{{ heading }}</h3>
    <ul class="plain">
      <li v-for="c in cautions" :key="c.id">
        <strong>{{ c.title }}.</strong> {{ c.text }} <span class="soft">Ask: {{ c.ask }}.</span>
      </li>
    </ul>
  </aside>
</template>

<style scoped>
.cautions {
  background: var(--straw-wash);
  border-left: 6px solid var(--straw);
  border-radius: 4px;
  padding: 10px 14px;
  color: var(--ink);
}
.cautions .soft {
  color: var(--ink);
  font-style: italic;
}
li {
  margin-top: 6px;
}
</style>
