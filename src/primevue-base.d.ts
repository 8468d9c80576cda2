/** PrimeVue's own list of the styles it has put into the page; the package has no types for it. */
declare module '@primevue/core/base' {
  const base: { clearLoadedStyleNames(): void }
  export default base
}
