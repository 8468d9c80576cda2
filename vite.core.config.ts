import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vite'

/** Bundles cli/ to dist-core/, whole, so that plain Node runs the headless door in a blink. */
export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  publicDir: false,
  ssr: { noExternal: true },
  build: {
    ssr: true,
    outDir: 'dist-core',
    target: 'node20',
    rollupOptions: { input: { core: 'cli/main.ts', formats: 'cli/formats.ts', starters: 'cli/starters.ts', library: 'cli/library.ts' } },
  },
})
