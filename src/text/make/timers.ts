const two = (n: number) => String(n).padStart(2, '0')

/** "4:05", "2:10:00" to go; what is over says so, and since when once a minute is past. */
export function leftText(seconds: number): string {
  if (seconds <= 0) {
    const minutes = Math.floor(-seconds / 60)
    if (minutes < 1) return 'Time'
    return minutes < 120 ? `Time, ${minutes} min ago` : `Time, ${Math.floor(minutes / 60)} h ago`
  }
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor((seconds % 3600) / 60), seconds % 60]
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`
}
