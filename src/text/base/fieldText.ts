import { readMeasure, type Dimension, type MeasureRead } from '@/model/amounts/measure'
import { readNumber } from '@/model/numbers'
import { offsetOf, QUANTITIES, type Quantity, type UnitSystem } from './units'

/** Quantities that take units of any kind, and how many of the core's unit a cm, litre or kg is. */
const MEASURED: Partial<Record<Quantity, { dimension: Dimension; per: number }>> = {
  length: { dimension: 'length', per: 1 },
  rain: { dimension: 'length', per: 10 },
  height: { dimension: 'length', per: 0.01 },
  volume: { dimension: 'volume', per: 1 },
  bagVolume: { dimension: 'volume', per: 1 },
  bulkVolume: { dimension: 'volume', per: 1 },
  weight: { dimension: 'weight', per: 1 },
  smallWeight: { dimension: 'weight', per: 1000 },
  fineWeight: { dimension: 'weight', per: 1000 },
}

/** Reads what people type into a field; null where it is no number, or may be one of two. */
export function parseNumber(text: string): number | null {
  const read = readNumber(text)
  return typeof read === 'number' ? read : null
}

/** What a field's text with units of its own was read as; null where it has none. */
export function measureIn(text: string, quantity: Quantity, units: UnitSystem): MeasureRead {
  const measured = MEASURED[quantity]
  if (!measured || readNumber(text) !== null) return null
  const read = readMeasure(text, measured.dimension, units)
  return read?.kind === 'value' ? { ...read, value: read.value * measured.per } : read
}

/**
 * A field's text as a core value: a number in the field's own unit, or a measure with units of any system. Null where
 * it is neither, or may be one of two.
 */
export function fromFieldText(text: string, quantity: Quantity, units: UnitSystem): number | null {
  const shown = parseNumber(text)
  if (shown !== null) return (shown - offsetOf(quantity, units)) / QUANTITIES[quantity][units].factor
  const read = measureIn(text, quantity, units)
  return read?.kind === 'value' ? read.value : null
}

/** Whether a field takes units typed with the number. */
export const takesUnits = (quantity: Quantity): boolean => Object.hasOwn(MEASURED, quantity)
