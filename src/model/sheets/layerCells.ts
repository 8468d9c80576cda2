import { materialById, MATERIALS } from '@/core/data'
import { LAYER_KINDS } from '@/core/filling'
import type { BedSpec, Layer } from '@/model/garden/schemas'

/** How a length is written in a cell, in the unit of its column. */
type Write = (cm: number) => string
/** A length of a cell, cm; null where it is none. */
type Read = (text: string) => number | null

const squeeze = (text: string) => text.toLowerCase().replace(/[^a-z0-9:]/g, '')
/** A material by its id or its name as the tables have it. */
const materialNamed = (word: string): string | undefined =>
  (
    materialById(word) ??
    MATERIALS.find((m) => squeeze(m.name) === squeeze(word) || squeeze(m.id) === squeeze(word))
  )?.id

/** What comes before the last word, and that word. */
const split = (text: string): [word: string, size: string] => {
  const [, word = '', size = ''] = /^\s*(.*?)(?:\s+(\S+))?\s*$/.exec(text) ?? []
  return [word, size]
}

export const layersText = (layers: readonly Layer[], write: Write): string =>
  layers.map((l) => `${l.kind === 'material' ? l.materialId : l.kind} ${write(l.thickness)}`).join('; ')

export const coverText = (cover: BedSpec['cover'], write: Write): string =>
  cover ? `${cover.materialId} ${write(cover.thickness)}` : ''

/** One layer of a cell; null where it cannot be read. */
function layerOf(text: string, read: Read): Layer | null {
  if (squeeze(text) === 'cloth') return { kind: 'cloth', thickness: 0 }
  const [word, size] = split(text)
  const thickness = read(size)
  if (thickness === null) return null
  const kind = LAYER_KINDS.find((k) => k === squeeze(word))
  if (kind) return { kind, thickness }
  const materialId = materialNamed(word)
  return materialId === undefined ? null : { kind: 'material', materialId, thickness }
}

export const LAYERS_WANTED = `kinds and thicknesses from the base up, such as gravel 5; of ${LAYER_KINDS.join(', ')} or a material`
export const COVER_WANTED = 'a material and its thickness, such as bark_mulch_shredded 4'

/** Layers of a cell, from the base up; null where one cannot be read. */
export function layersFrom(text: string, read: Read): Layer[] | null {
  const layers = text
    .split(';')
    .filter((layer) => layer.trim() !== '')
    .map((layer) => layerOf(layer, read))
  return layers.every((l): l is Layer => l !== null) ? layers : null
}

/** The cover of a cell; undefined where it cannot be read. */
export function coverFrom(text: string, read: Read): BedSpec['cover'] | undefined {
  const layer = layerOf(text, read)
  if (text.trim() === '') return null
  return layer?.kind === 'material' ? { materialId: layer.materialId, thickness: layer.thickness } : undefined
}
