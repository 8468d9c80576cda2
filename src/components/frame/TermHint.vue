<script setup lang="ts">
/** A "?" beside a term of the field; pressed, it says in a sentence what the term means. */
import { termHint as words } from '@/text/components/frame'
import { computed, ref, shallowRef, useId } from 'vue'
import type { Term } from '@/text/glossary'

const { term } = defineProps<{ term: string }>()
const id = useId()
const open = ref(false)
const terms = shallowRef<readonly Term[]>([])
const means = computed(() => terms.value.find((t) => t.term === term)?.means ?? '')
/** The list of words is fetched when somebody asks for one. */
async function toggle() {
  open.value = !open.value
  if (open.value && terms.value.length === 0) terms.value = (await import('@/text/glossary')).TERMS
}
</script>

<template>
  <button
    type="button"
    class="hint"
    :aria-label="words.whatIs(term)"
    :aria-expanded="open"
    :aria-controls="id"
    @click="toggle"
  >
    ?
  </button>
  <span :id="id" role="status" class="means">{{ open ? means : '' }}</span>
</template>

<style scoped>
.hint {
  position: relative;
  width: 22px;
  height: 22px;
  margin-left: 4px;
  padding: 0;
  border: 1.5px solid var(--edge);
  border-radius: 50%;
  background: none;
  color: var(--clay);
  font: 700 0.85rem/1 var(--text);
  cursor: pointer;
}
/* As large under a thumb as any button. */
.hint::after {
  content: '';
  position: absolute;
  inset: -12px;
}
.means:not(:empty) {
  display: block;
  max-width: 34rem;
  margin: 2px 0 4px;
  font-weight: 400;
  font-size: 0.92rem;
  color: var(--ink-soft);
}
</style>
