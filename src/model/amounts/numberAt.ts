import { readNumber } from '../numbers'

const WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
}
const PARTS: Readonly<Record<string, number>> = { half: 0.5, third: 1 / 3, quarter: 0.25 }
const SIGNS: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
}

export type NumberAt =
  | { kind: 'number'; value: number; length: number }
  /** It may be one of two numbers. */
  | { kind: 'either'; text: string; either: [number, number] }
  | null

/** Vulgar fractions spelt out, curly signs straightened, spaces single, small letters. */
export const plainly = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[¼½¾⅓⅔⅛]/g, (sign) => ` ${SIGNS[sign]}`)
    .replaceAll(/[’′‘]/g, "'")
    .replaceAll(/[“”″]/g, '"')
    .replaceAll(/\s+/g, ' ')
    .trim()

const word = `(?:${Object.keys(WORDS).join('|')})`
const part = `(?:${Object.keys(PARTS).join('|')})`
const IN_WORDS = new RegExp(
  `^(?:(${word}) and (?:a |one )?(${part})|(?:a |one )?(${part})(?: an?| of an?)?|three quarters(?: of an?)?|two thirds(?: of an?)?|a (?:couple|pair) of|(?:a |one )?dozen|a (?:few|little)|(${word}))(?= |$)`,
)

/**
 * The number at the head of a plain text: digits, fractions, "one and a half", "half a", "a couple of". Null where
 * there is none, or none that says how much ("a few").
 */
export function numberAt(text: string): NumberAt {
  const digits = /^[+\-−]?(?:\d+ \d+\/\d+|\d+ ?\/ ?\d+|[\d.,]*\d)/.exec(text)?.[0]
  if (digits !== undefined) {
    const read = readNumber(digits)
    if (read === null) return null
    return typeof read === 'number'
      ? { kind: 'number', value: read, length: digits.length }
      : { kind: 'either', text: digits, either: read.either }
  }
  const spoken = IN_WORDS.exec(text)
  if (!spoken) return null
  const [all, whole, more, share, plain] = spoken
  const value = all.startsWith('three quarters')
    ? 0.75
    : all.startsWith('two thirds')
      ? 2 / 3
      : /^a (?:couple|pair)/.test(all)
        ? 2
        : all.endsWith('dozen')
          ? 12
          : whole
            ? WORDS[whole]! + PARTS[more!]!
            : share
              ? PARTS[share]!
              : plain
                ? WORDS[plain]!
                : NaN
  return Number.isNaN(value) ? null : { kind: 'number', value, length: all.length }
}
