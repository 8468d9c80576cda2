<script setup lang="ts">
/** The frame of how something is bought: its packs, another one, and how much is on hand. */
import { common } from '@/text/base/common'
import Button from 'primevue/button'
import type { Sentence } from '@/text/base/problems.en'
import type { Quantity, UnitSystem } from '@/text/base/units'
import QuantityField from '../field/QuantityField.vue'
import DialogForm from '../frame/DialogForm.vue'
import DialogFrame from '../frame/DialogFrame.vue'

const { visible, header, sound, roomForMore, stock } = defineProps<{
  visible: boolean
  header: string
  sound: boolean
  /** Another pack can be added. */
  roomForMore: boolean
  /** How what is on hand is asked for. */
  stock: { label: string; quantity: Quantity; hint: string; problem: Sentence | null; units: UnitSystem }
}>()
const onHand = defineModel<number>({ required: true })
const emit = defineEmits<{ add: []; save: []; close: [] }>()
</script>

<template>
  <DialogFrame :visible="visible" :header="header" width="32rem" writing @update:visible="emit('close')">
    <DialogForm
      v-if="visible"
      :keep="common.keep"
      :sound="sound"
      @keep="emit('save')"
      @cancel="emit('close')"
    >
      <slot />
      <Button
        v-if="roomForMore"
        type="button"
        class="away"
        :label="common.itIsSoldInAnother"
        icon="pi pi-plus"
        text
        size="small"
        @click="emit('add')"
      />
      <QuantityField v-model="onHand" v-bind="stock" />
    </DialogForm>
  </DialogFrame>
</template>

<style scoped>
.away {
  align-self: flex-start;
}
</style>
