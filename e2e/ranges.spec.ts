import type { Page } from '@playwright/test'
import { expect, test } from './support'

const air = (page: Page) => page.getByRole('region', { name: 'Air after draining' })

test(
  'likely ranges come after the figures, follow the mix, and never stand beside another mix’s figure',
  { tag: '@long' },
  async ({ page }) => {
    await page.goto('/demo/jobs/peppers-27/mix')
    const likely = air(page).getByText(/^likely \d+–\d+ %$/)
    await expect(likely).toBeVisible()
    const before = await likely.innerText()
    const [low, high] = before.match(/\d+/g)!.map(Number) as [number, number]
    const figure = Number((await air(page).locator('.figure').innerText()).match(/\d+/)![0])
    expect(low).toBeLessThanOrEqual(figure)
    expect(high).toBeGreaterThanOrEqual(figure)

    // Six quick presses: while the hand is at work no range is shown, afterwards the new mix's own.
    const more = page.getByRole('button', { name: /more.*perlite/i })
    for (let i = 0; i < 6; i++) await more.click()
    await expect(likely).toBeVisible()
    const after = (await likely.innerText()).match(/\d+/g)!.map(Number) as [number, number]
    expect(after[0]).toBeGreaterThan(low)
    const now = Number((await air(page).locator('.figure').innerText()).match(/\d+/)![0])
    expect(after[0]).toBeLessThanOrEqual(now)
    expect(after[1]).toBeGreaterThanOrEqual(now)

    // Back by undo, the same mix has the same range: draws are seeded.
    for (let i = 0; i < 6; i++) await page.getByRole('button', { name: /^Undo/ }).click()
    await expect(likely).toBeVisible()
    await expect(likely).toHaveText(before)
  },
)
