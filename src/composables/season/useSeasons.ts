import { computed, ref } from 'vue'
import {
  bedSeason,
  compareSides,
  offeredSides,
  seasonBeds,
  type Measure,
  type SeasonBed,
} from '@/model/season/compareSeasons'
import { bedTitle, jobTitle } from '@/text/base/titles'
import { bedSeasonText } from '@/text/season/compareSeasons'
import type { GardenDoor } from '../garden/gardenDoor'
import { useWhenAsked } from '../page/useWhenAsked'

export type Side = 'neither' | 'A' | 'B'

/** Beds of all seasons, and two sides of them compared. What came of a bed is worked out when somebody sees it. */
export function useSeasons(garden: GardenDoor) {
  const measure = ref<Measure>('plant')
  const sides = ref<Record<string, Side>>({})
  const beds = computed(() =>
    seasonBeds(garden.records).map((bed) => ({
      ...bed,
      name: `${jobTitle(bed.job)}, ${bedTitle(bed.fill.spec)}`,
    })),
  )
  /** Until somebody chooses: the last two seasons of one crop with a harvest, the older on side A. */
  const offered = computed(() => offeredSides(garden.records, beds.value))
  const sideOf = (id: string): Side => sides.value[id] ?? offered.value[id] ?? 'neither'
  const work = computed(() => {
    const { records } = garden
    const { units } = garden.settings
    return (bed: SeasonBed) => bedSeasonText(bedSeason(records, bed), units)
  })
  const chosen = (side: Side) =>
    beds.value.filter((b) => sideOf(b.id) === side).map((b) => bedSeason(garden.records, b))
  return {
    beds,
    /** What came of a bed, in a line; undefined until it is worked out. */
    about: useWhenAsked(() => work.value),
    sideOf,
    put: (id: string, side: Side) => (sides.value = { ...sides.value, [id]: side }),
    measure,
    comparison: computed(() => {
      const [a, b] = [chosen('A'), chosen('B')]
      return a.length > 0 && b.length > 0 ? compareSides(a, b, measure.value) : null
    }),
  }
}
