<script setup lang="ts">
/** What a full, soaked bed may weigh where its weight matters, and who has to be asked. */
import { cautionById } from '@/text/base/cautions'
import CautionList from '../CautionList.vue'

const { heading, lines } = defineProps<{
  heading: string
  /** Empty where nothing can be computed yet: then only the caution is shown. */
  lines: readonly string[]
}>()
</script>

<template>
  <div class="load">
    <p v-for="line in lines" :key="line">{{ line }}</p>
    <CautionList :heading="heading" :cautions="[cautionById('load')]" />
  </div>
</template>

<style scoped>
p {
  margin-bottom: 8px;
}
</style>
