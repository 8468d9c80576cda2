import type { Shown } from '../base/shown'

export const watering = {
  thisMix: (c: Shown) => `This mix ${c}`,
  asItIs: 'As it is',
  thisMix2: 'This mix',
}
