<script setup lang="ts">
/** What a dialog asks: its fields under each other, then what keeps them and what lets them go. */
import { common } from '@/text/base/common'
import Button from 'primevue/button'

const { keep, sound } = defineProps<{
  /** What keeping is called here. */
  keep: string
  /** It can be kept as it stands. */
  sound: boolean
}>()
const emit = defineEmits<{ keep: []; cancel: [] }>()
</script>

<template>
  <form class="form" @submit.prevent="sound && emit('keep')">
    <slot />
    <div class="row">
      <Button type="submit" :label="keep" :disabled="!sound" />
      <Button type="button" :label="common.cancel" outlined @click="emit('cancel')" />
      <slot name="beside" />
    </div>
  </form>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
</style>
