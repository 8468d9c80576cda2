import table from '../../docs/words.md?raw'

/** A term of the field, what it means here, and what it is never called. */
export interface Term {
  term: string
  means: string
  never: readonly string[]
}

const cellsOf = (row: string) =>
  row
    .split('|')
    .slice(1, -1)
    .map((cell) => cell.trim())

/** The rows of docs/words.md, below the head of its table. */
export const TERMS: readonly Term[] = table
  .split('\n')
  .filter((line) => line.startsWith('|'))
  .slice(2)
  .map(cellsOf)
  .map(([term = '', means = '', never = '']) => ({
    term,
    means,
    never: never
      .split(',')
      .map((n) => n.trim())
      .filter(Boolean),
  }))
