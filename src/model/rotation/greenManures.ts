import { coldestNightOf } from '@/core/season'
import { greenManuresFor, type GreenManure, type Grown } from '@/core/rotation'
import { placeOf, type Garden } from '../garden/garden'

/** Beds are cleared in autumn and planted again in spring. Months of the north. Source: common practice. */
const CLEARED = 9
const EMPTY_FOR = 7

/** Green manures for the winter after a year, before the next crop, by what grew or is planned until then. */
export function winterGreen(
  garden: Garden,
  grown: readonly Grown[],
  { year, next }: { year: number; next: string | null },
): GreenManure[] {
  const place = placeOf(garden)
  const south = (place?.latitude ?? 1) < 0
  return greenManuresFor(
    {
      month: south ? ((CLEARED + 5) % 12) + 1 : CLEARED,
      months: EMPTY_FOR,
      hasFrost: place ? (place.coldestNight ?? coldestNightOf(place)) < 0 : true,
      south,
    },
    { history: grown.filter((g) => g.year <= year), year: year + 1, next },
  )
}
