/** Grouped and rounded as English writes numbers; never “-0”. One format for each number of digits. */
const formats = new Map<number, Intl.NumberFormat>()

/** A number for reading, with so many digits after the point: 12345.6, 1 is "12,345.6". */
export function numberText(value: number, digits = 0): string {
  let format = formats.get(digits)
  if (!format) {
    format = new Intl.NumberFormat('en', {
      minimumFractionDigits: digits,
      maximumFractionDigits: digits,
      signDisplay: 'negative',
      // From five figures on: 1,000 is a thousand to some and one to others, and is not read back.
      useGrouping: 'min2',
    })
    formats.set(digits, format)
  }
  return format.format(value)
}

const plural = new Intl.PluralRules('en')

/** "1 batch", "4 batches", "1,200 recipes". */
export const counted = (count: number, one: string, many = `${one}s`): string =>
  `${numberText(count)} ${plural.select(count) === 'one' ? one : many}`

/** A name in the middle of a sentence: "medium peat", but "pH read". */
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)
