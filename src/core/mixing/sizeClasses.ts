/**
 * The eight size classes, coarse to fine. `diameter` in mm is the geometric mean of each class; the open
 * classes are given the ends 16 mm (two times the next limit) and 0.05 mm (our assumption).
 */
export const SIZE_CLASSES = [
  { label: 'over 8 mm', diameter: Math.sqrt(8 * 16) },
  { label: '4-8 mm', diameter: Math.sqrt(4 * 8) },
  { label: '2-4 mm', diameter: Math.sqrt(2 * 4) },
  { label: '1-2 mm', diameter: Math.sqrt(1 * 2) },
  { label: '0.5-1 mm', diameter: Math.sqrt(0.5 * 1) },
  { label: '0.25-0.5 mm', diameter: Math.sqrt(0.25 * 0.5) },
  { label: '0.1-0.25 mm', diameter: Math.sqrt(0.1 * 0.25) },
  { label: 'under 0.1 mm', diameter: Math.sqrt(0.05 * 0.1) },
] as const

export const SIZE_CLASS_COUNT = SIZE_CLASSES.length
/** Their places in a list of shares, coarse to fine. */
export const CLASSES: readonly number[] = SIZE_CLASSES.map((_, i) => i)
