import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'
import { checkTables } from './scripts/lib/checkTables'
import { limitsByValue } from './scripts/lib/limitsByValue'
import { withoutRipple } from './scripts/lib/withoutRipple'

/** The server swaps this text for a fresh nonce in every page it sends. */
export const NONCE_PLACEHOLDER = '__OPEN_BED_NONCE__'

/** The grower's own garden, all of it, without a network; the demo is never kept. */
const offline = VitePWA({
  // A newer version waits until it is told to take over.
  registerType: 'prompt',
  injectRegister: null,
  scope: '/my',
  manifest: {
    id: '/my',
    name: 'Open Bed',
    short_name: 'Open Bed',
    description: 'Growing mixes for pots and beds, worked out in your own container.',
    lang: 'en',
    start_url: '/my',
    scope: '/my',
    display: 'standalone',
    background_color: '#f3ece0',
    theme_color: '#f3ece0',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
    ],
  },
  workbox: {
    globPatterns: ['**/*.{js,css,html,woff2,svg,png,webmanifest}'],
    globIgnores: ['**/demoGarden-*', '.vite/**'],
    // The page comes from the server with a nonce and the policy that names it; both are kept as they came.
    manifestTransforms: [
      (entries) => ({
        manifest: entries.map((e) => (e.url === 'index.html' ? { ...e, url: '/my' } : e)),
      }),
    ],
    navigateFallback: '/my',
    navigateFallbackAllowlist: [/^\/my(\/|$)/],
    inlineWorkboxRuntime: true,
    cleanupOutdatedCaches: true,
    sourcemap: false,
  },
})

export default defineConfig({
  plugins: [
    vue(),
    checkTables(fileURLToPath(new URL('./src/core/data', import.meta.url))),
    limitsByValue,
    withoutRipple,
    offline,
  ],
  resolve: {
    alias: {
      '@': fileURLToPath(new URL('./src', import.meta.url)),
      // Every browser the page is built for has promises: localForage's own build without its copy of them.
      localforage: 'localforage/dist/localforage.nopromises.js',
    },
  },
  html: { cspNonce: NONCE_PLACEHOLDER },
  build: {
    target: 'es2022',
    // Inline data: URLs would need looser security headers; every asset is a file of its own.
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    manifest: true,
    rolldownOptions: {
      output: {
        // What the first page needs in one file: a request costs more than its bytes.
        codeSplitting: { groups: [{ name: 'first', tags: ['$initial'] }] },
      },
    },
  },
})
