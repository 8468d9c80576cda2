<script setup lang="ts">
/** Puts a task on another day without a pointer. */
import { moveTask as words } from '@/text/components/season'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { isDay, shortDayText } from '@/text/base/dates'
import ChoiceField from '../field/ChoiceField.vue'
import TextField from '../field/TextField.vue'

const { tasks } = defineProps<{
  tasks: readonly {
    id: string
    title: string
    on: string
    /** The day worked out, where it was moved. */
    movedFrom?: string | undefined
  }[]
}>()
const emit = defineEmits<{ move: [id: string, on: string | null] }>()

const chosen = ref<string | null>(null)
const task = computed(() => tasks.find((t) => t.id === chosen.value) ?? tasks[0]!)
</script>

<template>
  <div class="row" role="group" :aria-label="words.task">
    <ChoiceField
      :model-value="task.id"
      :label="words.task"
      :options="tasks.map((t) => ({ value: t.id, label: t.title }))"
      @update:model-value="chosen = $event"
    />
    <TextField
      :model-value="task.on"
      :label="words.day"
      type="date"
      @update:model-value="isDay($event) && emit('move', task.id, $event)"
    />
    <Button
      v-if="task.movedFrom"
      :label="words.workedOut(shortDayText(task.movedFrom))"
      icon="pi pi-undo"
      outlined
      @click="emit('move', task.id, null)"
    />
  </div>
</template>
