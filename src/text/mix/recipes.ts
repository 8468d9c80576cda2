import { lowerFirst } from '../base/counted'
import { misfitText } from '../base/misfit'
import type { Tables } from '@/core/data'
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import { isDose } from '@/core/amounts'
import { isMeasurable, measureText } from '@/core/mixing'
import type { InnerMix, Job, JobBed, Recipe } from '@/model/garden/schemas'
import type { ShareProblem } from '@/model/mix/share'
import type { MixSource } from '@/model/mix/mixSources'
import { placeText } from '../base/labels'
import { jobTitle, shortName } from '../base/titles'
import { briefName } from '../shelf/brief'
import { dressingName } from '../shelf/dressings'
import type { Sentence } from '../base/problems.en'
import { doseText, percentText, pHText, type UnitSystem, volumeText } from '../base/units'

/** "2 fine peat + 1 coarse perlite + ½ compost". `ownName` knows names that are not on this shelf. */
export function partsText(
  parts: Recipe['parts'],
  mixes: Recipe['mixes'] = [],
  ownName: (id: string) => string | undefined = () => undefined,
): string {
  return (
    parts
      .map(
        (p) =>
          `${measureText(p.twelfths)} ${ownName(p.materialId) ?? mixName(mixes, p.materialId) ?? briefName(p.materialId)}`,
      )
      .join(' + ') || 'nothing in it'
  )
}

/** The name of a finished mix among the parts; undefined for a material. */
const mixName = (mixes: Recipe['mixes'], id: string) => mixes.find((m) => m.id === id)?.name

/** What the parts of a recipe are called: a finished mix by its own name. */
export const partNames =
  (recipe: Pick<Recipe, 'mixes'> | null | undefined) =>
  (id: string): string =>
    mixName(recipe?.mixes ?? [], id) ?? shortName(id)

/** What is in a finished mix: by parts where they are small numbers, else by shares of the volume. */
export function insideText({ parts }: InnerMix): string {
  if (parts.every((p) => isMeasurable(p.twelfths) && p.twelfths <= 240)) return partsText(parts)
  const total = parts.reduce((s, p) => s + p.twelfths, 0)
  return parts.map((p) => `${percentText(p.twelfths / total)} ${shortName(p.materialId)}`).join(', ')
}

/** What a bagged mix is taken for, with the lime and feed in it. */
export function bagText(mix: InnerMix, units: UnitSystem): string {
  const words = [insideText(mix)]
  if (isDose(mix.lime.gramsPerLitre)) words.push(`lime ${doseText(mix.lime.gramsPerLitre, units)}`)
  for (const d of mix.dressings)
    words.push(`${lowerFirst(dressingName(d.dressingId))} ${doseText(d.gramsPerLitre, units)}`)
  return words.join('; ')
}

export const KIND_OF_SOURCE: Record<MixSource['kind'], string> = {
  bench: 'as it is now',
  version: 'a version of this mix',
  bag: 'bagged',
  starter: 'a mix to begin from',
  job: 'another job',
}
/** What a whole mix is called where it is offered. */
export function sourceName(source: MixSource): string {
  if (source.kind === 'bench') return 'Your mix now'
  if (source.job) return jobTitle(source.job)
  return source.name.trim() || (source.kind === 'bag' ? 'Bagged mix' : 'A version')
}
/** What is in it, in one line. */
export function sourceText({ bag, recipe }: MixSource, units: UnitSystem): string {
  const mix = bag && recipe.mixes[0]
  if (mix) return bagText(mix, units)
  return [partsText(recipe.parts, recipe.mixes), dosesText(recipe, units)].filter(Boolean).join('; ')
}

/** What is given by weight: lime and the rest. Empty where nothing is. */
export function dosesText({ lime, dressings }: Recipe, units: UnitSystem): string {
  const words: string[] = []
  if (lime.mode === 'toTarget') words.push(`lime to pH ${pHText(lime.target)}`)
  if (lime.mode === 'fixed' && lime.gramsPerLitre > 0)
    words.push(`lime ${doseText(lime.gramsPerLitre, units)}`)
  for (const d of dressings)
    words.push(
      `${lowerFirst(dressingName(d.dressingId))} ${doseText(d.gramsPerLitre, units)} (${placeText(d.place, units)})`,
    )
  return words.join(', ')
}

/** Why a shared recipe was not taken. */
export function shareProblemText(p: ShareProblem): Sentence {
  switch (p.code) {
    case 'not-readable':
      return {
        why: 'This is not a recipe of Open Bed.',
        fix: 'The link may have been cut short: ask for it again, or for the file.',
      }
    case 'not-a-recipe':
      return {
        why: `This recipe is damaged at “${p.where}”: ${misfitText(p.misfit)}.`,
        fix: 'Nothing was taken from it. Ask for it again.',
      }
    case 'newer':
      return {
        why: `This recipe was made by a newer Open Bed (version ${String(p.version)}; this one reads up to 2).`,
        fix: 'Load the newest Open Bed and open it again.',
      }
    case 'empty':
      return { why: 'This recipe has no parts.', fix: 'Ask for it again.' }
  }
}

/** What a job makes, as its pages head it: so many litres where an amount is set, else what its beds take. */
export const jobAmountText = (
  job: Pick<Job, 'amount' | 'fills'>,
  units: UnitSystem,
  tables: Tables,
): string =>
  job.amount === null
    ? mixAmountText(job.fills, units, tables)
    : `${volumeText(job.amount, units)} of mix to make`

/** "6 × 21 L of mix", or all of it where there are several beds; nothing while one of them is wrong. */
function mixAmountText(beds: readonly JobBed[], units: UnitSystem, tables: Tables): string {
  let all = 0
  for (const bed of beds) {
    const needed = mixNeededFor(bed, tables)
    if (!needed.ok) return ''
    all += needed.value.net * bed.count
  }
  const [one] = beds
  return beds.length === 1 && one && one.count > 1
    ? `${one.count} × ${volumeText(all / one.count, units)} of mix`
    : `${volumeText(all, units)} of mix`
}
