/** Where an import of ours leads, for the linter: "@/x" and "./x" to a file, everything else is somebody else's. */
const { existsSync, statSync } = require('node:fs')
const { dirname, join, resolve } = require('node:path')

const src = join(__dirname, '..', '..', 'src')
const isFile = (path) => existsSync(path) && statSync(path).isFile()

exports.interfaceVersion = 2
exports.resolve = (source, file) => {
  if (!source.startsWith('@/') && !source.startsWith('.')) return { found: false }
  const base = source.startsWith('@/') ? join(src, source.slice(2)) : resolve(dirname(file), source)
  const path = [base, `${base}.ts`, join(base, 'index.ts')].find(isFile)
  return path ? { found: true, path } : { found: false }
}
