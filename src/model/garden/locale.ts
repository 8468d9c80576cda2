import { DEFAULT_SETTINGS } from './garden'
import type { Settings } from './schemas'

/** Countries that measure in inches, pounds and US gallons (common knowledge). */
const US_MEASURES: readonly string[] = ['US', 'LR', 'MM']
const EURO = 'AT BE CY DE EE ES FI FR GR HR IE IT LT LU LV MT NL PT SI SK'.split(' ')
const SIGNS: Readonly<Record<string, string>> = {
  ...Object.fromEntries(EURO.map((country) => [country, '€'])),
  GB: '£',
  ...Object.fromEntries(['US', 'CA', 'AU', 'NZ'].map((country) => [country, '$'])),
}

/** The country a browser's language names, as "en-US" does; "" where it names none. */
const countryOf = (language: string): string => {
  try {
    return new Intl.Locale(language).region ?? ''
  } catch {
    return ''
  }
}

/** What a new garden begins with, by the language of the browser: units and the sign of money. */
export const settingsFor = (language: string): Settings => {
  const country = countryOf(language)
  return {
    ...DEFAULT_SETTINGS,
    units: US_MEASURES.includes(country) ? 'us' : 'metric',
    currency: SIGNS[country] ?? '',
  }
}
