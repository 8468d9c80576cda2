<script setup lang="ts" generic="V extends string | number | null">
/** One of a few, all in sight. */
import SelectButton from 'primevue/selectbutton'
import { vRoving } from '@/composables/page/vRoving'

const {
  options,
  label = '',
  labelledBy = undefined,
} = defineProps<{
  options: readonly { value: V; label: string; name?: string }[]
  /** For screen readers; or the id of what names it. */
  label?: string
  labelledBy?: string
}>()
const model = defineModel<V>({ required: true })
</script>

<template>
  <SelectButton
    v-model="model"
    v-roving
    :options="[...options]"
    option-label="label"
    option-value="value"
    :allow-empty="false"
    :aria-label="labelledBy ? undefined : label"
    :aria-labelledby="labelledBy"
  >
    <template #option="{ option }">
      <span :aria-hidden="option.name ? true : undefined">{{ option.label }}</span
      ><span v-if="option.name" class="visually-hidden">{{ option.name }}</span>
    </template>
  </SelectButton>
</template>

<style scoped>
.p-selectbutton {
  flex-wrap: wrap;
}
/* Three choices stand beside each other on a phone too. */
@media (max-width: 480px) {
  .p-selectbutton :deep(.p-togglebutton) {
    min-width: 46px;
    padding-inline: 2px;
    font-size: 0.94rem;
  }
  .p-selectbutton :deep(.p-togglebutton-content) {
    padding-inline: 8px;
  }
}
</style>
