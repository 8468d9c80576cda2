import { computed } from 'vue'
import { waitOf, type Grown } from '@/core/rotation'
import { bedYearsOf, placeOf, type Garden } from '@/model/garden/garden'
import type { BedYears } from '@/model/garden/schemas'
import { startingPlan } from '@/model/garden/starting'
import { phosphorusIn } from '@/model/rotation/bedHistory'
import { winterGreen } from '@/model/rotation/greenManures'
import { withYear, YEARS_AHEAD, yearsAhead } from '@/model/rotation/yearsAhead'
import { bedAhead } from '@/model/season/bedAhead'
import { useGarden } from '@/stores/garden'
import { isoDay } from '@/text/base/dates'
import { cropName } from '@/text/bed/years'

/** Years past that can be said: families come back in three or four. */
const YEARS_BEFORE = 3

/** The day by which a bed is made ready in a year: the first of April, south of the equator of October. ISO. */
const springOf = (records: Garden, year: number) =>
  `${year}-${(placeOf(records)?.latitude ?? 1) < 0 ? '10' : '04'}-01T12:00:00.000Z`

/** Beds that keep their soil, year by year: what grew, what is planned, what is left. */
export function useYearsAhead() {
  const garden = useGarden()
  const units = computed(() => garden.settings.units)
  const bucket = computed(() => startingPlan(garden.settings.units).bucket)
  const thisYear = Number(isoDay(new Date()).slice(0, 4))
  const ahead = computed(() => yearsAhead(garden.records, thisYear))
  const bedOf = (bedId: string) => ahead.value.beds.find((b) => b.bed.id === bedId)!
  const steps = (bedId: string) => ahead.value.steps.filter((s) => s.bedId === bedId)
  /** Past, present and planned years of a bed, in their order. */
  const grownIn = (bedId: string): Grown[] => [
    ...bedOf(bedId).history.grown.filter((g) => g.year <= thisYear),
    ...steps(bedId).flatMap(({ year, cropId }) => (cropId === null ? [] : [{ year, cropId }])),
  ]
  const cropIn = (bedId: string, year: number) => grownIn(bedId).find((g) => g.year === year)?.cropId ?? null

  return {
    garden,
    units,
    bucket,
    thisYear,
    ahead,
    /** What each bed grows in a year, by its id. */
    captionsOf: (year: number) =>
      new Map(ahead.value.beds.map(({ bed }) => [bed.id, cropName(cropIn(bed.id, year))])),
    rowsOf(bedId: string) {
      const all = grownIn(bedId)
      const said = bedYearsOf(garden.records, bedId)
      return Array.from({ length: YEARS_BEFORE + 1 + YEARS_AHEAD }, (_, i) => {
        const year = thisYear - YEARS_BEFORE + i
        const cropId = cropIn(bedId, year)
        const own = said.find((y) => y.year === year)?.cropId ?? null
        return {
          year,
          cropId,
          /** Said by the grower; else as a job has it, or as planned. */
          said: own,
          planned: own === null ? cropId : null,
          wait: cropId !== null && year > thisYear ? waitOf(all, cropId, year) : null,
        }
      })
    },
    ofBed(bedId: string, year: number) {
      const { history } = bedOf(bedId)
      return {
        before: cropIn(bedId, year - 1),
        green: winterGreen(garden.records, grownIn(bedId), { year: year - 1, next: cropIn(bedId, year) }),
        phosphorus: phosphorusIn(history, year),
        spring: bedAhead(garden.records, bedOf(bedId).bed, springOf(garden.records, year)),
        spread: bedYearsOf(garden.records, bedId).find((y) => y.year === year)?.compost ?? 0,
      }
    },
    setYear(bedId: string, year: number, change: Partial<BedYears['years'][number]>, what: string) {
      const years = withYear(bedYearsOf(garden.records, bedId), year, change)
      garden.run({ type: 'bed/years', years: { id: bedId, years }, what })
    },
  }
}
