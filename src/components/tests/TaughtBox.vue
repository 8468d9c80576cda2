<script setup lang="ts">
/** What readings teach before it is kept: each material before and after, and readings that are questioned. */
import { common } from '@/text/base/common'
import { taughtBox as words } from '@/text/components/tests'
import Button from 'primevue/button'
import type { LearnedLine } from '@/text/tests/learned'
import FigureTable from '../frame/FigureTable.vue'

const { rows, questioned } = defineProps<{
  rows: readonly { id: string; name: string; says: string; lines: readonly LearnedLine[] }[]
  questioned: readonly { id: string; text: string }[]
}>()
const emit = defineEmits<{ keep: []; trust: [id: string] }>()
</script>

<template>
  <div class="taught">
    <p v-for="q in questioned" :key="q.id" class="odd" role="alert">
      {{ q.text }}
      <Button :label="words.itIsRight" outlined size="small" @click="emit('trust', q.id)" />
    </p>
    <p v-if="rows.length === 0 && questioned.length === 0" class="soft">
      {{ words.theReadingsAreAsThe }}
    </p>
    <section v-for="r in rows" :key="r.id">
      <h3>{{ r.name }}</h3>
      <p v-if="r.says">{{ r.says }}</p>
      <FigureTable
        :caption="common.beforeAndAfter(r.name)"
        :head="['', common.asTheTableHasIt, common.asYouReadIt]"
        :rows="r.lines.slice(0, 5).map((l) => [l.label, l.before, l.after])"
      />
    </section>
    <Button v-if="rows.length" :label="words.useThisFromNowOn" icon="pi pi-check" @click="emit('keep')" />
  </div>
</template>

<style scoped>
.odd {
  border-left: 4px solid var(--alarm);
  padding-left: 10px;
}
section {
  margin: 8px 0 14px;
}
h3 {
  margin: 0;
}
</style>
