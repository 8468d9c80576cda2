/** What the charts of a season share: no motion, the page's ink and rules. */
export const chartLook = (ink: string) => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false as const,
  legend: { labels: { color: ink, usePointStyle: true } },
})

/** Colours of the page by the names of its roles, as they are now. */
export function rolesOf(names: readonly string[]): Record<string, string> {
  const style = getComputedStyle(document.documentElement)
  return Object.fromEntries(names.map((name) => [name, style.getPropertyValue(name).trim()]))
}
