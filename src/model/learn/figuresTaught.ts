import type { LearnedShelf } from '../garden/schemas'

const BODY = /^(totalPorosity|waterAt\d+Cm|looseEnvelopeFraction|compressibility)$/
/** Properties a figure hangs on, by the head of its name. */
const HANGS_ON: readonly [figure: RegExp, property: RegExp][] = [
  [
    /^(airFilled|containerCapacity|easilyAvailable|plantAvailable|waterBuffering|daysBetween|totalPorosity)/,
    BODY,
  ],
  [/^pH|^residualLime/, /^(pH|bufferCapacity|release|lime|acidity)/],
  [/^electricalConductivity/, /^(electricalConductivity|analysis)/],
  [/Weight$|^floorLoad|^dryBulkDensity/, /^(dryBulkDensity|waterAt10Cm|totalPorosity)$/],
]

/**
 * How many of a garden's readings stand behind a figure of a mix of these materials and dressings, by the figure's
 * name; 0 where none has a say.
 */
export function readingsTaught(
  learned: LearnedShelf | undefined,
  ids: ReadonlySet<string>,
): (figure: string) => number {
  const rows = (learned?.rows ?? []).filter((r) => ids.has(r.id))
  const known = new Map<string, number>()
  return (figure) => {
    const found = known.get(figure)
    if (found !== undefined) return found
    const property = HANGS_ON.find(([of]) => of.test(figure))?.[1]
    const behind = rows.filter((r) => property && r.properties.some((p) => property.test(p.name)))
    const count = new Set(behind.flatMap((r) => r.from)).size
    known.set(figure, count)
    return count
  }
}
