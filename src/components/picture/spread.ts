/**
 * Places for labels beside a drawing: each as near its own height as it can be, none closer to the next than `gap`, all
 * between `top` and `bottom` where they have room. Heights and answers in px, in the order given.
 *
 * @example
 * spread([10, 12], { gap: 20, top: 0, bottom: 100 }) // [1, 21]
 */
export function spread(
  heights: readonly number[],
  { gap, top, bottom }: { gap: number; top: number; bottom: number },
): number[] {
  const order = heights.map((_, i) => i).sort((a, b) => heights[a]! - heights[b]!)
  /** Runs of labels that touch: each lies about the middle of what it names. */
  const runs: { members: number[]; at: number }[] = []
  const placed = ({ members }: { members: number[] }) => {
    const middle = members.reduce((sum, i) => sum + heights[i]!, 0) / members.length
    const tall = gap * (members.length - 1)
    return Math.max(top, Math.min(bottom - tall, middle - tall / 2))
  }
  for (const i of order) {
    let run = { members: [i], at: 0 }
    run.at = placed(run)
    for (let last = runs.at(-1); last; last = runs.at(-1)) {
      if (last.at + gap * last.members.length <= run.at) break
      runs.pop()
      run = { members: [...last.members, ...run.members], at: 0 }
      run.at = placed(run)
    }
    runs.push(run)
  }
  const answer: number[] = []
  for (const { members, at } of runs) members.forEach((i, k) => (answer[i] = at + k * gap))
  return answer
}
