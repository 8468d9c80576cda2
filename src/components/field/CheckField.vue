<script setup lang="ts">
/** Yes or no, its words beside the box. */
import Checkbox from 'primevue/checkbox'
import { useId } from 'vue'

const { label } = defineProps<{ label: string }>()
const model = defineModel<boolean>({ required: true })
const id = useId()
</script>

<template>
  <label class="check" :for="id">
    <Checkbox v-model="model" :input-id="id" binary />
    {{ label }}
  </label>
</template>

<style scoped>
.check {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
}
</style>
