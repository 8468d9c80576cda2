import { shareOut, type AgainstBags, type Money } from '@/model/make/money'
import type { Nudge } from '@/model/make/nudges'
import { counted } from './counted'
import type { Quantities } from '@/model/make/quantities'
import type { Job } from '@/model/garden/schemas'
import { bedTitle } from './titles'
import { percentText, volumeText, type UnitSystem } from './units'
import { LITRES } from '@/core/units'
import { moneyText } from './sums'

export { moneyText }

/** Per litre or per gallon, finer than a cent. */
const perVolume = (money: number, litres: number, units: UnitSystem): string =>
  units === 'us'
    ? `${moneyText((money / litres) * LITRES.usGallon)} a gallon`
    : `${moneyText(money / litres, 3)} a litre`

/** Rows of what a job costs: in pocket, and what goes into the mix; none where nothing has a price. */
export function moneyRows({ lines, paid, used }: Money, litres: number, units: UnitSystem): string[][] {
  if (lines.every((l) => l.used === null)) return []
  return [
    ['Paid at the shop', moneyText(paid), perVolume(paid, litres, units)],
    ['Goes into the mix', moneyText(used), perVolume(used, litres, units)],
    ...(paid > used ? [['Stays on your shelf', moneyText(paid - used), '']] : []),
    ...(used > paid ? [['From your shelf', moneyText(used - paid), '']] : []),
  ]
}

/** What the mix in each bed costs, and in each container of it; shares in whole cents that add up to what is used. */
export function bedCostRows(job: Job, q: Quantities, used: number): string[][] {
  if (job.amount !== null || job.fills.length === 0 || !(used > 0)) return []
  const litres = job.fills.map((f, i) => q.needed[i]!.net * f.count)
  return shareOut(used, litres).map((share, i) => {
    const { count, spec } = job.fills[i]!
    return [
      `${count > 1 ? `${count} × ` : ''}${bedTitle(spec)}`,
      moneyText(share),
      count > 1 ? `${moneyText(share / count)} each` : '',
    ]
  })
}

/** A mix against bags of a stated price. */
export function againstBagsText(
  { bags, bagged, mixed, breakEven }: AgainstBags,
  units: UnitSystem,
): { title: string; text: string } {
  const apart = Math.abs(bagged - mixed)
  const title =
    apart < 0.005
      ? 'Bags cost the same'
      : mixed < bagged
        ? `${moneyText(apart)} cheaper than bags`
        : `${moneyText(apart)} dearer than bags`
  const from =
    breakEven === null
      ? 'Bags are cheaper, however much you make.'
      : `Mixing is cheaper from ${volumeText(breakEven, units)} on.`
  return {
    title,
    text: `${bags} ${bags === 1 ? 'bag' : 'bags'}: ${moneyText(bagged)}; your mix in whole packs, nothing on the shelf: ${moneyText(mixed)}. ${from}`,
  }
}

/** What a nudge says, and what its button does. */
export function nudgeText({ kind, litres, change, packs, saves }: Nudge, units: UnitSystem) {
  const to = volumeText(litres, units)
  const action = `Make ${to}`
  if (kind === 'more') return { text: `The same packs make ${to}, ${percentText(change)} more.`, action }
  const does = [
    packs > 0 ? `needs ${counted(packs, 'pack')} fewer` : '',
    saves !== null && saves > 0 ? `saves ${moneyText(saves)}` : '',
  ].filter(Boolean)
  return { text: `${percentText(change)} less ${does.join(' and ')}.`, action }
}
