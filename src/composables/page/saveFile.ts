/** Hands a text or bytes to the browser to save as a file. */
export function saveFile(name: string, content: string | Uint8Array, type: string) {
  const url = URL.createObjectURL(new Blob([content as BlobPart], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  // Some browsers read the file only after the click returns.
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}
