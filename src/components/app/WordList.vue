<script setup lang="ts">
/** The words of the field in the order of the alphabet, each with what it means here. */
import { wordList as words } from '@/text/components/app'
import { computed, ref } from 'vue'
import { TERMS } from '@/text/glossary'
import TextField from '../field/TextField.vue'

const search = ref('')
const found = computed(() => {
  const wanted = search.value.trim().toLowerCase()
  const rank = (t: (typeof TERMS)[number]) =>
    t.term.toLowerCase().startsWith(wanted) ? 0 : t.term.toLowerCase().includes(wanted) ? 1 : 2
  return TERMS.filter((t) => [t.term, t.means, ...t.never].join(' ').toLowerCase().includes(wanted)).sort(
    (a, b) => rank(a) - rank(b),
  )
})
</script>

<template>
  <TextField
    v-model="search"
    type="search"
    :label="words.searchWords"
    hide-label
    :placeholder="words.searchWords"
  />
  <p v-if="found.length === 0" class="soft">{{ words.noSuchWord }}</p>
  <dl>
    <template v-for="t in found" :key="t.term">
      <dt>{{ t.term }}</dt>
      <dd>{{ t.means }}</dd>
    </template>
  </dl>
</template>

<style scoped>
dl {
  margin: 10px 0 0;
}
dt {
  font-weight: 600;
  margin-top: 8px;
}
dd {
  margin: 0;
}
</style>
