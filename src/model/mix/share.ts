import { strFromU8, strToU8, unzlibSync, zlibSync } from 'fflate'
import { z } from 'zod'
import { recipeOf } from './versions'
import { LONGEST_NAME, LONGEST_RECIPE_NOTE } from '@/model/garden/limits'
import { recipeSchema, type Recipe } from '@/model/garden/schemas'
import { materialIdsOf } from './innerMix'
import { materialById } from '@/core/data'

/** A recipe on its way to somebody else: complete in itself, with a name and a word. */
export const sharedSchema = z.object({
  format: z.literal('open-bed-recipe'),
  formatVersion: z.literal(2),
  name: z.string().max(LONGEST_NAME),
  note: z.string().max(LONGEST_RECIPE_NOTE),
  recipe: recipeSchema,
})
export type SharedRecipe = z.infer<typeof sharedSchema>

export const sharedRecipe = (recipe: Recipe, name: string, note: string): SharedRecipe => ({
  format: 'open-bed-recipe',
  formatVersion: 2,
  name,
  note,
  recipe: recipeOf(recipe),
})

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

/** Checks a recipe that comes from outside. Materials the tables do not know are named; the rest stands. */
export function readShared(text: string): ShareOutcome {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    return { ok: false, problem: { code: 'not-readable' } }
  }
  const head = z.object({ format: z.literal('open-bed-recipe'), formatVersion: z.number() }).safeParse(json)
  if (head.success && head.data.formatVersion > 2)
    return { ok: false, problem: { code: 'newer', version: head.data.formatVersion } }
  const read = sharedSchema.safeParse(
    head.success && head.data.formatVersion === 1 ? fromVersion1(json) : json,
  )
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
    shared: read.data,
    unknown: materialIdsOf(read.data.recipe).filter((id) => !materialById(id)),
  }
}

/** The same from the fragment of a link ("#mix=…"). Null where the fragment is about something else. */
export function readFragment(hash: string): ShareOutcome | null {
  const found = /^#?mix=([\w-]+)$/.exec(hash)
  if (!found) return hash.startsWith('#mix=') ? { ok: false, problem: { code: 'not-readable' } } : null
  try {
    const text = atob(found[1]!.replaceAll('-', '+').replaceAll('_', '/'))
    const bytes = Uint8Array.from(text, (c) => c.charCodeAt(0))
    // Unfolded into a buffer of a fixed size, so that a small link cannot fill the memory.
    const out = unzlibSync(bytes, { out: new Uint8Array(MOST) })
    return readShared(strFromU8(out))
  } catch {
    return { ok: false, problem: { code: 'not-readable' } }
  }
}
