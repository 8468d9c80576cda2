/** Field tests a grower can do, in the order they are offered. */
export const FIELD_TESTS = [
  'slurry',
  'paste',
  'pourThrough',
  'drainedAir',
  'bucketWeight',
  'bucketsOut',
  'settling',
  'dropTest',
  'percolation',
  'beanTest',
  'cressTest',
  'vinegarFizz',
  'sieve',
  'jar',
] as const
export type FieldTest = (typeof FIELD_TESTS)[number]
