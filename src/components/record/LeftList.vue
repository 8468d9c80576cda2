<script setup lang="ts">
/** What the shelf holds when the mix is recorded; asked where more went in than there was. */
import { leftList as words } from '@/text/components/record'
import ChoiceField from '../field/ChoiceField.vue'
import type { leftText } from '@/text/make/settle'

type Answer = 'none' | 'bought'
const { rows, answers } = defineProps<{
  rows: readonly (ReturnType<typeof leftText> & { id: string })[]
  answers: Readonly<Record<string, Answer>>
}>()
const emit = defineEmits<{ answer: [id: string, answer: Answer] }>()
</script>

<template>
  <section aria-labelledby="left-title">
    <h3 id="left-title">{{ words.whatIsLeftOnYour }}</h3>
    <ul class="plain">
      <li v-for="r in rows" :key="r.id">
        <span><strong>{{ r.name }}</strong><small>{{ r.text }}</small></span>
        <ChoiceField
          v-if="r.question"
          :label="r.question"
          :name="`${r.name}: ${r.question}`"
          :model-value="answers[r.id] ?? null"
          :options="r.answers"
          :placeholder="words.choose"
          @update:model-value="$event && emit('answer', r.id, $event as Answer)"
        />
        <strong v-else class="figure">{{ r.left }}</strong>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  justify-content: space-between;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}
li > span {
  display: flex;
  flex-direction: column;
}
</style>
