/**
 * The text of a file, whatever program wrote it: UTF-8 or UTF-16 by their marks, UTF-8 where all of it is valid, else
 * Windows-1252, as spreadsheets write where nobody asks them. Errors: none. Source: Encoding Standard (WHATWG).
 */
export function decodeText(bytes: Uint8Array): {
  text: string
  encoding: 'utf-8' | 'utf-16' | 'windows-1252'
} {
  const [a, b] = bytes
  if (a === 0xff && b === 0xfe) return { text: new TextDecoder('utf-16le').decode(bytes), encoding: 'utf-16' }
  if (a === 0xfe && b === 0xff) return { text: new TextDecoder('utf-16be').decode(bytes), encoding: 'utf-16' }
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' }
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'windows-1252' }
  }
}
