import type { Shown } from '../base/shown'

export const finderView = {
  judgingTheBest: (done: number, of: number) => `Checking the best in full: ${done} of ${of}.`,
  forInTheBedOf: (name: Shown) =>
    `For ${name}, in the bed of this job, for its targets. Every recipe of whole parts that the rules allow is tried.`,
  stopAndShow: 'Stop and show',
  whatWasFound: 'What was found',
  recipesTried: 'Recipes tried',
  bestSoFar: 'Best so far:',
  soFar: 'The best so far',
  nothingOnTheShelfTo:
    'Nothing on the shelf to make a mix of: choose every material, or put prices or stock on the shelf.',
  ofTheLookedAtBefore: (tried: Shown) =>
    `Of the ${tried} looked at before you stopped it; those of few materials come first.`,
  theNearest: (best: Shown) => `The nearest ${best}.`,
  whatIsInTheWay: 'What is in the way?',
  givingUpEachWishIn: 'Giving up each wish in turn …',
  withPricesOnTheShelf: 'With prices on the shelf, cost is compared with fit here.',
  triedOfLotsWithinAll: (tried: Shown, allowed: Shown, allowed2: Shown, x: Shown) =>
    `${tried} tried of ${allowed} (${allowed2}${x}). Batches that meet every target: bags differ, and of ten batches so many would meet every target.`,
  whatTheFinderFound: (c: Shown) => `what the finder found: ${c}`,
}
