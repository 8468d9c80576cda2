/** Metals that soil, compost and ash are tested for. */
export const METALS = ['lead', 'arsenic', 'cadmium', 'copper', 'zinc', 'nickel', 'mercury'] as const
export type Metal = (typeof METALS)[number]

/** What each is called among the fields of a test. */
export const METAL_FIELD = {
  lead: 'soilLead',
  arsenic: 'soilArsenic',
  cadmium: 'soilCadmium',
  copper: 'soilCopper',
  zinc: 'soilZinc',
  nickel: 'soilNickel',
  mercury: 'soilMercury',
} as const satisfies Record<Metal, string>
