import { defineLimits } from '../limits'

/** What decides how a job is split into batches. */
export const BATCH_LIMITS = defineLimits({
  turn: {
    value: 2 / 3,
    low: 0.5,
    high: 0.75,
    unit: 'fraction of the vessel',
    source: 'common practice: still turns with a spade',
  },
  scoopsToALine: {
    value: 4,
    low: 3,
    high: 5,
    unit: 'scoops',
    source: 'common practice: beyond it the count is lost; our assumption for the number',
  },
  markedScoop: {
    value: 0.5,
    low: 0.5,
    high: 1,
    unit: 'L',
    source: 'our assumption: a smaller scoop is full or half full, a jug has marks',
  },
  batchWork: {
    value: 4,
    low: 2,
    high: 8,
    unit: 'actions',
    source: 'our assumption: turning out a batch and turning the next is worth a few buckets',
  },
  vesselBuckets: {
    value: 2000,
    low: 1000,
    high: 4000,
    unit: 'buckets to a vessel',
    source:
      'our assumption: a bucket of half a litre in a digger’s shovel; beyond it one of the two is mistyped',
  },
  batches: {
    value: 400,
    low: 100,
    high: 1000,
    unit: 'batches',
    source: 'our assumption: beyond it the vessel is the wrong one',
  },
  slack: {
    value: 0.005,
    low: 0.002,
    high: 0.01,
    unit: 'fraction of the job',
    source: 'our assumption: less than a bucket shows',
  },
  tolerable: {
    value: 0.05,
    low: 0.03,
    high: 0.1,
    unit: 'fraction of the job',
    source: 'our assumption: a twentieth over is no waste',
  },
  partMiss: {
    value: 0.05,
    low: 0.03,
    high: 0.1,
    unit: 'fraction of the part',
    source: 'a twentieth: no part of any batch strays further (common practice)',
  },
  manyBatches: {
    value: 1.5,
    low: 1.2,
    high: 2,
    unit: 'times the fewest batches',
    source: 'our assumption: beyond it the vessel is not made use of',
  },
  nextToNothing: {
    value: 0.15,
    low: 0.1,
    high: 0.25,
    unit: 'fraction of a full batch',
    source: 'our assumption: so small a last batch is shared out among the others instead',
  },
  roundedShare: {
    value: 0.005,
    low: 0.002,
    high: 0.01,
    unit: 'fraction',
    source: 'our assumption: half a point of a share',
  },
})
