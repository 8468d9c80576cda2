/** Hands a text to the browser to save as a file. */
export function saveFile(name: string, text: string, type: string) {
  const url = URL.createObjectURL(new Blob([text], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  // Some browsers read the file only after the click returns.
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}
