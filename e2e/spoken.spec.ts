import type { Page } from '@playwright/test'
import { SCREENS } from './screens'
import { expect, openGarden, test } from './support'

/** What a screen reader has of one thing on the page: its role, its name, and the name of the group it is in. */
interface Spoken {
  role: string
  name: string
  within: string
}
/** What is pressed, ticked, typed into or moved. */
const CONTROLS = new Set([
  'button',
  'link',
  'textbox',
  'searchbox',
  'combobox',
  'checkbox',
  'radio',
  'switch',
  'slider',
  'spinbutton',
  'tab',
  'DisclosureTriangle',
])

/** What gives the things in it a context that is heard before them. */
const GROUPS = new Set(['group', 'radiogroup', 'form', 'dialog', 'Date'])

/** The accessibility tree of a page, as the browser gives it to a screen reader. */
async function treeOf(page: Page): Promise<Spoken[]> {
  const session = await page.context().newCDPSession(page)
  const { nodes } = await session.send('Accessibility.getFullAXTree')
  await session.detach()
  const byId = new Map(nodes.map((node) => [node.nodeId, node]))
  const roleOf = (node: (typeof nodes)[number]) => String(node.role?.value ?? '')
  const nameOf = (node: (typeof nodes)[number]) => String(node.name?.value ?? '').trim()
  const groupOf = (node: (typeof nodes)[number]): string => {
    const parent = byId.get(node.parentId ?? '')
    if (!parent) return ''
    return GROUPS.has(roleOf(parent)) && nameOf(parent) !== '' ? nameOf(parent) : groupOf(parent)
  }
  return nodes
    .filter((node) => !node.ignored)
    .map((node) => ({ role: roleOf(node), name: nameOf(node), within: groupOf(node) }))
}

/** Controls that a screen reader lists under one name, in one group, though they do different things. */
function twins(controls: readonly Spoken[]): string[] {
  const seen = new Map<string, number>()
  for (const { role, name, within } of controls) {
    const heard = `${role} “${name}”${within ? ` in “${within}”` : ''}`
    seen.set(heard, (seen.get(heard) ?? 0) + 1)
  }
  return [...seen].filter(([, times]) => times > 1).map(([said, times]) => `${times} × ${said}`)
}

/** Links of one name that lead to one place are no twins. */
const linksOf = (page: Page) =>
  page.evaluate(() => {
    const places = new Map<string, Set<string>>()
    for (const a of document.querySelectorAll<HTMLAnchorElement>('a[href]')) {
      const name = (a.ariaLabel ?? a.innerText).trim()
      places.set(name, (places.get(name) ?? new Set()).add(a.href))
    }
    return [...places].filter(([, to]) => to.size === 1).map(([name]) => name)
  })

for (const path of SCREENS)
  test(
    `what is heard of ${path}: one first heading, every control has a name of its own`,
    {
      tag: '@long',
    },
    async ({ page }) => {
      await openGarden(page, path)
      await page.waitForLoadState('networkidle')
      const tree = await treeOf(page)
      const alike = new Set(await linksOf(page))
      const controls = tree.filter(({ role }) => CONTROLS.has(role))
      expect(controls.length).toBeGreaterThan(5)
      expect
        .soft(
          controls.filter(({ name }) => name === ''),
          'without a name',
        )
        .toEqual([])
      expect
        .soft(
          twins(controls.filter(({ role, name }) => !(role === 'link' && alike.has(name)))),
          'of one name',
        )
        .toEqual([])
      expect.soft(tree.filter(({ role }) => role === 'main').length, 'main parts').toBe(1)
    },
  )
