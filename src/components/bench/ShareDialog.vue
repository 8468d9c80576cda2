<script setup lang="ts">
/** The recipe for somebody else: a link that carries all of it, a file, a printed card. */
import { common } from '@/text/base/common'
import { shareDialog as words } from '@/text/components/bench'
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { computed, ref } from 'vue'
import { saveFile } from '@/composables/page/saveFile'
import { LONGEST_RECIPE_NOTE } from '@/model/garden/limits'
import type { Recipe } from '@/model/garden/schemas'
import { shareFile, shareFragment, sharedRecipe, type OwnRecords } from '@/model/mix/share'
import DialogFrame from '../frame/DialogFrame.vue'
import LinkToCopy from '../frame/LinkToCopy.vue'

const { recipe, title, own } = defineProps<{
  recipe: Recipe
  title: string
  /** The grower's own rows; those in the recipe go with it. */
  own: OwnRecords
}>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ print: [] }>()

const note = ref('')
const shared = computed(() => sharedRecipe(recipe, title, note.value.trim(), own))
/** Whoever opens it, opens it in a garden of their own. */
const link = computed(() => `${location.origin}/my/recipe#${shareFragment(shared.value)}`)
const file = () => saveFile(`${title || 'mix'}.open-bed.json`, shareFile(shared.value), 'application/json')
function print() {
  visible.value = false
  emit('print')
}
</script>

<template>
  <DialogFrame v-model:visible="visible" :header="words.shareThisMix" width="38rem">
    <label for="share-note">{{ common.aWordWithIt }}</label>
    <Textarea
      id="share-note"
      v-model="note"
      rows="2"
      auto-resize
      :maxlength="LONGEST_RECIPE_NOTE"
      :placeholder="words.whatItWasGoodFor"
    />
    <LinkToCopy :link="link" :label="words.aLinkThatCarriesThe" />
    <div class="row">
      <Button :label="words.saveAsAFile" icon="pi pi-download" outlined @click="file" />
      <Button :label="words.printTheRecipe" icon="pi pi-print" outlined @click="print" />
    </div>
  </DialogFrame>
</template>

<style scoped>
label {
  display: block;
  font-weight: 600;
  margin-top: 10px;
}
textarea {
  width: 100%;
}
.row {
  margin-top: 8px;
}
</style>
