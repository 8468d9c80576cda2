import { acidForWater, WATER_ACIDS } from '../../../core/chemistry'
import {
  alkalinityFrom,
  barrelFor,
  conductivityFrom,
  RAIN,
  rainYear,
  tapShare,
  treatedWater,
  waterAim,
} from '../../../core/irrigation'
import { succeed, type Outcome } from '../../../core/outcome'
import type { CaseOf } from '../cases'

/** Share of what is wanted that a barrel is looked for to give. */
const ENOUGH = 0.9

/** A water treated: what it becomes, how much acid goes into a can, what suits the container, how far a barrel goes. */
export function runTreat(c: CaseOf<'treat'>): Outcome<object> {
  const tap = {
    alkalinity: alkalinityFrom(c.alkalinity.value, c.alkalinity.unit),
    conductivity: conductivityFrom(c.conductivity.value, c.conductivity.unit),
    softened: false,
    ions: {},
    acidified: null,
  }
  const { rain, acid } = c.treatment
  const water = treatedWater(tap, { rain, acid: acid ?? null })
  return succeed({
    tap: { alkalinity: tap.alkalinity, conductivity: tap.conductivity },
    water: { alkalinity: water.alkalinity, conductivity: water.conductivity, acidified: water.acidified },
    ...(acid
      ? {
          acid: {
            id: acid.id,
            amounts: c.litres.map((litres) => ({
              litres,
              ...acidIn(acid, tap.alkalinity * (1 - rain), litres),
            })),
          },
        }
      : {}),
    ...(c.container ? { container: suiting(c.container, tap.alkalinity) } : {}),
    ...(c.barrel ? { barrel: barrelOf(c.barrel) } : {}),
  })
}

/** mL of an acid, or g of one that is weighed. */
function acidIn({ id, toPH }: { id: string; toPH: number }, alkalinity: number, litres: number) {
  const row = WATER_ACIDS.find((a) => a.id === id)!
  const amount = (acidForWater(row, alkalinity, toPH).per100Litres * litres) / 100
  return row.density === null ? { grams: amount } : { mL: amount }
}

function suiting(
  { litres, inGround, acidCrop }: NonNullable<CaseOf<'treat'>['container']>,
  alkalinity: number,
) {
  const aim = waterAim({ litres, inGround, acid: acidCrop })
  return { ...aim, tapShare: tapShare([{ tap: alkalinity, rain: RAIN.alkalinity, most: aim.high }]) }
}

function barrelOf({ rain, use, roof, litres }: NonNullable<CaseOf<'treat'>['barrel']>) {
  const q = { rain, use, roof }
  return { ...rainYear({ ...q, barrel: litres }), forNineTenths: barrelFor(q, ENOUGH) }
}
