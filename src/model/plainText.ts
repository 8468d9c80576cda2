/** Control characters, line and paragraph separators, and the marks that turn the direction of writing. */
const UNSEEN = /[\p{Control}\p{Line_Separator}\p{Paragraph_Separator}\p{Bidi_Control}]+/gu

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
