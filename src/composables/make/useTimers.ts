import { timers as words } from '@/text/composables/make'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, toRaw, watch } from 'vue'
import type { Job } from '@/model/garden/schemas'
import type { GardenDoor } from '../garden/gardenDoor'
import type { JobInHand } from '../job/useJob'

export interface RunningTimer {
  id: string
  label: string
  /** Seconds to go; zero or less once it is over. */
  left: number
}

/** Two short tones, where the browser lets a page make them. */
function ring() {
  try {
    const audio = new AudioContext()
    for (const at of [0, 0.4]) {
      const tone = audio.createOscillator()
      const loud = audio.createGain()
      loud.gain.value = 0.2
      tone.frequency.value = 880
      tone.connect(loud).connect(audio.destination)
      tone.start(audio.currentTime + at)
      tone.stop(audio.currentTime + at + 0.25)
    }
    navigator.vibrate?.([300, 200, 300])
  } catch {
    // No sound: the list says that it is over.
  }
}

/** Count-downs as they are kept. */
type Kept = Job['timers']

/**
 * Count-downs of a job or a test. The moment each ends is kept with it, so they go on through a reload, a lock and a
 * closed tab; only the ringing wants the page open.
 */
export function useTimers(kept: () => Kept, keep: (timers: Kept, what: string) => void) {
  const now = ref(Date.now())
  useIntervalFn(() => (now.value = Date.now()), 1000)
  const running = computed(() =>
    kept()
      .map((t): RunningTimer => ({
        id: t.id,
        label: t.label,
        left: Math.round((Date.parse(t.endsAt) - now.value) / 1000),
      }))
      .sort((a, b) => a.left - b.left),
  )
  watch(running, (after, before) => {
    const open = new Set(before.filter((t) => t.left > 0).map((t) => t.id))
    if (after.some((t) => t.left <= 0 && open.has(t.id))) ring()
  })
  return {
    running,
    start(label: string, minutes: number) {
      const endsAt = new Date(Date.now() + minutes * 60_000).toISOString()
      const others = toRaw(kept()).filter((t) => t.label !== label)
      keep([...others, { id: crypto.randomUUID(), label, endsAt }], words.startingATimer)
    },
    stop: (id: string) =>
      keep(
        toRaw(kept()).filter((t) => t.id !== id),
        words.stoppingATimer,
      ),
  }
}
/** Those of a job. */
export const useJobTimers = ({ garden, job }: Pick<JobInHand<GardenDoor>, 'garden' | 'job'>) =>
  useTimers(
    () => job.value?.timers ?? [],
    (timers, what) =>
      job.value && garden.run({ type: 'job/marks', jobId: job.value.id, change: { timers }, what }),
  )
export type Timers = ReturnType<typeof useTimers>
