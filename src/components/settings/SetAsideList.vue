<script setup lang="ts">
/** Records that could not be used, or lost to a later edit: kept whole until they are let go. */
import { common } from '@/text/base/common'
import { setAsideList as words } from '@/text/components/settings'
import Button from 'primevue/button'
import type { SetAside } from '@/storage/setAside'
import { unreadableText } from '@/text/base/problems.en'

const { items } = defineProps<{ items: readonly SetAside[] }>()
const emit = defineEmits<{ save: [item: SetAside]; again: [item: SetAside]; go: [item: SetAside] }>()
</script>

<template>
  <ul class="plain">
    <li v-for="item in items" :key="item.id">
      <span
        >{{ unreadableText(item.why) }}
        <small v-if="item.at">{{ item.at.slice(0, 16).replace('T', ' ') }}</small></span
      >
      <span class="row">
        <Button :label="words.download" size="small" outlined @click="emit('save', item)" />
        <Button :label="common.tryAgain" size="small" outlined @click="emit('again', item)" />
        <Button :label="words.letItGo" size="small" text severity="danger" @click="emit('go', item)" />
      </span>
    </li>
  </ul>
</template>

<style scoped>
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  flex-wrap: wrap;
  padding: 10px 0;
  border-bottom: 1px solid var(--rule);
}
</style>
