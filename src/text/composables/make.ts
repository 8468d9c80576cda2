import type { Shown } from '../base/shown'

export const otherwise = {
  thisBatch: (one: Shown) => `This batch: ${one}`,
  whatWentIn: 'what went in',
  goingByThePlanAgain: 'going by the plan again',
}

export const timers = {
  startingATimer: 'starting a timer',
  stoppingATimer: 'stopping a timer',
}

export const tubChecks = {
  whatWasPutInAfter: 'what was put in after a reading',
}
