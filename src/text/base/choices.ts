import type { Crop, Dressing, Material } from '@/core/data'
import { cropFindable, dressingFindable, materialFindable } from '../shelf/names'

/** Rows as a select offers them: under their name, found by every other word for them. */
export interface Choice {
  value: string
  label: string
  words: readonly string[]
}
const choice = (id: string, { name, words }: { name: string; words: readonly string[] }): Choice => ({
  value: id,
  label: name,
  words,
})

export const materialChoices = (rows: readonly Material[]): Choice[] =>
  rows.map((m) => choice(m.id, materialFindable(m)))
/** Everything that may be given by weight or by the cup: feeds, limes, then the materials that are parts as well. */
export const dressingChoices = (rows: readonly Dressing[], materials: readonly Material[]): Choice[] => [
  ...rows.map((d) => choice(d.id, dressingFindable(d))),
  ...materialChoices(materials),
]
/** Feeds and other dressings, without lime. */
export const feedChoices = (rows: readonly Dressing[]): Choice[] =>
  rows.filter((d) => d.family !== 'lime').map((d) => choice(d.id, dressingFindable(d)))

const KIND_ORDER = [
  'fruiting veg',
  'leaf',
  'root veg',
  'legume',
  'brassica',
  'allium',
  'grain veg',
  'perennial veg',
  'herb',
  'fruit',
]
/** Crops as growers think of them: by kind, then by name. */
export const cropChoices = (crops: readonly Crop[]): Choice[] =>
  [...crops]
    .sort((a, b) => KIND_ORDER.indexOf(a.kind) - KIND_ORDER.indexOf(b.kind) || a.name.localeCompare(b.name))
    .map((c) => choice(c.id, cropFindable(c)))

/** Lime as a setting has it: which lime, and the share of dolomite with it. */
export const limeChoice = (limeId: string, dolomiteShare: number) => `${limeId} ${dolomiteShare}`
export function limeOfChoice(value: string): { limeId: string; dolomiteShare: number } {
  const at = value.lastIndexOf(' ')
  return { limeId: value.slice(0, at), dolomiteShare: Number(value.slice(at + 1)) }
}

/**
 * Limestone and dolomite, alone or half and half, then whatever else limes; one more where the mix has other shares.
 */
export function limeChoices(
  rows: readonly Dressing[],
  chosen: { limeId: string; dolomiteShare: number },
): Choice[] {
  const plain = (value: string, label: string): Choice => ({ value, label, words: [] })
  const list = [
    plain(limeChoice('lime_calcitic', 0), 'Ground limestone'),
    plain(limeChoice('lime_calcitic', 0.5), 'Limestone and dolomite, half each'),
    plain(limeChoice('lime_calcitic', 1), 'Ground dolomite'),
    ...rows
      .filter((d) => d.family === 'lime' && d.id !== 'lime_calcitic' && d.id !== 'lime_dolomitic')
      .map((d) => choice(limeChoice(d.id, 0), dressingFindable(d))),
  ]
  const now = limeChoice(chosen.limeId, chosen.dolomiteShare)
  if (list.some((c) => c.value === now)) return list
  const percent = Math.round(chosen.dolomiteShare * 100)
  const name = rows.find((d) => d.id === chosen.limeId)?.name ?? 'Lime no longer offered'
  return [...list, plain(now, percent > 0 ? `${name}, ${percent} % dolomite` : name)]
}
