import Fuse from 'fuse.js'

/** Something to be found: by its name first, then by any of its other words. */
export interface Findable {
  name: string
  words: readonly string[]
}

/** How far a word may be misspelt: 0 not at all, 1 anyhow. Source: our assumption, "vermiculte" but not "verbena". */
const MISSPELT = 0.3
/** Shorter words are not guessed at. */
const SHORTEST_GUESS = 4

/** Words a person types, in small letters. */
const typedWords = (typed: string): string[] =>
  typed
    .toLowerCase()
    .split(/[\s,;]+/)
    .filter(Boolean)

/**
 * How well something answers: 0 where a name is just what is typed, 1 where a name begins with it, 2 where a name has
 * every word of it, 3 where all words together do, less by a half where it is the row's first name; null where some
 * word is in none of them.
 */
function rankOf({ name, words }: Findable, typed: string, asked: readonly string[]): number | null {
  const names = [name, ...words].map((n) => n.toLowerCase())
  // “Peat-free” is no peat.
  const has = (n: string, word: string) => n.replaceAll(`${word}-free`, '').includes(word)
  const tests = [
    (n: string) => n === typed,
    (n: string) => n.startsWith(typed) && has(n, typed),
    (n: string) => asked.every((word) => has(n, word)),
  ]
  for (const [rank, test] of tests.entries()) {
    // The name and the everyday name before whatever else it is called.
    if (names.slice(0, 2).some(test)) return rank - 0.5
    if (names.some(test)) return rank
  }
  const all = names.join(' ')
  return asked.every((word) => has(all, word)) ? 3 : null
}

/**
 * Rows that answer to what is typed, the exact one first; where none has the words, those that may be meant by a
 * misspelt one. All of them, in their order, where nothing is typed.
 */
export function search<R>(rows: readonly R[], typed: string, findable: (row: R) => Findable): R[] {
  const asked = typedWords(typed)
  if (asked.length === 0) return [...rows]
  const phrase = asked.join(' ')
  const ranked = rows.flatMap((row) => {
    const rank = rankOf(findable(row), phrase, asked)
    return rank === null ? [] : [{ row, rank }]
  })
  if (ranked.length > 0) {
    // Where names begin with it, what is only likened to it (“in place of peat”) is no answer.
    const isNamed = ranked.some(({ rank }) => rank <= 1)
    return ranked
      .filter(({ rank }) => !isNamed || rank < 2)
      .sort((a, b) => a.rank - b.rank)
      .map(({ row }) => row)
  }
  if (phrase.length < SHORTEST_GUESS) return []
  const fuse = new Fuse(rows, {
    keys: [
      { name: 'name', getFn: (row) => findable(row).name },
      { name: 'words', getFn: (row) => [...findable(row).words] },
    ],
    threshold: MISSPELT,
    ignoreLocation: true,
  })
  return fuse.search(phrase).map(({ item }) => item)
}
