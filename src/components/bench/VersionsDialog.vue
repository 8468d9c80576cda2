<script setup lang="ts">
/** Recipes kept on the way: name them, note on them, go back to one, go on from it. */
import { versionsDialog as words } from '@/text/components/bench'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { LONGEST_NAME, LONGEST_RECIPE_NOTE } from '@/model/garden/limits'
import type { Version } from '@/model/garden/schemas'
import { dayText } from '@/text/base/dates'
import { dosesText, partsText } from '@/text/mix/recipes'
import type { UnitSystem } from '@/text/base/units'
import DialogFrame from '../frame/DialogFrame.vue'

const { versions, current, kept, units } = defineProps<{
  versions: readonly Version[]
  /** The one the bench began from. */
  current: string | null
  /** What is on the bench is one of them. */
  kept: boolean
  units: UnitSystem
}>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{
  keep: [name: string]
  back: [version: Version]
  edit: [versionId: string, change: Partial<Pick<Version, 'name' | 'note'>>]
  remove: [versionId: string]
}>()

const name = ref('')
function keep() {
  emit('keep', name.value.trim() || words.version(versions.length + 1))
  name.value = ''
}
const nameOf = (id: string | null) => versions.find((v) => v.id === id)?.name
/** Newest first, each with how deep it branches. */
const currentName = computed(() => nameOf(current))
const rows = computed(() => [...versions].reverse().map((v) => ({ v, from: nameOf(v.from) })))
</script>

<template>
  <DialogFrame v-model:visible="visible" :header="words.versionsOfThisMix" width="48rem">
    <form class="row" @submit.prevent="keep">
      <InputText
        v-model="name"
        :maxlength="LONGEST_NAME"
        :aria-label="words.nameForWhatIsOn"
        :placeholder="words.nameForWhatIsOn"
        :disabled="kept"
      />
      <Button type="submit" :label="words.keepThisVersion" icon="pi pi-bookmark" :disabled="kept" />
    </form>
    <p class="soft">
      {{ kept ? words.whatIsOnTheBench(currentName ? words.as(currentName) : '') : words.whatIsOnTheBench2 }}
    </p>
    <p v-if="rows.length === 0" class="soft">
      {{ words.noneYetKeepOneBefore }}
    </p>
    <ul class="plain">
      <li v-for="{ v, from } in rows" :key="v.id" :class="{ on: v.id === current }">
        <div class="words">
          <InputText
            :model-value="v.name"
            :maxlength="LONGEST_NAME"
            :aria-label="words.nameOf(v.name)"
            @update:model-value="emit('edit', v.id, { name: $event ?? '' })"
          />
          <p>{{ partsText(v.parts, v.mixes) }}{{ dosesText(v, units) ? `; ${dosesText(v, units)}` : '' }}</p>
          <InputText
            :model-value="v.note"
            :maxlength="LONGEST_RECIPE_NOTE"
            :placeholder="words.aNote"
            :aria-label="words.noteOn(v.name)"
            @update:model-value="emit('edit', v.id, { note: $event ?? '' })"
          />
          <small>{{ dayText(v.at) }}{{ from ? words.from(from) : '' }}</small>
        </div>
        <div class="row">
          <Button
            :label="words.goOnFromIt"
            size="small"
            outlined
            :aria-label="words.goOnFrom(v.name)"
            @click="emit('back', v)"
          />
          <Button
            icon="pi pi-trash"
            text
            severity="danger"
            size="small"
            :aria-label="words.remove(v.name)"
            @click="emit('remove', v.id)"
          />
        </div>
      </li>
    </ul>
  </DialogFrame>
</template>

<style scoped>
form :deep(input) {
  flex: 1;
}
li {
  display: flex;
  gap: 14px;
  justify-content: space-between;
  align-items: flex-start;
  padding: 10px 8px;
  border-bottom: 1px solid var(--rule);
}
.on {
  box-shadow: inset 4px 0 0 var(--clay);
}
.words {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
  gap: 4px;
}
p {
  margin: 4px 0;
}
@media (max-width: 600px) {
  li {
    flex-direction: column;
  }
}
</style>
