import { defineConfig } from 'vite'

/** Bundles server/ to dist-server/ so that plain Node 20 can run it; packages stay external. */
export default defineConfig({
  build: {
    ssr: 'server/main.ts',
    outDir: 'dist-server',
    target: 'node20',
    rollupOptions: { output: { entryFileNames: 'main.js' } },
  },
})
