<script setup lang="ts">
/** Why something cannot be worked out, and what to do. */
import type { Sentence } from '@/text/base/problems.en'
const { sentence } = defineProps<{ sentence: Sentence }>()
</script>

<template>
  <div class="problem" role="status">
    <strong>{{ sentence.why }}</strong> {{ sentence.fix }}
    <slot />
  </div>
</template>

<style scoped>
.problem {
  background: var(--alarm-wash);
  border-left: 6px solid var(--alarm);
  border-radius: 4px;
  padding: 10px 14px;
}
</style>
