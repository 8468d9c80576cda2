/** Control characters, line and paragraph separators, and the marks that turn the direction of writing. */
// eslint-disable-next-line no-control-regex
const UNSEEN = /[\u0000-\u001f\u007f-\u009f\u2028\u2029\u200e\u200f\u202a-\u202e\u2066-\u2069]+/g

/**
 * Text of somebody else as one line that shows what it is: what cannot be seen becomes a blank. Any text; errors none.
 *
 * @example
 * oneLine('Fig\r\nBEGIN:VEVENT') // 'Fig BEGIN:VEVENT'
 */
export const oneLine = (text: string): string => text.replace(UNSEEN, ' ')

/** The same for a text of several lines: their ends stay. */
export const plainLines = (text: string): string =>
  text
    .split(/\r\n|\r|\n/)
    .map((line) => line.replace(UNSEEN, ' '))
    .join('\n')
