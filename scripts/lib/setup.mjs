/** What a fresh machine needs before anything runs. Plain Node, no packages. */
import { execFileSync, spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = dirname(dirname(dirname(fileURLToPath(import.meta.url))))
process.chdir(root)

export const bin = (name) => join(root, 'node_modules', '.bin', name)

export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { stdio: 'inherit', cwd: root, ...options })
  return done.status ?? 1
}

/** Runs a program and keeps its words for later. */
export const hear = (command, args) =>
  new Promise((resolve) => {
    const program = spawn(command, args, { cwd: root })
    let said = ''
    for (const stream of [program.stdout, program.stderr]) stream.on('data', (text) => (said += text))
    program.on('error', (e) => resolve({ status: 1, said: String(e) }))
    program.on('close', (status) => resolve({ status: status ?? 1, said }))
  })

function stop(sentence) {
  console.error(sentence)
  process.exit(1)
}

const hashOf = (text) => createHash('sha256').update(text).digest('hex')

/** Installs packages when they are missing or the lock file has changed since. */
export function ensureInstalled() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19))
    stop(`Open Bed needs Node 20.19 or newer; this is ${process.versions.node}.`)
  const wanted = hashOf(readFileSync('package-lock.json'))
  const mark = join('node_modules', '.open-bed-lock')
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return
  console.log('Installing packages (once) …')
  if (run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { stdio: ['ignore', 2, 2] }) !== 0)
    stop('The packages could not be installed. Is the package registry reachable?')
  writeFileSync(mark, wanted)
}

function newest(path) {
  const stat = statSync(path)
  if (!stat.isDirectory()) return stat.mtimeMs
  return Math.max(stat.mtimeMs, ...readdirSync(path).map((name) => newest(join(path, name))))
}

/** True when every output is there and newer than every source. */
function fresh(outputs, sources) {
  if (!outputs.every(existsSync)) return false
  const built = Math.min(...outputs.map((o) => statSync(o).mtimeMs))
  return built > Math.max(...sources.filter(existsSync).map(newest))
}

/** A build whose own words go to stderr, so that they never mix with an answer. */
function build(what, args) {
  if (run(bin('vite'), ['build', ...args, '--logLevel', 'error'], { stdio: ['ignore', 2, 2] }) !== 0)
    stop(`${what} could not be built.`)
}

const APP_SOURCES = [
  'src',
  'server',
  'public',
  'index.html',
  'vite.config.ts',
  'vite.server.config.ts',
  'package-lock.json',
]
const isAppFresh = () => fresh(['dist/index.html', 'dist-server/main.js'], APP_SOURCES)

/** Builds the app and its server when there is no build or a source is newer. */
export function ensureBuilt() {
  if (isAppFresh()) return
  console.log('Building the app …')
  build('The app', [])
  build('The server', ['-c', 'vite.server.config.ts'])
}

/** What is left to build of the app and its server, as programs to run. */
export const appBuilds = () =>
  isAppFresh()
    ? []
    : [[], ['-c', 'vite.server.config.ts']].map((args) => [
        'Build',
        'vite',
        ['build', ...args, '--logLevel', 'error'],
      ])

/** Builds the headless door when there is none or a source is newer. */
export function ensureCoreBuilt() {
  const sources = ['src/core', 'src/model', 'src/text', 'cli', 'vite.core.config.ts', 'package-lock.json']
  const built = ['core', 'formats', 'starters', 'library'].map((name) => `dist-core/${name}.js`)
  if (fresh(built, sources)) return
  console.log('Building the core …')
  build('The core', ['-c', 'vite.core.config.ts'])
}

/** Builds the core as a library, with its types. */
export function ensureLibraryBuilt() {
  ensureCoreBuilt()
  console.log('Writing the types of the library …')
  if (run(bin('tsc'), ['-p', 'tsconfig.library.json']) !== 0)
    stop('The types of the library could not be written.')
}

const CHROMIUM_PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome']

/** Path of a Chromium, installing Debian's when this is Debian and we may; null with a sentence said otherwise. */
export function ensureChromium() {
  const named = process.env.CHROMIUM
  if (named && existsSync(named)) return named
  const found = CHROMIUM_PLACES.find(existsSync)
  if (found) return found
  const isRoot = process.getuid?.() === 0
  if (isRoot && existsSync('/usr/bin/apt-get')) {
    console.log('Installing Chromium for the browser tests (once) …')
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
    run('apt-get', ['update', '-qq'], { env })
    run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
      env,
      stdio: ['ignore', 'ignore', 'inherit'],
    })
    if (existsSync('/usr/bin/chromium')) return '/usr/bin/chromium'
  }
  console.error(
    'The browser tests need Chromium. Install it (on Debian or Ubuntu: sudo apt-get install chromium), or set ' +
      'CHROMIUM to the path of one you have, and run again.',
  )
  return null
}

export function freePort() {
  return Number(
    execFileSync(process.execPath, [
      '-e',
      "const s=require('net').createServer().listen(0,()=>{console.log(s.address().port);s.close()})",
    ])
      .toString()
      .trim(),
  )
}

/**
 * Runs browser tests against a fresh build. Answers the program's status and its report, null where it wrote none; no
 * Chromium, no run.
 */
export function runBrowserTests(file, suites = [], env = {}) {
  const chromium = ensureChromium()
  if (!chromium) return { status: 1, report: null }
  ensureBuilt()
  rmSync(file, { force: true })
  const status = run(bin('playwright'), ['test', ...suites, '--reporter=list,json'], {
    env: {
      E2E_PORT: String(freePort()),
      ...process.env,
      ...env,
      CHROMIUM: chromium,
      PLAYWRIGHT_JSON_OUTPUT_NAME: file,
    },
  })
  return { status, report: existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null }
}

export const ensureFolder = (path) => mkdirSync(path, { recursive: true })
