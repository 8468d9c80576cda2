import { paintOn, type Painting } from '../painting/painter'

/**
 * Pictures of mixes, painted beside the page. Only the newest painting of a canvas is done: those overtaken are
 * skipped.
 */
export type PaintMessage =
  | { kind: 'canvas'; id: number; canvas: OffscreenCanvas }
  | { kind: 'paint'; id: number; painting: Painting }
  | { kind: 'drop'; id: number }

const canvases = new Map<number, OffscreenCanvas>()
const waiting = new Map<number, Painting>()
let due = false

function work() {
  due = false
  for (const [id, painting] of waiting) {
    const canvas = canvases.get(id)
    if (canvas) paintOn(canvas, painting)
  }
  waiting.clear()
}

self.onmessage = ({ data }: MessageEvent<PaintMessage>) => {
  if (data.kind === 'canvas') canvases.set(data.id, data.canvas)
  else if (data.kind === 'drop') {
    canvases.delete(data.id)
    waiting.delete(data.id)
  } else {
    waiting.set(data.id, data.painting)
    if (!due) {
      due = true
      setTimeout(work)
    }
  }
}
