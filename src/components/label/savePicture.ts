/** Points a label is wide as a picture. */
const WIDTH = 1020

/** A drawing as a PNG file, handed to the browser to save. */
export async function savePicture(drawing: SVGSVGElement, name: string): Promise<void> {
  const text = new XMLSerializer().serializeToString(drawing)
  const picture = new Image()
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`
  await picture.decode()
  const { width, height } = drawing.viewBox.baseVal
  const canvas = document.createElement('canvas')
  canvas.width = WIDTH
  canvas.height = Math.round((WIDTH * height) / width)
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
  const link = document.createElement('a')
  link.href = canvas.toDataURL('image/png')
  link.download = name
  link.click()
}
