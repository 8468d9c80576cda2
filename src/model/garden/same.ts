const ordered = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(ordered)
    : value !== null && typeof value === 'object'
      ? Object.fromEntries(
          Object.entries(value)
            .filter(([, v]) => v !== undefined)
            .sort(([a], [b]) => (a < b ? -1 : 1))
            .map(([k, v]) => [k, ordered(v)]),
        )
      : value

/** Do two pieces of plain data say the same, whatever the order of their fields? */
export const sameData = (a: unknown, b: unknown): boolean =>
  a === b ||
  // Nothing is like nothing else; the rest is worth the reading.
  (a !== null && b !== null && JSON.stringify(ordered(a)) === JSON.stringify(ordered(b)))
