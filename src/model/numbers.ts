/** A number as read; null where it is none; where it may be one of two, both. */
export type ReadNumber = number | null | { either: [number, number] }

/** The sign between whole and fraction. */
export type DecimalSign = 'comma' | 'point'

const VULGAR: Record<string, number> = { '¼': 0.25, '½': 0.5, '¾': 0.75, '⅓': 1 / 3, '⅔': 2 / 3, '⅛': 0.125 }

/** "1,200" may be twelve hundred or one and a fifth. With a point it is as this app itself writes a fraction. */
function withComma(text: string, decimal: DecimalSign | undefined): ReadNumber {
  const thousands = /^[1-9]\d{0,2}[.,]\d{3}$/.test(text)
  // Where fractions are written with a comma, "1.200" may be either; where with a point, "1,200" is twelve hundred.
  if (thousands && decimal === 'point' && text.includes(',')) return Number(text.replace(',', ''))
  if (thousands && decimal === 'comma')
    return text.includes(',')
      ? Number(text.replace(',', '.'))
      : { either: [Number(text.replace('.', '')), Number(text)] }
  if (/^[1-9]\d{0,2},\d{3}$/.test(text))
    return { either: [Number(text.replace(',', '')), Number(text.replace(',', '.'))] }
  if (/^[1-9]\d{0,2}(,\d{3})+(\.\d+)?$/.test(text)) return Number(text.replaceAll(',', ''))
  if (/^[1-9]\d{0,2}(\.\d{3})+,\d+$/.test(text)) return Number(text.replaceAll('.', '').replace(',', '.'))
  const plain = text.replace(',', '.')
  return /^(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(plain) && Number.isFinite(Number(plain))
    ? Number(plain)
    : null
}

/** "11/2" may be eleven halves or one and a half written close. */
function fraction(text: string): ReadNumber {
  const parts = /^(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(text)
  if (!parts) return null
  const [whole, above, below] = [Number(parts[1] ?? 0), Number(parts[2]), Number(parts[3])]
  if (below === 0) return null
  const close = parts[1] === undefined ? /^(\d+)(\d)$/.exec(parts[2]!) : null
  const last = Number(close?.[2] ?? 0)
  return close && last > 0 && last < below
    ? { either: [above / below, Number(close[1]) + last / below] }
    : whole + above / below
}

/**
 * A number as people write it: "12", "12.5", "12,5", "1,234.5", "1.234,5", "½", "1½", "1 1/2", "10/4", with a plus or
 * a minus before it. What may be read in two ways gives both: "1,200", "11/2"; less often where it is known how
 * fractions are written.
 */
export function readNumber(text: string, decimal?: DecimalSign): ReadNumber {
  const [, sign, bare] = /^([+\-−]?)\s*(.*)$/s.exec(text.trim())!
  const vulgar = /^(\d+)?\s*([¼½¾⅓⅔⅛])$/.exec(bare!)
  const read = vulgar
    ? Number(vulgar[1] ?? 0) + VULGAR[vulgar[2]!]!
    : (fraction(bare!) ?? withComma(bare!, decimal))
  if (read === null || sign === '' || sign === '+') return read
  return typeof read === 'number' ? -read : { either: [-read.either[0], -read.either[1]] }
}
