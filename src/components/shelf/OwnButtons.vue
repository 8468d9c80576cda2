<script setup lang="ts">
/** What can be done with something of the grower's own: kept, left, copied, offered no more. */
import { common } from '@/text/base/common'
import { ownButtons as words } from '@/text/components/shelf'
import Button from 'primevue/button'

const { sound, listed, retired } = defineProps<{
  /** It makes a whole row. */
  sound: boolean
  /** It is on the shelf already: it can be copied and retired. */
  listed: boolean
  retired: boolean
}>()
const emit = defineEmits<{ cancel: []; copy: []; retire: [] }>()
</script>

<template>
  <div class="row">
    <Button type="submit" :label="common.keep" :disabled="!sound" />
    <Button type="button" :label="common.cancel" outlined @click="emit('cancel')" />
    <template v-if="listed">
      <Button type="button" :label="common.copy" text :disabled="!sound" @click="emit('copy')" />
      <Button
        type="button"
        :label="retired ? words.offerItAgain : words.offerItNoMore"
        text
        :disabled="!sound"
        @click="emit('retire')"
      />
    </template>
  </div>
</template>
