import { LEAST_ROOM, sizeInRoom } from '../climate'
import { SEEDLING_VOLUME } from '../filling/limits'
import type { Judgement, JudgementQuestion } from './judgement'

/** Too little root room for any crop to speak of: said before all else, for no mix mends it. */
export function potTooSmall({
  evaluation: e,
  crop,
  plants = 1,
  container,
}: Pick<JudgementQuestion, 'evaluation' | 'crop' | 'plants' | 'container'>): Judgement[] {
  if (!crop || container.base.kind === 'onSoil' || e.mix.mixVolume / plants < SEEDLING_VOLUME) return []
  const wanted = crop.properties.minRootVolume.value
  const room = e.mix.mixVolume / plants
  return room < LEAST_ROOM * wanted
    ? [{ level: 'alarm', code: 'pot-too-small', crop: crop.id, room, wanted, share: sizeInRoom(crop, room) }]
    : []
}
