import { z } from 'zod/mini'

const lines = z.array(z.looseObject({}))
const before = z.looseObject({ measured: lines, limes: lines, dressings: lines })
const withCost = (line: object) => ({ ...line, cost: null, lot: '' })

/** Record, version 3 to 4: costs, lots, readings at the tub and what was made otherwise. */
export function recordV4(data: unknown): unknown {
  const record = before.parse(data)
  return {
    ...record,
    measured: record.measured.map(withCost),
    limes: record.limes.map(withCost),
    dressings: record.dressings.map(withCost),
    paid: null,
    used: null,
    readings: [],
    corrections: [],
    otherwise: [],
  }
}
