<script setup lang="ts">
/** A link to hand on: shown whole, selected when it is entered, copied with one press. */
import { common } from '@/text/base/common'
import { useClipboard } from '@vueuse/core'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { useId } from 'vue'

const { link, label } = defineProps<{ link: string; label: string }>()
const id = useId()
const { copy, copied, isSupported } = useClipboard({ legacy: true })
</script>

<template>
  <div>
    <label :for="id">{{ label }}</label>
    <div class="row">
      <InputText
        :id="id"
        :model-value="link"
        readonly
        @focus="($event.target as HTMLInputElement).select()"
      />
      <Button
        v-if="isSupported"
        :label="copied ? common.copied : common.copy"
        icon="pi pi-copy"
        @click="copy(link)"
      />
    </div>
  </div>
</template>

<style scoped>
label {
  display: block;
  font-weight: 600;
  margin-top: 10px;
}
.row {
  margin-top: 8px;
}
input {
  flex: 1;
}
</style>
