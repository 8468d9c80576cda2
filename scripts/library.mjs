/** npm run library: builds `open-bed/core`, the core with its types, to dist-core. */
import { ensureInstalled, ensureLibraryBuilt } from './lib/setup.mjs'

ensureInstalled()
ensureLibraryBuilt()
