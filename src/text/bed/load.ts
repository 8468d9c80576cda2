import { widthsAt, type ContainerVolumes } from '@/core/geometry'
import { CM_PER_INCH } from '@/core/units'
import { saturatedBounds } from '@/core/weight'
import { isAloft, isHung } from '@/model/garden/vessel'
import type { BedSpec } from '@/model/garden/schemas'
import { loadText, weightText, type UnitSystem } from '../base/units'

const HEADINGS: Partial<Record<BedSpec['standing'], string>> = {
  balcony: 'It stands on a balcony or deck',
  roof: 'It stands on a roof',
  wall: 'It stands on a wall or ledge',
  railing: 'It hangs on a railing',
  bracket: 'It hangs on a bracket',
  hung: 'It hangs from a hook',
}

/** What is said over the caution about loads. */
export const loadHeading = (spec: BedSpec): string =>
  isAloft(spec) ? (HEADINGS[spec.standing] ?? '') : 'Is it a balcony, roof or deck?'

/** The length of rail that the load of a trough is given for, cm. */
const railLength = (units: UnitSystem) =>
  units === 'us' ? { cm: 12 * CM_PER_INCH, name: 'a foot' } : { cm: 100, name: 'a metre' }

/** What a full, soaked bed may weigh before its mix is known, what bears it, and how many of them. */
export function loadTexts(
  { vessel, standing }: Pick<BedSpec, 'vessel' | 'standing'>,
  plan: Pick<ContainerVolumes, 'mixVolume' | 'footprint' | 'mixHeight'>,
  count: number,
  units: UnitSystem,
): string[] {
  const { weight, floorLoad } = saturatedBounds(plan)
  const between = (times: number) =>
    `${weightText(weight.low * times, units)} with the lightest peat and perlite to ${weightText(weight.high * times, units)} with soil`
  const hung = isHung({ standing })
  const onFloor = hung
    ? ''
    : `: ${loadText(floorLoad.low, units)} to ${loadText(floorLoad.high, units)} on what it stands on`
  const together =
    count > 1
      ? ` All ${count} together: ${weightText(weight.low * count, units)} to ${weightText(weight.high * count, units)}.`
      : ''
  const texts = [
    `Soaked, ${count > 1 ? 'each weighs' : 'it weighs'} ${between(1)}, without pot and plant${onFloor}. The mix decides.${together}`,
  ]
  if (!hung) return texts
  const rail = railLength(units)
  const length = widthsAt(vessel.shape, plan.mixHeight).long
  const along =
    standing === 'railing' && length > rail.cm / 2
      ? ` That is ${weightText((weight.low * rail.cm) / length, units)} to ${weightText((weight.high * rail.cm) / length, units)} for ${rail.name} of rail.`
      : ''
  return [
    ...texts,
    `Hooks, brackets and rails bear all of that and the pull of the wind.${along} Go by the load stamped on them; where none is, ask. Secure it so that wind cannot lift it off.`,
  ]
}
