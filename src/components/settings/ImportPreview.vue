<script setup lang="ts">
/** What a file would change, before it does. */
import { common } from '@/text/base/common'
import { importPreview as words } from '@/text/components/settings'
import Button from 'primevue/button'
import { computed } from 'vue'
import type { ImportPreview } from '@/storage/importFile'
import { recordNames } from '@/text/base/recordNames'
import { unreadableText } from '@/text/base/problems.en'
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
  <div class="preview" role="region" :aria-label="words.whatTheFileWouldChange">
    <h3>{{ words.whatWouldChange(fileName) }}</h3>
    <p v-if="count === 0">{{ words.nothingAllRecordsAreHere(preview.unchanged) }}</p>
    <ul v-else class="plain">
      <li v-for="(name, i) in added.slice(0, MOST)" :key="`new ${i}`"><b>{{ words.new }}</b> {{ name }}</li>
      <li v-if="added.length > MOST">{{ words.andMoreNewOnes(added.length - MOST) }}</li>
      <li v-for="(name, i) in changed.slice(0, MOST)" :key="`replaced ${i}`">
        <b>{{ words.replaced }}</b> {{ name }}
      </li>
      <li v-if="changed.length > MOST">{{ words.andMoreThatAreReplaced(changed.length - MOST) }}</li>
    </ul>
    <p v-if="count && preview.unchanged" class="soft">{{ words.areTheSameAlready(preview.unchanged) }}</p>
    <ProblemBox
      v-if="preview.unreadableCount"
      :sentence="{
        why: words.inTheFileCannotBe(preview.unreadableCount),
        fix: preview.unreadable.slice(0, 12).map(unreadableText).join(' '),
      }"
    />
    <ProblemBox
      v-if="preview.repeated.length"
      :sentence="{
        why: words.standInTheFileMore(preview.repeated.length),
        fix: words.theLastOfEachIs(preview.repeated.slice(0, 12).join(', ')),
      }"
    />
    <div class="row">
      <Button v-if="count" :label="words.bringIn(count)" @click="emit('take')" />
      <Button :label="common.leaveIt" outlined @click="emit('leave')" />
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
