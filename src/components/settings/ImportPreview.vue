<script setup lang="ts">
/** What a file would change, before it does. */
import Button from 'primevue/button'
import { computed } from 'vue'
import type { ImportPreview } from '@/storage/exportFile'
import { recordNames } from '@/text/commands'
import { unreadableText } from '@/text/problems.en'
import ProblemBox from '../frame/ProblemBox.vue'

const { preview, fileName } = defineProps<{ preview: ImportPreview; fileName: string }>()
const emit = defineEmits<{ take: []; leave: [] }>()
/** As many of each are named; a file of years has thousands. */
const MOST = 100
const added = computed(() => recordNames(preview.added))
const changed = computed(() => recordNames(preview.changed))
const count = computed(() => preview.added.length + preview.changed.length)
</script>

<template>
  <div class="preview" role="region" aria-label="What the file would change">
    <h3>What “{{ fileName }}” would change</h3>
    <p v-if="count === 0">Nothing: all {{ preview.unchanged }} records are here already, just so.</p>
    <ul v-else class="plain">
      <li v-for="(name, i) in added.slice(0, MOST)" :key="`new ${i}`"><b>New:</b> {{ name }}</li>
      <li v-if="added.length > MOST">… and {{ added.length - MOST }} more new ones.</li>
      <li v-for="(name, i) in changed.slice(0, MOST)" :key="`replaced ${i}`"><b>Replaced:</b> {{ name }}</li>
      <li v-if="changed.length > MOST">… and {{ changed.length - MOST }} more that are replaced.</li>
    </ul>
    <p v-if="count && preview.unchanged" class="soft">{{ preview.unchanged }} are the same already.</p>
    <ProblemBox
      v-if="preview.unreadableCount"
      :sentence="{
        why: `${preview.unreadableCount} in the file cannot be read and would be left out:`,
        fix: preview.unreadable.slice(0, 12).map(unreadableText).join(' '),
      }"
    />
    <ProblemBox
      v-if="preview.repeated.length"
      :sentence="{
        why: `${preview.repeated.length} stand in the file more than once, with different contents:`,
        fix: `the last of each is taken (${preview.repeated.slice(0, 12).join(', ')}).`,
      }"
    />
    <div class="row">
      <Button v-if="count" :label="`Bring in ${count}`" @click="emit('take')" />
      <Button label="Leave it" outlined @click="emit('leave')" />
    </div>
  </div>
</template>

<style scoped>
.preview {
  border: 1px solid var(--edge);
  border-radius: var(--round);
  padding: 14px;
}
.row {
  margin-top: 14px;
}
</style>
