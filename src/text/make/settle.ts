import type { Left } from '@/model/make/settle'
import { isShort } from '@/model/make/settle'
import { aboutName } from './preparing'
import { doseWeightText, volumeText, type UnitSystem } from '../base/units'

const amountText = ({ unit }: Left, amount: number, units: UnitSystem) =>
  unit === 'kg' ? doseWeightText(amount * 1000, units) : volumeText(amount, units)

/** What is left of a thing, or the question why more went in than there was. */
export function leftText(row: Left, units: UnitSystem) {
  const of = (amount: number) => amountText(row, amount, units)
  const name = aboutName(row.id)
  const there = [
    row.had > 0 ? `${of(row.had)} on the shelf` : '',
    row.bought > 0 ? `${of(row.bought)} bought` : '',
  ].filter(Boolean)
  return {
    name,
    text: `${there.join(', ') || 'none on the shelf'}; ${of(row.used)} went in`,
    left: isShort(row) ? '' : of(Math.max(0, row.left)),
    question: isShort(row) ? `${of(-row.left)} more went in than there was. What is left of it?` : '',
    answers: [
      { value: 'none' as const, label: 'Nothing' },
      ...(row.leftIfBought === null
        ? []
        : [
            {
              value: 'bought' as const,
              label: `${of(Math.max(0, row.leftIfBought))}: it was bought as listed`,
            },
          ]),
    ],
  }
}
