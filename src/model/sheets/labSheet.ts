import { fromMillimoles, PRINTED_AS, type LabFigure } from '@/core/laboratory'

/** What reports call their figures, and what each is printed as; longer names first. */
const NAMES: readonly { pattern: RegExp; figure: LabFigure; times?: number }[] = [
  { pattern: /^(nh4|ammonium)[ -]*(n|nitrogen)\b/, figure: 'ammonium' },
  { pattern: /^nh4\b|^ammonium\b/, figure: 'ammonium', times: PRINTED_AS.ammonium.ammonium },
  { pattern: /^(no3|nitrate)[ -]*(n|nitrogen)\b/, figure: 'nitrogen' },
  { pattern: /^no3\b|^nitrate\b/, figure: 'nitrogen', times: PRINTED_AS.nitrate.nitrogen },
  { pattern: /^p2o5\b|^phosphate\b/, figure: 'phosphorus', times: PRINTED_AS.phosphate.phosphorus },
  { pattern: /^k2o\b|^potash\b/, figure: 'potassium', times: PRINTED_AS.potash.potassium },
  { pattern: /^ph\b/, figure: 'pH' },
  { pattern: /^(ec|e\.c\.|conductivity|salts|soluble salts)\b/, figure: 'salts' },
  { pattern: /^(n|nitrogen|total n|mineral n)\b/, figure: 'nitrogen' },
  { pattern: /^(p|phosphorus)\b/, figure: 'phosphorus' },
  { pattern: /^(k|potassium)\b/, figure: 'potassium' },
  { pattern: /^(ca|calcium)\b/, figure: 'calcium' },
  { pattern: /^(mg|magnesium)\b/, figure: 'magnesium' },
  { pattern: /^(s|sulfur|sulphur)\b/, figure: 'sulfur' },
  { pattern: /^(na|sodium)\b/, figure: 'sodium' },
  { pattern: /^(cl|chloride)\b/, figure: 'chloride' },
  { pattern: /^(fe|iron)\b/, figure: 'iron' },
  { pattern: /^(mn|manganese)\b/, figure: 'manganese' },
  { pattern: /^(zn|zinc)\b/, figure: 'zinc' },
  { pattern: /^(cu|copper)\b/, figure: 'copper' },
  { pattern: /^(b|boron)\b/, figure: 'boron' },
  { pattern: /^(mo|molybdenum)\b/, figure: 'molybdenum' },
]

/** Why a line of a report was passed over: its number from 1, and its text. */
export interface LabLineProblem {
  row: number
  code: 'unknown-name' | 'no-number' | 'unknown-unit'
  text: string
}
export interface LabSheet {
  figures: Partial<Record<LabFigure, number>>
  problems: LabLineProblem[]
}

/** mg/L, mmol/L, dS/m and their like, as factors on the figure; undefined for a unit nobody knows here. */
function inOurUnit(figure: LabFigure, value: number, unit: string): number | undefined {
  const u = unit.toLowerCase().replaceAll(' ', '').replace('µ', 'u').replace('μ', 'u')
  if (figure === 'pH') return value
  if (figure === 'salts') {
    if (u === '' || /^(ds\/m|ms\/cm|mmhos?\/cm)$/.test(u)) return value
    if (/^(us\/cm|umhos?\/cm)$/.test(u)) return value / 1000
    return /^ms\/m$/.test(u) ? value / 100 : undefined
  }
  if (u === '' || /^(mg\/l|ppm|mg\/kgextract)$/.test(u)) return value
  if (u === 'mmol/l') return fromMillimoles(figure, value)
  if (/^(umol\/l)$/.test(u)) return fromMillimoles(figure, value / 1000)
  return /^(ug\/l|ppb)$/.test(u) ? value / 1000 : undefined
}

/**
 * A report as it is pasted or read from a file: a line for each figure, its name, value and unit apart by a tab, comma,
 * semicolon or spaces. Lines that cannot be read are named and nothing of them is taken. Nitrate and ammonium together
 * are the nitrogen.
 */
export function labFromText(text: string): LabSheet {
  const figures: Partial<Record<LabFigure, number>> = {}
  const problems: LabLineProblem[] = []
  text.split(/\r?\n/).forEach((line, i) => {
    const row = i + 1
    const said = line.trim()
    if (said === '') return
    const found = /^(.*?)[\t;,: ]+(-?\d+(?:[.,]\d+)?)\s*[\t;,]?\s*([^\t;,]*)$/.exec(said)
    if (!found) {
      if (i > 0) problems.push({ row, code: 'no-number', text: said })
      return
    }
    const [, name, number, unit] = found as unknown as [string, string, string, string]
    const key = name.trim().toLowerCase()
    const known = NAMES.find(({ pattern }) => pattern.test(key))
    if (!known) return void problems.push({ row, code: 'unknown-name', text: name.trim() })
    const value = inOurUnit(known.figure, Number(number.replace(',', '.')), unit)
    if (value === undefined || Number.isNaN(value))
      return void problems.push({ row, code: 'unknown-unit', text: `${name.trim()}: ${unit}` })
    const mg = value * (unit.toLowerCase().includes('mol') ? 1 : (known.times ?? 1))
    figures[known.figure] = mg
  })
  if (
    figures.nitrogen !== undefined &&
    figures.ammonium !== undefined &&
    !/^\s*(n|nitrogen|total n)\b/im.test(text)
  )
    figures.nitrogen += figures.ammonium
  return { figures, problems }
}
