import { onScopeDispose, shallowRef, watch, type Ref } from 'vue'

const waiting = new Set<() => void>()
/** Frames to go until what waits is done; nought when nothing waits. */
let framesToGo = 0

function tick() {
  if (--framesToGo > 0) return requestAnimationFrame(tick)
  const all = [...waiting]
  waiting.clear()
  for (const job of all) job()
}
/**
 * Does it in the frame after the one about to be painted, together with all else that waits, so that they are drawn
 * once.
 */
function nextFrame(job: () => void) {
  waiting.add(job)
  if (framesToGo === 0) requestAnimationFrame(tick)
  framesToGo = 2
}

/**
 * The same value a frame later: for what may follow the figures under the hand instead of holding them up. Never
 * older than the frame after the last change.
 */
export function useDelayedByFrame<T>(of: Ref<T>) {
  const calm = shallowRef(of.value)
  const follow = () => {
    calm.value = of.value
  }
  watch(of, () => nextFrame(follow))
  onScopeDispose(() => waiting.delete(follow))
  return calm
}
