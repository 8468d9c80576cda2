import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { checkTables } from './scripts/lib/checkTables'

/** The server swaps this text for a fresh nonce in every page it sends. */
export const NONCE_PLACEHOLDER = '__OPEN_BED_NONCE__'

export default defineConfig({
  plugins: [vue(), checkTables(fileURLToPath(new URL('./src/core/data', import.meta.url)))],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  html: { cspNonce: NONCE_PLACEHOLDER },
  // Inline data: URLs would need looser security headers; every asset is a file of its own.
  build: { target: 'es2022', assetsInlineLimit: 0, modulePreload: { polyfill: false }, manifest: true },
})
