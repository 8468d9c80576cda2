<script setup lang="ts">
/** A pack it is not sold in any more. */
import { common } from '@/text/base/common'
import Button from 'primevue/button'

const emit = defineEmits<{ drop: [] }>()
</script>

<template>
  <Button
    type="button"
    class="away"
    :label="common.notSoldLikeThisAny"
    text
    size="small"
    severity="danger"
    @click="emit('drop')"
  />
</template>

<style scoped>
.away {
  align-self: flex-start;
}
</style>
