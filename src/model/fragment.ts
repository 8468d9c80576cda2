import { strFromU8, strToU8, Unzlib, zlibSync } from 'fflate'

/** The most a link may unfold to, bytes: what is shared is a thousandth of it. */
const MOST = 1_000_000
/** Bytes unfolded at a time: a few hundred may hold a quarter of a megabyte. */
const SLICE = 256

/** Plain data as the fragment of a link, "name=…": deflated, in the letters a link may hold. */
export function toFragment(name: string, data: unknown): string {
  const bytes = zlibSync(strToU8(JSON.stringify(data)), { level: 9 })
  let text = ''
  for (const b of bytes) text += String.fromCharCode(b)
  return `${name}=${btoa(text).replaceAll('+', '-').replaceAll('/', '_').replace(/=+$/, '')}`
}

/** The JSON in the fragment of a link, unchecked. Null where the fragment is about something else. */
export function fromFragment(name: string, hash: string): { ok: true; text: string } | { ok: false } | null {
  const fragment = hash.replace(/^#/, '')
  if (!fragment.startsWith(`${name}=`)) return null
  const letters = fragment.slice(name.length + 1)
  if (!/^[\w-]+$/.test(letters)) return { ok: false }
  try {
    const text = atob(letters.replaceAll('-', '+').replaceAll('_', '/'))
    const bytes = Uint8Array.from(text, (c) => c.charCodeAt(0))
    return { ok: true, text: strFromU8(unfolded(bytes)) }
  } catch {
    return { ok: false }
  }
}

/** What a link holds, unfolded a little at a time, so that one too large is left as soon as that shows. Throws then. */
function unfolded(bytes: Uint8Array): Uint8Array {
  const whole = new Uint8Array(MOST)
  let size = 0
  const stream = new Unzlib((chunk) => {
    if (size + chunk.length > MOST) throw new RangeError('larger than anything shared')
    whole.set(chunk, size)
    size += chunk.length
  })
  for (let from = 0; from < bytes.length; from += SLICE)
    stream.push(bytes.subarray(from, from + SLICE), from + SLICE >= bytes.length)
  return whole.subarray(0, size)
}
