import { paintOn, type Painting } from '@/painting/painter'
import type { PaintMessage } from './paint.worker'

let worker: Worker | undefined
let ids = 0

/** Paints on one canvas, beside the page where the browser can, on the page where it cannot. */
export interface Painter {
  paint: (painting: Painting) => void
  /** Lets the canvas go. */
  drop: () => void
}

export function painterFor(canvas: HTMLCanvasElement): Painter {
  if (!('transferControlToOffscreen' in canvas))
    return { paint: (p) => paintOn(canvas, p), drop: () => undefined }
  worker ??= new Worker(new URL('./paint.worker.ts', import.meta.url), { type: 'module' })
  const id = ++ids
  const send = (message: PaintMessage, transfer: Transferable[] = []) =>
    worker!.postMessage(message, transfer)
  const offscreen = canvas.transferControlToOffscreen()
  send({ kind: 'canvas', id, canvas: offscreen }, [offscreen])
  return {
    paint: (painting) => send({ kind: 'paint', id, painting }),
    drop: () => send({ kind: 'drop', id }),
  }
}
