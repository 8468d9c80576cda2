/** A stream of even numbers from 0 up to 1, the same for the same seed anywhere. */
export type Random = () => number

/**
 * Small fast counter generator, 128 bits of state. `seed` is any whole number; `stream` tells streams of one seed
 * apart.
 * Source: C. Doty-Humphrey's sfc32 (PractRand), public domain algorithm, twenty rounds thrown away.
 *
 * @example
 * seededRandom(7)() // 0.5408
 */
export function seededRandom(seed: number, stream = 0): Random {
  let a = seed | 0
  let b = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) | 0
  let c = stream | 0
  let counter = 1
  const next = () => {
    const t = (((a + b) | 0) + counter) | 0
    counter = (counter + 1) | 0
    a = b ^ (b >>> 9)
    b = (c + (c << 3)) | 0
    c = (c << 21) | (c >>> 11)
    c = (c + t) | 0
    return (t >>> 0) / 4294967296
  }
  for (let i = 0; i < 20; i++) next()
  return next
}

/**
 * One standard normal number. Box & Muller 1958, Ann. Math. Stat. 29:610-611.
 * Without unit; `random` gives numbers from 0 to just below 1.
 *
 * @example
 * normal(seededRandom(7)) // 0.8734
 */
export const normal = (random: Random): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

/**
 * A stream number from a text, so that a material's draws do not depend on its company. FNV-1a, 32 bits.
 * Source: FNV-1a.
 */
export function streamOf(text: string): number {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  return hash | 0
}
