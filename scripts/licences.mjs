/**
 * npm run licences: docs/licences.md, every run-time package and font with its licence; fails on one not permissive.
 */
import { execFileSync } from 'node:child_process'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ensureInstalled, root } from './lib/setup.mjs'

ensureInstalled()
const PERMISSIVE =
  /^(MIT|ISC|Apache-2\.0|BSD-[23]-Clause|0BSD|OFL-1\.1|Unlicense|CC0-1\.0|BlueOak-1\.0\.0|MIT OR .*|.* OR MIT|\(.*MIT.*\))$/
const read = (name) => JSON.parse(readFileSync(join(root, 'node_modules', name, 'package.json'), 'utf8'))
const names = new Set(Object.keys(JSON.parse(readFileSync('package.json', 'utf8')).dependencies))

// What the browser runs: every package a module of the built app comes from.
const { build } = await import('vite')
const { output } = await build({ logLevel: 'silent', build: { write: false } })
for (const chunk of output)
  for (const id of Object.keys(chunk.modules ?? {})) {
    const name = /node_modules\/((?:@[^/]+\/)?[^/]+)\/(?!.*node_modules)/.exec(id)?.[1]
    if (name) names.add(name)
  }
// What the server runs: its three packages and all that they need.
const tree = JSON.parse(
  execFileSync('npm', ['ls', 'express', 'helmet', 'compression', '--all', '--json'], {
    maxBuffer: 1e8,
  }).toString(),
)
const walk = (node) => {
  for (const [name, child] of Object.entries(node.dependencies ?? {})) {
    names.add(name)
    walk(child)
  }
}
for (const name of ['express', 'helmet', 'compression']) walk(tree.dependencies[name])
const found = new Map(
  [...names]
    .filter((n) => existsSync(join(root, 'node_modules', n)))
    .map((n) => [`${n}@${read(n).version}`, n]),
)
const rows = [...found].map(([id, name]) => {
  const file = join(root, 'node_modules', name, 'package.json')
  const licence = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')).license : undefined
  return { id, licence: typeof licence === 'string' ? licence : (licence?.type ?? 'unknown') }
})
rows.sort((a, b) => a.id.localeCompare(b.id))
// What builds it and is not shipped: only what is not permissive is named.
const locked = JSON.parse(readFileSync('package-lock.json', 'utf8')).packages
const building = [
  ...new Set(
    Object.entries(locked)
      .filter(
        ([path, { license }]) => path !== '' && typeof license === 'string' && !PERMISSIVE.test(license),
      )
      .map(([path, { license }]) => `${path.replace(/^.*node_modules\//, '')} (${license})`)
      .filter(
        (line) =>
          !line.startsWith('lightningcss-') &&
          !rows.some((r) => line.startsWith(`${r.id.replace(/@[^@]+$/, '')} `)),
      ),
  ),
].sort()
const direct = new Set(Object.keys(JSON.parse(readFileSync('package.json', 'utf8')).dependencies))
const wrong = rows.filter((r) => !PERMISSIVE.test(r.licence))
writeFileSync(
  'docs/licences.md',
  `# Licences of what runs

Made by \`npm run licences\`; do not edit. Open Bed itself is MIT. Packages named in bold are asked for by package.json, the
rest come with them. Fonts are the \`@fontsource\` packages (SIL Open Font License) and the icons of primeicons (MIT).

| package | licence |
| --- | --- |
${rows.map((r) => `| ${direct.has(r.id.replace(/@[^@]+$/, '')) ? `**${r.id}**` : r.id} | ${r.licence} |`).join('\n')}

Tools that build or test it, are not shipped, and are not permissive: ${building.join(', ')}.
`,
)
console.log(
  `${rows.length} packages, ${wrong.length} not permissive${wrong.map((r) => `\n  ${r.id}: ${r.licence}`).join('')}`,
)
process.exit(wrong.length === 0 ? 0 : 1)
