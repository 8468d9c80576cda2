import type { Page } from '@playwright/test'

/** A repeatable source of moments, ms. */
export function moments(seed: number) {
  let a = seed
  return (from: number, to: number) => {
    a = (Math.imul(a, 1664525) + 1013904223) >>> 0
    return from + (a / 2 ** 32) * (to - from)
  }
}

/** Kills a tab without a word to it. */
export async function kill(tab: Page) {
  const session = await tab.context().newCDPSession(tab)
  const dead = tab.waitForEvent('crash')
  void session.send('Page.crash').catch(() => undefined)
  await dead
  await tab.close()
}
