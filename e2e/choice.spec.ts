import { expect, openGarden, test } from './support'

// 2026-11-25: a list opened by key, an arrow at once and Enter a tenth of a second later chose nothing, ten times in
// ten: the box forgot which option was reached when its own filter took the keyboard.
test('a list with a search box takes an arrow and Enter at any pace', { tag: '@long' }, async ({ page }) => {
  await openGarden(page, '/demo/jobs/fig/containers')
  const crop = page.getByRole('combobox', { name: 'Crop', exact: true })
  for (const pause of [0, 60, 130, 250]) {
    const before = await crop.textContent()
    await crop.focus()
    await page.keyboard.press('Enter')
    await expect(page.getByPlaceholder('Search crops')).toBeFocused()
    await page.keyboard.press('ArrowDown')
    await page.waitForTimeout(pause)
    await page.keyboard.press('Enter')
    await expect(crop, `after ${pause} ms`).not.toHaveText(before!)
    await expect(page.getByPlaceholder('Search crops')).toHaveCount(0)
  }
})

test(
  'a list of several takes an arrow and Enter at any pace, and stays open for more',
  { tag: '@long' },
  async ({ page }) => {
    await openGarden(page, '/demo/jobs/fig/containers')
    const others = page.getByRole('combobox', { name: 'Other crops in the same mix' })
    await others.focus()
    await page.keyboard.press('Enter')
    await expect(page.getByPlaceholder('Search crops')).toBeFocused()
    const chosen = page.getByRole('option', { selected: true })
    const before = await chosen.count()
    await page.keyboard.press('ArrowDown')
    await page.waitForTimeout(130)
    await page.keyboard.press('Enter')
    await expect(chosen).toHaveCount(before + 1)
    await page.keyboard.press('Escape')
  },
)
