import type { Look } from './looks'

/** A small repeatable random source (mulberry32), so that a picture never flickers between paints. */
export function dice(seed: number): () => number {
  let a = seed | 0
  return () => {
    a = (a + 0x6d2b79f5) | 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** Draws one grain of about `size` px across, centred. */
export function drawGrain(
  g: CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D,
  look: Look,
  { x, y, size }: { x: number; y: number; size: number },
  roll: () => number,
) {
  const r = size / 2
  const turn = roll() * Math.PI
  g.fillStyle = look.tint
  g.strokeStyle = look.edge
  g.lineWidth = Math.min(1, size / 6)
  g.beginPath()
  switch (look.grain) {
    case 'flake':
      g.ellipse(x, y, r * 1.5, r * 0.5, turn, 0, Math.PI * 2)
      break
    case 'sliver':
      g.ellipse(x, y, r * 1.7, r * 0.7, (turn - Math.PI / 2) * 0.5, 0, Math.PI * 2)
      break
    case 'hull':
      g.ellipse(x, y, r * 1.6, r * 0.45, turn, 0, Math.PI)
      break
    case 'fibre': {
      const dx = Math.cos(turn) * r * 2
      const dy = Math.sin(turn) * r * 2
      g.moveTo(x - dx, y - dy)
      g.quadraticCurveTo(x + dy * 0.5, y - dx * 0.5, x + dx, y + dy)
      g.lineWidth = Math.max(1, r * 0.4)
      g.strokeStyle = look.tint
      g.stroke()
      return
    }
    case 'plate': {
      const w = r * 1.2
      const h = r * 0.9
      g.rect(x - w, y - h, w * 2, h * 2)
      g.moveTo(x - w, y - h / 3)
      g.lineTo(x + w, y - h / 3)
      g.moveTo(x - w, y + h / 3)
      g.lineTo(x + w, y + h / 3)
      break
    }
    default: {
      const corners = look.grain === 'pebble' ? 8 : look.grain === 'speck' ? 4 : 6
      const rough = look.grain === 'pebble' ? 0.2 : 0.45
      for (let i = 0; i < corners; i++) {
        const a = turn + (i / corners) * Math.PI * 2
        const d = r * (1 - rough * roll())
        if (i === 0) g.moveTo(x + Math.cos(a) * d, y + Math.sin(a) * d)
        else g.lineTo(x + Math.cos(a) * d, y + Math.sin(a) * d)
      }
      g.closePath()
    }
  }
  g.fill()
  if (size > 4) g.stroke()
}
