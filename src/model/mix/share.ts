import { strFromU8, strToU8, Unzlib, zlibSync } from 'fflate'
import { z } from 'zod'
import { recipeOf } from './versions'
import { asPerLitre } from '@/model/garden/said'
import { GARDEN_LIMITS, LONGEST_NAME, LONGEST_RECIPE_NOTE } from '@/model/garden/limits'
import {
  ownDressingSchema,
  ownMaterialSchema,
  recipeSchema,
  type OwnDressingRecord,
  type OwnMaterialRecord,
  type Recipe,
} from '@/model/garden/schemas'
import { withLineIds } from '@/model/garden/lineIds'
import { materialIdsOf } from './innerMix'
import { materialById } from '@/core/data'
import { oneLine, plainLines } from '../plainText'

const SHARE_VERSION = 3

/** A recipe on its way to somebody else: complete in itself, with a name and a word. */
export const sharedSchema = z.object({
  format: z.literal('open-bed-recipe'),
  formatVersion: z.literal(SHARE_VERSION),
  name: z.string().max(LONGEST_NAME),
  note: z.string().max(LONGEST_RECIPE_NOTE),
  recipe: recipeSchema,
  /** Materials and dressings of the giver's own that are in it. */
  own: z.object({
    materials: z.array(ownMaterialSchema).max(GARDEN_LIMITS.parts.value),
    dressings: z.array(ownDressingSchema).max(GARDEN_LIMITS.dressings.value),
  }),
})
export type SharedRecipe = z.infer<typeof sharedSchema>

/** Own rows of a garden as they were told. */
export interface OwnRecords {
  materials: readonly OwnMaterialRecord[]
  dressings: readonly OwnDressingRecord[]
}

/** A recipe with those of the giver's own rows that are in it. */
export function sharedRecipe(
  recipe: Recipe,
  name: string,
  note: string,
  own: OwnRecords = { materials: [], dressings: [] },
): SharedRecipe {
  const materials = new Set(materialIdsOf(recipe))
  const dressings = new Set([
    recipe.lime.limeId,
    ...recipe.dressings.map((d) => d.dressingId),
    ...recipe.mixes.flatMap((m) => m.dressings.map((d) => d.dressingId)),
  ])
  return {
    format: 'open-bed-recipe',
    formatVersion: SHARE_VERSION,
    name,
    note,
    recipe: asPerLitre({
      ...recipeOf(recipe),
      dressings: recipe.dressings.map((d) => ({ ...d, beds: undefined })),
    }),
    own: {
      materials: own.materials.filter((m) => materials.has(m.id)),
      dressings: own.dressings.filter((d) => dressings.has(d.id)),
    },
  }
}

/** Why a shared recipe cannot be taken, as plain data: where in it, and what was wrong. */
export type ShareProblem =
  | { code: 'not-readable' }
  | { code: 'not-a-recipe'; where: string; what: string }
  | { code: 'newer'; version: unknown }
  | { code: 'empty' }

export type ShareOutcome =
  { ok: true; shared: SharedRecipe; unknown: string[] } | { ok: false; problem: ShareProblem }

/** As a file people can read. */
export const shareFile = (shared: SharedRecipe): string => `${JSON.stringify(shared, null, 2)}\n`

/** As the fragment of a link: deflated, in the letters a link may hold. */
export function shareFragment(shared: SharedRecipe): string {
  const bytes = zlibSync(strToU8(JSON.stringify(shared)), { level: 9 })
  let text = ''
  for (const b of bytes) text += String.fromCharCode(b)
  return `mix=${btoa(text).replaceAll('+', '-').replaceAll('/', '_').replace(/=+$/, '')}`
}

/** The most a link or file may unfold to, bytes: a recipe is a thousandth of it. */
const MOST = 1_000_000

/** Version 1 knew no finished mixes among the parts. */
function fromVersion1(json: unknown): unknown {
  const old = z.looseObject({ recipe: z.looseObject({}) }).safeParse(json)
  return old.success ? { ...old.data, formatVersion: 2, recipe: { mixes: [], ...old.data.recipe } } : json
}

/** Version 2 knew no own rows, and a dressing stood once in a recipe. */
function fromVersion2(json: unknown): unknown {
  const old = z
    .looseObject({
      recipe: z.looseObject({ dressings: z.array(z.looseObject({ dressingId: z.string() })) }),
    })
    .safeParse(json)
  return old.success
    ? {
        ...old.data,
        formatVersion: SHARE_VERSION,
        recipe: withLineIds(old.data.recipe),
        own: { materials: [], dressings: [] },
      }
    : json
}

/** What every later version makes of a file. */
const STEPS: Readonly<Record<number, (json: unknown) => unknown>> = { 1: fromVersion1, 2: fromVersion2 }

/** Checks a recipe that comes from outside. Materials the tables do not know are named; the rest stands. */
export function readShared(text: string): ShareOutcome {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    return { ok: false, problem: { code: 'not-readable' } }
  }
  const head = z.object({ format: z.literal('open-bed-recipe'), formatVersion: z.number() }).safeParse(json)
  if (head.success && head.data.formatVersion > SHARE_VERSION)
    return { ok: false, problem: { code: 'newer', version: head.data.formatVersion } }
  for (let v = head.success ? head.data.formatVersion : SHARE_VERSION; v < SHARE_VERSION; v++)
    json = STEPS[v]?.(json) ?? json
  const read = sharedSchema.safeParse(json)
  if (!read.success) {
    const issue = read.error.issues[0]!
    return {
      ok: false,
      problem: { code: 'not-a-recipe', where: issue.path.join('.') || 'file', what: issue.message },
    }
  }
  if (read.data.recipe.parts.length === 0) return { ok: false, problem: { code: 'empty' } }
  return {
    ok: true,
    shared: { ...read.data, name: oneLine(read.data.name), note: plainLines(read.data.note) },
    unknown: materialIdsOf(read.data.recipe).filter(
      (id) => !materialById(id) && !read.data.own.materials.some((m) => m.id === id),
    ),
  }
}

/** Bytes unfolded at a time: a few hundred may hold a quarter of a megabyte. */
const SLICE = 256

/** What a link holds, unfolded a little at a time, so that one too large is left as soon as that shows. Throws then. */
function unfolded(bytes: Uint8Array): Uint8Array {
  const whole = new Uint8Array(MOST)
  let size = 0
  const stream = new Unzlib((chunk) => {
    if (size + chunk.length > MOST) throw new RangeError('larger than any recipe')
    whole.set(chunk, size)
    size += chunk.length
  })
  for (let from = 0; from < bytes.length; from += SLICE)
    stream.push(bytes.subarray(from, from + SLICE), from + SLICE >= bytes.length)
  return whole.subarray(0, size)
}

/** The same from the fragment of a link ("#mix=…"). Null where the fragment is about something else. */
export function readFragment(hash: string): ShareOutcome | null {
  const found = /^#?mix=([\w-]+)$/.exec(hash)
  if (!found) return hash.startsWith('#mix=') ? { ok: false, problem: { code: 'not-readable' } } : null
  try {
    const text = atob(found[1]!.replaceAll('-', '+').replaceAll('_', '/'))
    const bytes = Uint8Array.from(text, (c) => c.charCodeAt(0))
    return readShared(strFromU8(unfolded(bytes)))
  } catch {
    return { ok: false, problem: { code: 'not-readable' } }
  }
}
