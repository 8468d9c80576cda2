import { onScopeDispose, shallowRef, watch, type Ref } from 'vue'

const waiting = new Set<() => void>()
/** Frames to go until what waits is done; zero when nothing waits. */
let framesToGo = 0
/** So many frames at the most, however often it is put off. */
const MOST_FRAMES = 10
let waited = 0

function tick() {
  waited++
  if (--framesToGo > 0 && waited < MOST_FRAMES) return requestAnimationFrame(tick)
  framesToGo = 0
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
  if (framesToGo === 0) {
    waited = 0
    requestAnimationFrame(tick)
  }
  framesToGo = 2
}

/**
 * The same value a frame later: for what may follow the figures under the hand instead of holding them up. A burst of
 * changes puts it off for ten frames at the most.
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
