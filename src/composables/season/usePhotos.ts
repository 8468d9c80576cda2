import { photos as words } from '@/text/composables/season'
import { computed, ref } from 'vue'
import { photoCount, photosOf } from '@/model/garden/garden'
import { GARDEN_LIMITS } from '@/model/garden/limits'
import { photoRoom } from '@/model/garden/photos'
import type { Command } from '@/model/garden/commands'
import type { Garden } from '@/model/garden/garden'

/** Longest side of a photo as it is kept, points. */
const LONGEST = 1024
/** How finely it is packed, the finest that fits taken. */
const QUALITIES = [0.8, 0.65, 0.5, 0.35]

/** A picture file as a JPEG of at most so many points and letters; null where it is no picture. */
async function shrunk(file: File): Promise<string | null> {
  const picture = await createImageBitmap(file).catch(() => null)
  if (!picture) return null
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(picture.width * scale))
  canvas.height = Math.max(1, Math.round(picture.height * scale))
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  for (const quality of QUALITIES) {
    const jpeg = canvas.toDataURL('image/jpeg', quality)
    if (jpeg.length <= GARDEN_LIMITS.photoLetters.value) return jpeg
  }
  return null
}

/** Photos of a job: shrunk, kept in the browser with everything else, as many as there is room for. */
export function usePhotos(
  garden: { readonly records: Garden; run: (command: Command) => unknown },
  jobId: () => string,
) {
  const trouble = ref<string | null>(null)
  const room = computed(() => photoRoom(photoCount(garden.records)))
  return {
    photos: computed(() => photosOf(garden.records, jobId())),
    room,
    trouble,
    async add(file: File) {
      trouble.value = null
      const jpeg = room.value > 0 ? await shrunk(file) : null
      if (!jpeg) {
        trouble.value =
          room.value > 0
            ? words.isNotAPictureThis(file.name)
            : words.photosAreKeptWhichIs(GARDEN_LIMITS.photos.value)
        return
      }
      const photo = { id: crypto.randomUUID(), jobId: jobId(), takenAt: new Date().toISOString(), jpeg }
      garden.run({ type: 'photo/add', photo })
    },
    remove: (photoId: string) => garden.run({ type: 'photo/remove', photoId }),
  }
}
