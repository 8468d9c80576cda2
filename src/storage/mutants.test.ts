import { describe, expect, test } from 'vitest'
import { isLong } from '@/core/testing/draws'
import { demoGarden } from '@/demo/demoGarden'
import { bedsOf, jobsOf } from '@/model/garden/garden'
import { bedSchema, recipeSchema, SCHEMAS, kindOfKey } from '@/model/garden/schemas'
import { readFragment, readShared, shareFile, shareFragment, sharedRecipe } from '@/model/mix/share'
import { bedsFromText, bedsToCsv } from '@/model/sheets/bedSheet'
import { monthsFromText } from '@/model/sheets/climateSheet'
import { exportFile } from './exportFile'
import { previewImport, type FileRead } from './importFile'
import { localLock, memoryPort } from './memory'
import { openGarden } from './openGarden'

/** A repeatable source of numbers below one. */
function source(seed: number) {
  let a = seed
  return () => {
    a = (Math.imul(a, 1664525) + 1013904223) >>> 0
    return a / 2 ** 32
  }
}
type Source = () => number
const pick = <T>(list: readonly T[], random: Source): T => list[Math.floor(random() * list.length)]!

/** Mutants tried: of a garden file, and of each other thing. */
const MANY = isLong ? 2000 : 400
const SOME = isLong ? 500 : 100

/** What faults and careless hands put into a text: cuts, doubles, strange letters, other numbers. */
function mutantOf(text: string, random: Source): string {
  let out = text
  for (let n = 1 + Math.floor(random() * 3); n > 0; n--) {
    const at = Math.floor(random() * out.length)
    const length = Math.floor(random() ** 3 * out.length * 0.3) + 1
    const rest = out.slice(at + length)
    const some = out.slice(at, at + length)
    switch (Math.floor(random() * 8)) {
      case 0:
        out = out.slice(0, at)
        break
      case 1:
        out = out.slice(0, at) + rest
        break
      case 2:
        out = out.slice(0, at) + some + some + rest
        break
      case 3:
        out =
          out.slice(0, at) +
          pick(['"', '{', '}', ',', '\n', '\u0000', '\uFEFF', 'ü', '9', '-', '.'], random) +
          out.slice(at)
        break
      case 4:
        out = out.replace(/\d+(\.\d+)?/g, (number) =>
          random() < 0.03 ? pick(['-1', '1e309', '99999999999', '0', '""', 'null', '1e-9'], random) : number,
        )
        break
      case 5:
        out = out.replace(/"[^"]{1,40}"/g, (word) =>
          random() < 0.02
            ? pick(['""', '"job"', '"__proto__"', 'true', '[]', '{}', `"${'x'.repeat(300)}"`], random)
            : word,
        )
        break
      case 6:
        out = out.slice(0, at) + String.fromCharCode(32 + Math.floor(random() * 0x2000)) + out.slice(at + 1)
        break
      default:
        out = out.slice(at) + out.slice(0, at)
    }
    if (out === '') out = ' '
  }
  return out
}

/** Tries so many mutants of a text; each has to end in one of the ways allowed, soon. */
function tryMutants(text: string, count: number, seed: number, look: (mutant: string) => 'read' | 'refused') {
  const random = source(seed)
  const ended = { read: 0, refused: 0 }
  let slowest = 0
  for (let i = 0; i < count; i++) {
    const mutant = mutantOf(text, random)
    const from = performance.now()
    try {
      ended[look(mutant)]++
    } catch (error) {
      throw new Error(`mutant ${i} of seed ${seed} breaks it: ${mutant.slice(0, 400)}`, { cause: error })
    }
    slowest = Math.max(slowest, performance.now() - from)
  }
  // A hang, not a speed: the slowest takes some hundredths of a second.
  expect(slowest).toBeLessThan(2000)
  // Mutants that are all refused, or all read, would try little.
  expect(ended.refused).toBeGreaterThan(count / 25)
  expect(ended.read).toBeGreaterThan(count / 40)
  return ended
}

