import 'fake-indexeddb/auto'

// What a browser has and Node lacks, as far as the code under test asks for it.
globalThis.requestAnimationFrame ??= (frame) =>
  setTimeout(() => frame(performance.now()), 16) as unknown as number
globalThis.cancelAnimationFrame ??= (id) => clearTimeout(id)
