import type { Plugin } from 'vite'

const RIPPLE = 'primevue/ripple'
const EMPTY = '\0no-ripple'

/** Buttons bring a ripple that the app has switched off, and its half of the directives: an empty one instead. */
export const withoutRipple: Plugin = {
  name: 'without-ripple',
  apply: 'build',
  enforce: 'pre',
  resolveId: (source) => (source === RIPPLE ? EMPTY : null),
  load: (id) => (id === EMPTY ? 'export default {}' : null),
}
