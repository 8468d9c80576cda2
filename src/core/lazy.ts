/**
 * A constant that is worked out when it is first asked for, and never again.
 *
 * @example
 * lazy(() => 2 + 2)() // 4
 */
export function lazy<T>(make: () => T): () => T {
  let made: { value: T } | undefined
  return () => (made ??= { value: make() }).value
}
