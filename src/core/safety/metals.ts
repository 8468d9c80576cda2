import { METALS, type Metal } from './metalFields'

/** A limit that somebody has published, mg in a kg of dry matter. */
export interface PublishedLimit {
  metal: Metal
  of: 'soil' | 'compost'
  name: string
  year: number
  value: number
}

const soil = (metal: Metal, name: string, year: number, value: number): PublishedLimit => ({
  metal,
  of: 'soil',
  name,
  year,
  value,
})
const inCompost = (name: string, year: number, values: Partial<Record<Metal, number>>): PublishedLimit[] =>
  METALS.flatMap((metal) => {
    const value = values[metal]
    return value === undefined ? [] : [{ metal, of: 'compost', name, year, value }]
  })

/**
 * Published limits for soil that food grows in, and for compost. Local rules come first: these differ from land to
 * land.
 * Source: each by its name and year, from memory.
 */
export const PUBLISHED_LIMITS: readonly PublishedLimit[] = [
  soil('lead', 'California OEHHA screening', 2009, 80),
  soil('lead', 'UK C4SL, allotments', 2014, 80),
  soil('lead', 'Canada CCME, farm land', 1999, 70),
  soil('lead', 'US EPA residential guidance', 2024, 200),
  soil('lead', 'Germany BBodSchV, play areas', 1999, 200),
  soil('arsenic', 'Canada CCME', 1997, 12),
  soil('arsenic', 'New York, unrestricted', 2006, 13),
  soil('arsenic', 'UK C4SL, allotments', 2014, 49),
  soil('cadmium', 'Canada CCME, farm land', 1999, 1.4),
  soil('cadmium', 'New York, unrestricted', 2006, 2.5),
  soil('cadmium', 'UK C4SL, allotments', 2014, 3.9),
  soil('copper', 'Canada CCME, farm land', 1999, 63),
  soil('zinc', 'Canada CCME, farm land', 2018, 250),
  soil('nickel', 'Canada CCME', 2015, 45),
  soil('nickel', 'EU 86/278, sludge on soils', 1986, 50),
  soil('mercury', 'EU 86/278, sludge on soils', 1986, 1),
  soil('mercury', 'Canada CCME', 1999, 6.6),
  ...inCompost('UK PAS 100', 2018, {
    lead: 200,
    cadmium: 1.5,
    copper: 200,
    zinc: 400,
    nickel: 50,
    mercury: 1,
  }),
  ...inCompost('EU 2019/1009, soil improver', 2019, {
    lead: 120,
    arsenic: 40,
    cadmium: 2,
    copper: 300,
    zinc: 800,
    nickel: 50,
    mercury: 1,
  }),
  ...inCompost('Canada CCME, category A', 2005, {
    lead: 150,
    arsenic: 13,
    cadmium: 3,
    copper: 400,
    zinc: 700,
    nickel: 62,
    mercury: 0.8,
  }),
]

/**
 * Where care begins and where no food is grown, mg/kg of dry soil: for people (lead, arsenic, cadmium, mercury) or for
 * the plants themselves (copper, zinc, nickel).
 * Source: our reading of the published limits: care from the strictest in use, stop from the laxest for gardens;
 * zinc and
 * copper stop where plants on acid soil suffer (common practice).
 */
export const METAL_STEPS: Readonly<Record<Metal, { care: number; stop: number }>> = {
  lead: { care: 80, stop: 200 },
  arsenic: { care: 12, stop: 40 },
  cadmium: { care: 1, stop: 3 },
  copper: { care: 63, stop: 250 },
  zinc: { care: 250, stop: 600 },
  nickel: { care: 45, stop: 75 },
  mercury: { care: 1, stop: 6.6 },
}
export const METAL_GRADES = ['fine', 'care', 'stop'] as const
export type MetalGrade = (typeof METAL_GRADES)[number]

/** A metal as it was found. */
export interface MetalReading {
  metal: Metal
  /** mg/kg of dry matter. */
  value: number
  grade: MetalGrade
  /** The published limits it passes and those it keeps, the strictest first. */
  passes: PublishedLimit[]
  keeps: PublishedLimit[]
}

/**
 * A soil or compost read metal by metal, the gravest first; its limits are those of soil or of compost. mg/kg of dry
 * matter. Errors: none; what was not tested is left out. Source: `PUBLISHED_LIMITS`, `METAL_STEPS`.
 *
 * @example
 * readMetals({ lead: 120 }, 'soil')[0].grade // 'care'
 */
export const readMetals = (
  found: Readonly<Partial<Record<Metal, number>>>,
  of: PublishedLimit['of'],
): MetalReading[] =>
  METALS.flatMap((metal): MetalReading[] => {
    const value = found[metal]
    if (value === undefined) return []
    const limits = PUBLISHED_LIMITS.filter((l) => l.metal === metal && l.of === of).sort(
      (a, b) => a.value - b.value,
    )
    const { care, stop } = METAL_STEPS[metal]
    return [
      {
        metal,
        value,
        grade: value > stop ? 'stop' : value > care ? 'care' : 'fine',
        passes: limits.filter((l) => value > l.value),
        keeps: limits.filter((l) => value <= l.value),
      },
    ]
  }).sort(
    (a, b) =>
      METAL_GRADES.indexOf(b.grade) - METAL_GRADES.indexOf(a.grade) ||
      b.value / METAL_STEPS[b.metal].stop - a.value / METAL_STEPS[a.metal].stop,
  )
