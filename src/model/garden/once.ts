/** What follows from a value that never changes in place, worked out when it is first asked for. */
export function once<K extends object, V>(known: WeakMap<K, V>, key: K, work: (key: K) => V): V {
  const found = known.get(key)
  if (found !== undefined || known.has(key)) return found as V
  const made = work(key)
  known.set(key, made)
  return made
}
