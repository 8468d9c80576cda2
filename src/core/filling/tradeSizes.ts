import type { Shape } from '../geometry'
import { CM_PER_INCH, LITRES, type Litres } from '../units'

/** A container sold by a name that is not its volume. */
export interface TradeSize {
  id: string
  /** As the trade says it. */
  name: string
  /** What the name promises, litres; null where it promises none. */
  nominal: Litres | null
  /** What its class may hold to the rim, litres. */
  holds: { low: Litres; high: Litres }
  shape: Shape
  source: string
}

const cubicInches = (low: number, high: number) => ({
  low: low * LITRES.cubicInch,
  high: high * LITRES.cubicInch,
})
const round = (topDiameter: number, baseDiameter: number, height: number): Shape => ({
  kind: 'roundPot',
  topDiameter,
  baseDiameter,
  height,
})
const ANSI = 'ANSI Z60.1-2004, container classes (from memory); usual inside sizes from memory'
const POTS = 'usual inside sizes of round pots by rim, from memory'

const BAGS = 'usual sizes of fabric bags by their name in US gallons, from memory'

const nursery = (number: number, range: [number, number], size: [number, number, number]): TradeSize => ({
  id: `nursery-${number}`,
  name: `Nursery pot, “${number} gallon”`,
  nominal: number * LITRES.usGallon,
  holds: cubicInches(...range),
  shape: round(...size),
  source: ANSI,
})
const rim = (cm: number, base: number, height: number): TradeSize => {
  const litres = (Math.PI * height * (cm ** 2 + cm * base + base ** 2)) / 12_000
  return {
    id: `rim-${cm}`,
    name: `Round pot, ${cm} cm rim`,
    nominal: null,
    holds: { low: litres * 0.85, high: litres * 1.15 },
    shape: round(cm, base, height),
    source: POTS,
  }
}
/** Inches across and high, as bags of cloth are sold; filled, they belly a little. */
const bag = (number: number, across: number, high: number): TradeSize => {
  const litres = number * LITRES.usGallon
  return {
    id: `bag-${number}`,
    name: `Fabric bag, “${number} gallon”`,
    nominal: litres,
    holds: { low: litres * 0.85, high: litres * 1.2 },
    shape: {
      kind: 'fabricBag',
      diameter: Math.round(across * CM_PER_INCH * 10) / 10,
      height: Math.round(high * CM_PER_INCH * 10) / 10,
      bulge: 0.03,
    },
    source: BAGS,
  }
}

/**
 * Sizes growers buy by name, with what they truly hold. A "gallon" of the nursery trade holds less than a gallon.
 * Inside sizes, cm; litres to the rim. Sources as given in each row.
 */
export const TRADE_SIZES: readonly TradeSize[] = [
  nursery(1, [152, 251], [16.5, 13, 17.5]),
  nursery(2, [320, 474], [21.5, 17.5, 21.5]),
  nursery(3, [628, 742], [26.5, 21.5, 24.5]),
  nursery(5, [785, 1242], [29.5, 24, 29]),
  nursery(7, [1337, 1790], [36, 29.5, 30.5]),
  nursery(10, [2080, 2646], [42, 35, 31]),
  nursery(15, [2768, 3696], [45.5, 37.5, 39]),
  rim(9, 6.5, 8.5),
  rim(13, 9.5, 11.5),
  rim(20, 15, 17.5),
  rim(30, 22, 26),
  rim(40, 30, 35),
  bag(3, 10, 8.5),
  bag(5, 12, 10),
  bag(7, 14, 10),
  bag(10, 16, 12),
  bag(15, 18, 13.5),
  bag(20, 20, 15.5),
  bag(25, 21, 16),
  bag(30, 24, 16),
  bag(45, 27, 18),
  bag(65, 32, 18),
  bag(100, 38, 20),
]
