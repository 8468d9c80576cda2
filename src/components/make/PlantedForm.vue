<script setup lang="ts">
/** The day a job is planted or sown: from it the season is counted. */
import { plantedForm as words } from '@/text/components/make'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { dayProblem, isDay, isoDay } from '@/text/base/dates'
import TextField from '../field/TextField.vue'

const { planted, open, hasCrop } = defineProps<{
  /** The day it was planted; null until then. */
  planted: string | null
  /** Some step is not ticked yet. */
  open: boolean
  hasCrop: boolean
}>()
const emit = defineEmits<{ plant: [day: string]; undo: [] }>()
const day = ref(planted ?? isoDay(new Date()))
const problem = computed(() => dayProblem(day.value, words.plantedOrSown))
const plant = () => isDay(day.value) && emit('plant', day.value)
</script>

<template>
  <form class="card planted" @submit.prevent="plant">
    <h2>{{ planted ? words.planted : words.allIn }}</h2>
    <p v-if="open" class="soft">{{ words.notEveryStepIsTicked }}</p>
    <TextField v-model="day" :label="words.plantedOrSownOn" type="date" :problem="problem" />
    <p v-if="hasCrop && !planted" class="soft">{{ words.theSeasonIsCountedFrom }}</p>
    <div class="row">
      <Button
        type="submit"
        :label="planted ? words.keepThisDay : words.itIsPlanted"
        icon="pi pi-check"
        :disabled="problem !== null"
      />
      <Button v-if="planted" :label="words.notYetAfterAll" text @click="emit('undo')" />
    </div>
  </form>
</template>

<style scoped>
.planted {
  margin-bottom: 18px;
  display: flex;
  flex-direction: column;
  gap: 6px;
  align-items: flex-start;
}
p {
  margin: 0;
}
</style>
