<script setup lang="ts">
/** Why the last change was not taken. */
import { computed } from 'vue'
import AlarmBar from './AlarmBar.vue'
import type { Refusal } from '@/model/garden/commands/refusal'
import { refusalText } from '@/text/base/refusals'

const { refusal } = defineProps<{ refusal: Refusal }>()
const said = computed(() => refusalText(refusal))
</script>

<template>
  <AlarmBar> <strong>{{ said.why }}</strong> {{ said.fix }} </AlarmBar>
</template>
