import QRCode from 'qrcode'

/** A QR code as one path of squares, a unit each, in a square of so many. */
export interface QrSquares {
  size: number
  path: string
}

/** Longest text a code of the largest kind (40-L) holds, bytes of UTF-8. Source: ISO/IEC 18004. */
const MOST_QR_BYTES = 2953

/** A text as a QR code; null where it is too long for one. */
export function qrSquares(text: string): QrSquares | null {
  if (new TextEncoder().encode(text).length > MOST_QR_BYTES) return null
  const { size, data } = QRCode.create(text, { errorCorrectionLevel: 'L' }).modules
  const squares: string[] = []
  data.forEach((dark, i) => {
    if (dark) squares.push(`M${i % size} ${Math.floor(i / size)}h1v1h-1z`)
  })
  return { size, path: squares.join('') }
}
