import { Chart } from 'chart.js'

/** Size of the words on a chart, px: the least of the page. */
const SIZE = 13

/** What all charts share: no motion, the page's type. */
export function chartLook() {
  // A canvas knows nothing of the page's type.
  Chart.defaults.font.family = getComputedStyle(document.documentElement).getPropertyValue('--text').trim()
  Chart.defaults.font.size = SIZE
  return { responsive: true, maintainAspectRatio: false, animation: false as const }
}

/** Colours of the page by the names of its roles, as they are now. */
export function rolesOf(names: readonly string[]): Record<string, string> {
  const style = getComputedStyle(document.documentElement)
  return Object.fromEntries(names.map((name) => [name, style.getPropertyValue(name).trim()]))
}
