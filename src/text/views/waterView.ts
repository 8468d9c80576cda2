import type { Shown } from '../base/shown'

export const waterView = {
  nothingIsInTheMix: 'Nothing is in the mix yet.',
  thenWaterItHere: ', then water it here.',
  besideIt: 'Beside it',
  dry: 'dry',
  fullOfWater: 'full of water',
  solids: 'solids,',
  water: 'water,',
  airByDepth: 'air by depth',
  figuresOfThisMoment: 'Figures of this moment',
  oneDay: 'one day',
  days: (days: Shown) => `${days} days`,
  in: (days: Shown) => `In ${days}`,
  whatItComesToLikely: 'What it comes to; likely ranges in brackets',
  likelyRangesAreBeingDrawn: 'Likely ranges are being drawn …',
  inBracketsTheLikelyRange: 'In brackets: the likely range.',
  momentByMoment: 'Moment by moment, and how sure this is',
  howFastAMixLets:
    'How fast a mix lets water through is known within a factor of ten at best: the likely ranges come from mixes drawn within that. Water is followed in depth alone: not what runs down the wall of a pot gone dry, nor what one dripper leaves dry beside it. A mix dry enough to shed water takes less than is shown.',
}
