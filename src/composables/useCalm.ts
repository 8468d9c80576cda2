import { onScopeDispose, shallowRef, watch, type Ref } from 'vue'

/**
 * The same value a frame later: for what may follow the figures under the hand instead of holding them up. Never older than
 * the frame after the last change.
 */
export function useCalm<T>(of: Ref<T>) {
  const calm = shallowRef(of.value)
  let frame = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  watch(of, () => {
    cancelAnimationFrame(frame)
    clearTimeout(timer)
    // After the frame that is about to be painted, not in it.
    frame = requestAnimationFrame(() => {
      timer = setTimeout(() => (calm.value = of.value))
    })
  })
  onScopeDispose(() => {
    cancelAnimationFrame(frame)
    clearTimeout(timer)
  })
  return calm
}
