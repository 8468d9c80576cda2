import type { Chart, Plugin } from 'chart.js'
import { spread } from '../picture/spread'

/** Height of a line of words on a chart, and room between a point and its words, px. */
const LINE = 16
const APART = 10
/** About the width of a letter, px. */
const LETTER = 7

/** Room on the right of a chart for the names of its lines, px; a third of a narrow chart at the most. */
export const roomFor = (names: readonly string[], width: number): number =>
  Math.min(width / 3, Math.max(0, ...names.map((n) => n.length * LETTER)) + 2 * APART)

/** As much of some words as have room in so many px. */
export const within = (words: string, px: number): string => {
  const letters = Math.max(1, Math.floor(px / LETTER))
  return words.length <= letters ? words : `${words.slice(0, letters - 1).trimEnd()}…`
}

/** The name of each line at its end, in its colour, in place of a legend; apart from each other. */
export const endLabels: Plugin<'line'> = {
  id: 'endLabels',
  afterDatasetsDraw(chart: Chart<'line'>) {
    const { ctx, chartArea, width } = chart
    const lines = chart.data.datasets.flatMap((set, i) => {
      const last = chart.getDatasetMeta(i).data.findLast((p) => Number.isFinite(p.y))
      return last && chart.isDatasetVisible(i) ? [{ set, x: last.x, y: last.y }] : []
    })
    const places = spread(
      lines.map((l) => l.y),
      { gap: LINE, top: chartArea.top + LINE / 2, bottom: chartArea.bottom - 2 },
    )
    ctx.save()
    ctx.textBaseline = 'middle'
    ctx.lineWidth = 5
    ctx.lineJoin = 'round'
    ctx.strokeStyle = getComputedStyle(document.documentElement).getPropertyValue('--paper').trim()
    lines.forEach(({ set, x }, i) => {
      ctx.fillStyle = String(set.borderColor)
      ctx.font = `600 13px ${getComputedStyle(chart.canvas).fontFamily}`
      const words = within(set.label ?? '', width - x - APART)
      // A line that passes behind does not strike the words through.
      ctx.strokeText(words, x + APART, places[i]!)
      ctx.fillText(words, x + APART, places[i]!)
    })
    ctx.restore()
  },
}
