import { common } from '@/text/base/common'
import { computed, ref, toRaw } from 'vue'
import { bagsOf } from '@/model/garden/garden'
import { againstBags } from '@/model/make/money'
import { nudgesOf } from '@/model/make/nudges'
import { measuresOf } from '@/model/make/quantities'
import { bedCostRows, moneyRows, nudgeText } from '@/text/base/money'
import { volumeText } from '@/text/base/units'
import type { GardenDoor } from '../garden/gardenDoor'
import type { JobInHand } from '../job/useJob'
import type { Shopping } from './useShopping'

/** What buying costs in words: paid and used, by bed, against bags, and where a little more or less pays. */
export function useMoney(
  { garden, job, quantities, units, prepared }: JobInHand<GardenDoor>,
  { others, list, mixes, money, listOf }: Shopping,
) {
  const q = computed(() => (quantities.value?.ok ? quantities.value.value : null))
  const isAlone = computed(() => others.value.length === 0)
  const litres = computed(() =>
    q.value ? others.value.reduce((sum, o) => sum + o.quantities.inPlace, q.value.inPlace) : 0,
  )
  /** The list for another amount, worked out as if it had been asked for. */
  const listFor = (amount: number) => {
    const ready = toRaw(prepared.value)
    if (!job.value || !ready?.ok) return null
    const found = measuresOf(toRaw(job.value), ready.value, amount)
    return found.ok ? listOf([found.value]) : null
  }
  const priced = computed(() => bagsOf(garden.records).filter((b) => b.price !== null && b.price > 0))
  const chosen = ref('')
  const bag = computed({
    get: () => chosen.value || priced.value[0]?.id || '',
    set: (id) => (chosen.value = id),
  })
  return {
    rows: computed(() => moneyRows(money.value, litres.value, units.value)),
    beds: computed(() =>
      q.value && job.value && isAlone.value ? bedCostRows(job.value, q.value, money.value.used) : [],
    ),
    /** Bagged mixes with a price, as a choice; and the one it is compared with. */
    bags: computed(() =>
      priced.value.map((b) => ({
        value: b.id,
        label: `${b.name.trim() || common.baggedMix}, ${volumeText(b.litres, units.value)}`,
      })),
    ),
    bag,
    /** Null where a price is missing on either side. */
    against: computed(() => {
      const one = priced.value.find((b) => b.id === bag.value)
      return one?.price && list.value.every((l) => l.purchase.cost !== null)
        ? againstBags(list.value, litres.value, { litres: one.litres, price: one.price })
        : null
    }),
    /** For this job alone, of materials only: what to make instead, litres. */
    nudges: computed(() =>
      q.value && isAlone.value && mixes.value.length === 0
        ? nudgesOf(q.value.toBlend, list.value, listFor).map((nudge) => ({
            ...nudgeText(nudge, units.value),
            litres: nudge.litres,
          }))
        : [],
    ),
  }
}
