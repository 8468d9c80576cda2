<script setup lang="ts">
/** Plays, stops, steps and scrubs through a run. */
import { common } from '@/text/base/common'
import { playBar as words } from '@/text/components/water'
import Button from 'primevue/button'
import { PACES } from '@/composables/page/usePlayback'
import { sinceText } from '@/text/water/watering'
import SwitchField from '../field/SwitchField.vue'

const {
  now,
  hours,
  playing,
  still = false,
} = defineProps<{
  now: number
  hours: number
  playing: boolean
  /** Nothing may move by itself. */
  still?: boolean
}>()
const pace = defineModel<number>('pace', { required: true })
const emit = defineEmits<{ play: []; stop: []; step: [by: 1 | -1]; to: [hours: number] }>()
</script>

<template>
  <div class="bar no-print" role="group" :aria-label="words.time">
    <Button
      v-if="!still"
      :label="playing ? common.stop : words.play"
      :icon="playing ? 'pi pi-pause' : 'pi pi-play'"
      @click="playing ? emit('stop') : emit('play')"
    />
    <Button
      icon="pi pi-step-backward"
      outlined
      :aria-label="words.onePictureBack"
      @click="emit('step', -1)"
    />
    <Button icon="pi pi-step-forward" outlined :aria-label="words.onePictureOn" @click="emit('step', 1)" />
    <input
      class="scrub"
      type="range"
      :aria-label="words.timeSinceTheStart"
      :min="0"
      :max="hours"
      :step="hours / 500"
      :value="now"
      :aria-valuetext="sinceText(now)"
      @input="emit('to', Number(($event.target as HTMLInputElement).value))"
    />
    <output class="figure">{{ sinceText(now) }}</output>
    <SwitchField v-if="!still" v-model="pace" :options="PACES" :label="words.pace" />
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.scrub {
  flex: 1 1 12rem;
  min-width: 8rem;
  min-height: 40px;
  accent-color: var(--clay);
}
output {
  min-width: 6.5rem;
}
</style>
