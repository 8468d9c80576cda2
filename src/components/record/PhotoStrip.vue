<script setup lang="ts">
/** Photos of a job or a field test; with `writing` more may be added. */
import { photoStrip as words } from '@/text/components/record'
import Button from 'primevue/button'
import type { Photo } from '@/model/garden/schemas'
import { counted } from '@/text/base/counted'
import { dayText } from '@/text/base/dates'
import FileButton from '../field/FileButton.vue'

const {
  photos,
  room = 0,
  trouble = null,
} = defineProps<{
  photos: readonly Photo[]
  /** How many more may be kept. */
  room?: number
  trouble?: string | null
}>()
const emit = defineEmits<{ add: [file: File]; remove: [id: string] }>()
</script>

<template>
  <section class="photos" :aria-label="words.photos">
    <figure v-for="p in photos" :key="p.id">
      <img :src="p.jpeg" :alt="words.photoOf(dayText(p.takenAt))" />
      <Button
        icon="pi pi-trash"
        text
        :aria-label="words.removeThePhotoOf(dayText(p.takenAt))"
        @click="emit('remove', p.id)"
      />
    </figure>
    <div class="add no-print">
      <FileButton
        :label="words.addAPhoto"
        name="Photo"
        accept="image/*"
        :most="30"
        quiet
        @file="emit('add', $event)"
      />
      <small>{{ words.shrunkAndKeptInThis(counted(room, 'more', 'more')) }}</small>
      <p v-if="trouble" role="alert">{{ trouble }}</p>
    </div>
  </section>
</template>

<style scoped>
.photos {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
}
figure {
  margin: 0;
  position: relative;
}
img {
  height: 120px;
  max-width: 200px;
  object-fit: cover;
  border-radius: var(--round);
  display: block;
}
figure .p-button {
  position: absolute;
  right: 2px;
  bottom: 2px;
  background: var(--sheet);
}
.add {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
}
</style>
