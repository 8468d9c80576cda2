import { onBeforeUnmount, onMounted, type Ref } from 'vue'
import type { Painting } from '@/painting/painter'
import { painterFor, type Painter } from '@/workers/paint.client'

/** Paints on a canvas of the page, beside the page where the browser can; the canvas is let go with its component. */
export function usePainter(canvas: Readonly<Ref<HTMLCanvasElement | null>>): (painting: Painting) => void {
  let painter: Painter | null = null
  onMounted(() => (painter = painterFor(canvas.value!)))
  onBeforeUnmount(() => painter?.drop())
  return (painting) => painter?.paint(painting)
}
