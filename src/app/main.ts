import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import '@fontsource-variable/bitter/index.css'
import 'primeicons/primeicons.css'
import '../styles/tokens.css'
import '../styles/base.css'
import { createPinia } from 'pinia'
import PrimeVue from 'primevue/config'
import { createApp } from 'vue'
import App from './App.vue'
import { keepInstallOffer } from '../composables/page/deviceOffer'
import { keepOffline } from '../composables/page/useOffline'
import { router } from './router'
import { useGarden } from '../stores/garden'
import { openBedPreset } from './theme'
import { ownSeed } from '../stores/garden/ownSeed'
import { setDateOrder } from '@/text/base/dates'

const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce

const app = createApp(App)
app.use(createPinia())
app.use(PrimeVue, {
  csp: { nonce },
  theme: { preset: openBedPreset, options: { darkModeSelector: '[data-theme="dark"]' } },
})

// The page asked for is fetched while the garden is read, not after.
for (const { components } of router.resolve(location.pathname).matched) {
  const page = components?.default as unknown
  if (typeof page === 'function') void (page as () => Promise<unknown>)().catch(() => null)
}

const garden = location.pathname.startsWith('/demo') ? 'demo' : 'my'
// As a rule the garden is there before anything is drawn; one that is slow is waited for in sight.
const atMost = (ms: number, work: Promise<void>) =>
  Promise.race([work, new Promise((slow) => setTimeout(slow, ms))])
setDateOrder(navigator.language)
const store = useGarden()
const seed =
  garden === 'demo'
    ? async () => (await import('../demo/demoGarden')).demoGarden()
    : ownSeed(navigator.language, () => store.records.size === 0)
await atMost(1000, store.open(garden, seed))
await atMost(100, store.untilWhole())
app.use(router)
app.mount('#app')

/** Fetching all of the app for later does not compete with what is wanted now, ms. */
const SETTLED = 2000
// Kept on the device once the page has settled; the demo is only looked at.
if (garden === 'my' && import.meta.env.PROD && 'serviceWorker' in navigator) {
  keepInstallOffer()
  setTimeout(() => void keepOffline(async () => (await import('virtual:pwa-register')).registerSW), SETTLED)
}
