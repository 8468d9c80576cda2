/**
 * Pairs of row and column of least total cost, as many as the smaller side has, each row and column once at most.
 * Finite costs in. Source: Kuhn 1955, Munkres 1957; the form with potentials and shortest augmenting paths.
 *
 * @example
 * assign([[4, 1], [2, 0]]) // [[0, 1], [1, 0]]
 */
export function assign(cost: readonly (readonly number[])[]): [row: number, column: number][] {
  const rows = cost.length
  const columns = cost[0]?.length ?? 0
  if (rows === 0 || columns === 0) return []
  if (rows > columns) {
    const turned = cost[0]!.map((_, c) => cost.map((row) => row[c]!))
    return assign(turned)
      .map(([a, b]): [number, number] => [b, a])
      .sort((a, b) => a[0] - b[0])
  }
  // Row and column 0 stand for none.
  const ofRow = new Array<number>(rows + 1).fill(0)
  const ofColumn = new Array<number>(columns + 1).fill(0)
  const taken = new Array<number>(columns + 1).fill(0)
  for (let row = 1; row <= rows; row++) extend(row)
  return taken
    .flatMap((row, column): [number, number][] => (column > 0 && row > 0 ? [[row - 1, column - 1]] : []))
    .sort((a, b) => a[0] - b[0])

  /** Takes one more row in, along the cheapest chain of rows that move over. */
  function extend(row: number) {
    const least = new Array<number>(columns + 1).fill(Infinity)
    const cameFrom = new Array<number>(columns + 1).fill(0)
    const isDone = new Array<boolean>(columns + 1).fill(false)
    taken[0] = row
    let at = 0
    do {
      isDone[at] = true
      const here = taken[at]!
      let next = 0
      let step = Infinity
      for (let c = 1; c <= columns; c++) {
        if (isDone[c]) continue
        const over = cost[here - 1]![c - 1]! - ofRow[here]! - ofColumn[c]!
        if (over < least[c]!) {
          least[c] = over
          cameFrom[c] = at
        }
        if (least[c]! < step) {
          step = least[c]!
          next = c
        }
      }
      for (let c = 0; c <= columns; c++)
        if (isDone[c]) {
          ofRow[taken[c]!]! += step
          ofColumn[c]! -= step
        } else least[c]! -= step
      at = next
    } while (taken[at] !== 0)
    while (at !== 0) {
      const from = cameFrom[at]!
      taken[at] = taken[from]!
      at = from
    }
  }
}