const NOW = '2026-03-01T09:00:00.000Z'
const demo = demoGarden()
/** Small enough that a mutant often leaves something whole. */
const small = new Map([...demo].filter(([key], i) => i % 6 === 0 || !key.includes('/')))

function previewed(text: string): FileRead {
  const steps = previewImport(text, new Map())
  let step = steps.next()
  while (!step.done) step = steps.next()
  return step.value
}

describe('mutants', { timeout: 60_000 }, () => {
  test('of a garden file: read, refused, or left out by name; what is read is sound', () => {
    tryMutants(exportFile(small, [], NOW), MANY, 1, (mutant) => {
      const read = previewed(mutant)
      if (!read.ok) return 'refused'
      const { added, unreadableCount } = read.preview
      for (const { key, after } of added) expect(SCHEMAS[kindOfKey(key)!].safeParse(after).success).toBe(true)
      return added.length > 0 || unreadableCount === 0 ? 'read' : 'refused'
    })
  })
  test('of what lies in the store: read or set aside whole, never dropped, never changed', async () => {
    const random = source(2)
    const records = JSON.parse(exportFile(small, [], NOW)).records as { key: string }[]
    let aside = 0
    for (let i = 0; i < SOME; i++) {
      const { key, ...whole } = pick(records, random)
      let raw: unknown
      const text = mutantOf(JSON.stringify(whole), random)
      try {
        raw = JSON.parse(text)
      } catch {
        raw = text
      }
      const port = memoryPort({ [key]: raw })
      const opened = await openGarden(port, localLock(), () => new Date(NOW))
      aside += opened.setAside.length
      expect(opened.records.size + opened.setAside.length).toBe(1)
      if (opened.setAside.length === 1) expect(opened.setAside[0]!.raw).toEqual(raw)
      else expect(port.contents.get(key)).toEqual(raw)
    }
    expect(aside).toBeGreaterThan(SOME / 10)
  })
  test('of a sheet of beds', () => {
    tryMutants(bedsToCsv(bedsOf(demo), 'metric'), SOME, 3, (mutant) => {
      let n = 0
      const { beds, problems } = bedsFromText(mutant, 'metric', { newId: () => `b${n++}`, createdAt: NOW })
      for (const bed of beds) expect(bedSchema.parse(bed)).toEqual(bed)
      return beds.length > 0 ? 'read' : problems.length > 0 ? 'refused' : 'read'
    })
  })
  test('of a climate', () => {
    const rows = Array.from({ length: 12 }, (_, i) => `${i + 1},${i},${i + 9},${40 + i}`)
    tryMutants(`month,tmin,tmax,rain\n${rows.join('\n')}`, 500, 4, (mutant) => {
      const read = monthsFromText(mutant, 'metric')
      if (!read.ok) return 'refused'
      expect(read.months).toHaveLength(12)
      for (const m of read.months) expect(Number.isFinite(m.tMin + m.tMax + m.rain)).toBe(true)
      return 'read'
    })
  })
  const job = {
    ...jobsOf(demo).find((j) => j.parts.length > 1)!,
    dressings: [
      {
        id: 'bone_meal',
        dressingId: 'bone_meal',
        gramsPerLitre: 2,
        place: { kind: 'top' as const, depth: 8 },
        share: 0.5,
      },
    ],
  }
  const shared = sharedRecipe(job, 'Fig', 'A note')
  test('of a recipe in a file', () => {
    tryMutants(shareFile(shared), SOME, 5, (mutant) => {
      const read = readShared(mutant)
      if (!read.ok) return 'refused'
      expect(recipeSchema.safeParse(read.shared.recipe).success).toBe(true)
      return 'read'
    })
  })
  test('of a link', () => {
    const link = shareFragment(shared)
    const random = source(6)
    let refused = 0
    for (let i = 0; i < SOME; i++) {
      const read = readFragment(mutantOf(link, random))
      if (!read?.ok) refused++
      else expect(recipeSchema.safeParse(read.shared.recipe).success).toBe(true)
    }
    expect(refused).toBeGreaterThan(0.6 * SOME)
  })
})
