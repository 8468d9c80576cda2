/**
 * What a mix has to meet: easily available water in containers, plant-available water on soil. Fractions, pH, dS/m
 * in the saturated extract, kg in one container, days.
 */
export const TARGETS = [
  'airFilledPorosity',
  'easilyAvailableWater',
  'plantAvailableWater',
  'pH',
  'electricalConductivity',
  'drainedWeight',
  'daysBetweenWaterings',
] as const
export type Target = (typeof TARGETS)[number]
