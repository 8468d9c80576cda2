import type { Shown } from '../base/shown'

export const fieldFrame = {
  in: (unit: Shown) => `in ${unit}`,
}

export const fileButton = {
  isLargerThanMb: (tooLarge: Shown, most: Shown) => `“${tooLarge}” is larger than ${most} MB.`,
  nothingWasReadIsIt: 'Nothing was read. Is it the right file?',
}
