import { playback as says } from '@/text/composables/page'
import { useRafFn } from '@vueuse/core'
import { computed, ref, shallowRef, toValue, watch, type MaybeRefOrGetter } from 'vue'

/** Hours of the run in a second on the page. */
export const PACES = [
  { value: 1 / 60, label: 'Slow', name: says.slowAMinuteASecond },
  { value: 0.5, label: 'Medium', name: says.middlingHalfAnHourA },
  { value: 4, label: 'Fast', name: says.fastFourHoursASecond },
] as const

/** How often words and figures follow what plays, ms: faster nobody reads. */
const READING = 200

/** Plays a run of so many hours: now, a pace, pictures to step between. `times` are those of the pictures kept. */
export function usePlayback(hours: MaybeRefOrGetter<number>, times: MaybeRefOrGetter<ArrayLike<number>>) {
  const now = shallowRef(0)
  /** Where it is for those who read: not every frame. */
  const said = shallowRef(0)
  const pace = ref<number>(PACES[1].value)
  let told = 0
  const say = () => (said.value = now.value)
  const { pause, resume, isActive } = useRafFn(
    ({ delta, timestamp }) => {
      now.value = Math.min(toValue(hours), now.value + (delta / 1000) * pace.value)
      if (timestamp - told > READING) {
        told = timestamp
        say()
      }
      if (now.value >= toValue(hours)) stop()
    },
    { immediate: false },
  )
  function stop() {
    pause()
    say()
  }
  function play() {
    if (now.value >= toValue(hours)) now.value = 0
    resume()
  }
  function to(time: number) {
    now.value = Math.max(0, Math.min(toValue(hours), time))
    say()
  }
  function step(by: 1 | -1) {
    stop()
    const list = Array.from(toValue(times))
    const next = by > 0 ? list.find((t) => t > now.value + 1e-9) : list.findLast((t) => t < now.value - 1e-9)
    if (next !== undefined) to(next)
  }
  watch(
    () => toValue(hours),
    () => to(now.value),
  )
  return { now, said, pace, playing: computed(() => isActive.value), play, stop, step, to }
}
