import { treatedWater, type IrrigationWater } from '@/core/irrigation'
import type { Job, Place } from '../garden/schemas'
import type { MixQuestion, PlaceQuestion } from './question'

/** The water of a place as it comes. */
export const tapOf = (place: Place): IrrigationWater => ({
  alkalinity: place.waterAlkalinity,
  conductivity: place.waterEc,
  softened: place.waterSoftened,
  ions: { sodium: place.waterSodium, chloride: place.waterChloride, boron: place.waterBoron },
  acidified: null,
})

/** The water a job gets: that of its place, treated as the grower chose. */
export const waterOfJob = (place: Place, job: Pick<Job, 'water'>): IrrigationWater =>
  treatedWater(tapOf(place), job.water)

/** A water as a question has it. */
export const askedWater = (
  water: IrrigationWater,
): Pick<
  PlaceQuestion,
  'waterAlkalinity' | 'waterConductivity' | 'waterSoftened' | 'waterIons' | 'waterAcidified'
> => ({
  waterAlkalinity: water.alkalinity,
  waterConductivity: water.conductivity,
  waterSoftened: water.softened,
  waterIons: water.ions,
  ...(water.acidified ? { waterAcidified: water.acidified } : {}),
})

/** The same mix under another water. */
export const underWater = (question: MixQuestion, water: IrrigationWater): MixQuestion => ({
  ...question,
  place: question.place && { ...question.place, waterAcidified: undefined, ...askedWater(water) },
})
