import type { Shown } from '../base/shown'

export const fillStation = {
  bedsOfThisJob: 'Beds of this job',
  ofLooseMixInAll: (loose: Shown) => `${loose} of loose mix in all`,
  labels: 'Labels',
  whileYouFill: 'While you fill',
}
