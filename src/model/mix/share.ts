import { z } from 'zod/mini'
import { fromFragment, toFragment } from '../fragment'
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
import { misfitIn, type Misfit } from '@/model/garden/schemas/misfit'
import { materialIdsOf } from './innerMix'
import { materialById } from '@/core/data'
import { oneLine, plainLines } from '../plainText'

const SHARE_VERSION = 3

/** A recipe on its way to somebody else: complete in itself, with a name and a word. */
export const sharedSchema = z.object({
  format: z.literal('open-bed-recipe'),
  formatVersion: z.literal(SHARE_VERSION),
  name: z.string().check(z.maxLength(LONGEST_NAME)),
  note: z.string().check(z.maxLength(LONGEST_RECIPE_NOTE)),
  recipe: recipeSchema,
  /** Materials and dressings of the giver's own that are in it. */
  own: z.object({
    materials: z.array(ownMaterialSchema).check(z.maxLength(GARDEN_LIMITS.parts.value)),
    dressings: z.array(ownDressingSchema).check(z.maxLength(GARDEN_LIMITS.dressings.value)),
  }),
})
export type SharedRecipe = z.infer<typeof sharedSchema>

/** Own rows of a garden as they were entered. */
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
  | { code: 'not-a-recipe'; where: string; misfit: Misfit }
  | { code: 'newer'; version: unknown }
  | { code: 'empty' }

export type ShareOutcome =
  | { ok: true; shared: SharedRecipe; unknown: string[] }
  | { ok: false; problem: ShareProblem }

/** As a file people can read. */
export const shareFile = (shared: SharedRecipe): string => `${JSON.stringify(shared, null, 2)}\n`

/** As the fragment of a link. */
export const shareFragment = (shared: SharedRecipe): string => toFragment('mix', shared)

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

/** Checks a recipe that comes from outside. Materials the tables do not know are named; the rest is kept. */
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
    const { path, misfit } = misfitIn(json, read.error.issues)
    return { ok: false, problem: { code: 'not-a-recipe', where: path.join('.') || 'file', misfit } }
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

/** The same from the fragment of a link ("#mix=…"). Null where the fragment is about something else. */
export function readFragment(hash: string): ShareOutcome | null {
  const read = fromFragment('mix', hash)
  if (!read) return null
  return read.ok ? readShared(read.text) : { ok: false, problem: { code: 'not-readable' } }
}
