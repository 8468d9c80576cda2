import type { ObjectDirective } from 'vue'

const PRESSED = 'a[href], button:not(:disabled)'
const STEPS: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowLeft: -1,
  Home: -Infinity,
  End: Infinity,
}

const controlsIn = (row: HTMLElement) =>
  [...row.querySelectorAll<HTMLElement>(PRESSED)].filter((e) => e.checkVisibility())

/** One of the row is reached by Tab: the one that has or had the keyboard, else the chosen one, else the first. */
function settle(row: HTMLElement) {
  const all = controlsIn(row)
  const reached =
    all.find((e) => e === document.activeElement) ??
    all.find((e) => e.matches('[aria-pressed="true"]')) ??
    all.find((e) => e.tabIndex === 0) ??
    all[0]
  for (const e of all) e.tabIndex = e === reached ? 0 : -1
}

function onKey(event: KeyboardEvent) {
  const step = STEPS[event.key]
  const row = event.currentTarget as HTMLElement
  const all = controlsIn(row)
  const at = all.indexOf(document.activeElement as HTMLElement)
  if (step === undefined || at < 0) return
  event.preventDefault()
  all[Math.min(all.length - 1, Math.max(0, at + step))]?.focus()
  settle(row)
}

/**
 * A row of buttons and links is one step of Tab, as the ARIA Authoring Practices have toolbars: arrow keys, Home and
 * End go from one to the next.
 */
export const vRoving: ObjectDirective<HTMLElement> = {
  mounted(row) {
    settle(row)
    row.addEventListener('keydown', onKey)
  },
  updated: settle,
}
