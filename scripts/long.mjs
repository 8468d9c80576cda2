/** npm run long: functions of more than 60 lines or more than 4 parameters, the longest first. */
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import ts from 'typescript'
import { root } from './lib/setup.mjs'

const MOST = { lines: 60, parameters: 4 }
const files = execFileSync('git', ['ls-files', 'src', 'server', 'cli', 'scripts', 'bench'], { cwd: root })
  .toString()
  .split('\n')
  .filter((f) => /\.(ts|vue|mjs)$/.test(f) && !/\.test\.ts$|\/testing\/|\.bench\.ts$/.test(f))
/** The script of a component with its lines where they are in the file. */
const scriptOf = (file) => {
  const text = readFileSync(file, 'utf8')
  if (!file.endsWith('.vue')) return text
  const found = /<script[^>]*>([^]*?)<\/script>/.exec(text)
  return found ? '\n'.repeat(text.slice(0, found.index).split('\n').length) + found[1] : ''
}
const found = []
for (const file of files) {
  const source = ts.createSourceFile(file, scriptOf(file), ts.ScriptTarget.Latest, true)
  const walk = (node) => {
    if (ts.isFunctionLike(node) && node.body) {
      const line = (at) => source.getLineAndCharacterOfPosition(at).line
      const lines = line(node.getEnd()) - line(node.getStart()) + 1
      const parameters = node.parameters.length
      const name = node.name?.getText() ?? node.parent.name?.getText() ?? '(unnamed)'
      if (lines > MOST.lines || parameters > MOST.parameters)
        found.push({ file, at: line(node.getStart()) + 1, name, lines, parameters })
    }
    ts.forEachChild(node, walk)
  }
  walk(source)
}
found.sort((a, b) => b.lines - a.lines)
for (const f of found)
  console.log(`${f.file}:${f.at} ${f.name}: ${f.lines} lines, ${f.parameters} parameters`)
const over = (of) => found.filter((f) => f[of] > MOST[of]).length
console.log(
  `${over('lines')} functions over ${MOST.lines} lines, ${over('parameters')} with over ${MOST.parameters} parameters`,
)
