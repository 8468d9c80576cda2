import type { Shown } from './shown'

/** Words that the first page says and others too: what it loads is small. */
export const atOnce = {
  saveEverythingToAFile: 'Save everything to a file',
  airPh: (airFilledPorosity: Shown, pH: Shown) => `air ${airFilledPorosity} · pH ${pH}`,
  allRecords: 'All records',
  showMoreOf: (more: Shown, more2: Shown) => `Show ${more} more of ${more2}`,
}
