import { heightForVolume, type Shape } from '@/core/geometry'
import type { CardLine } from '@/model/make/batchCard'
import { tickOf } from '@/model/garden/commands'
import { lookOf, MIX_TINT } from '@/painting/looks'
import type { PartState } from '../picture/sectionParts'

type Measure = Extract<CardLine, { kind: 'measure' }>

/** What lies in the tub, from one height to another, cm. */
export interface TubBand {
  line: Measure
  from: number
  to: number
  tint: string
  state: PartState
}

/** A mixing tub of usual proportions: so many times as wide at the top and at the base as it is high. */
const TOP = 1.5
const BASE = 1.2
/** Litres of a tub one cm high, from the volume of a cut cone. */
const UNIT = ((Math.PI / 12) * (TOP ** 2 + TOP * BASE + BASE ** 2)) / 1000

/** A tub of usual proportions that holds so many litres to the brim. */
export function tubShape(litres: number): Shape {
  const height = Math.cbrt(litres / UNIT)
  return { kind: 'roundPot', topDiameter: TOP * height, baseDiameter: BASE * height, height }
}

/** What a line of the card is drawn with; a finished mix looks like the most of what is in it. */
export function tintOfLine({ what }: Measure): string {
  const material = 'material' in what ? what.material : what.most
  return material ? lookOf(material).tint : MIX_TINT
}

/** The measures of a batch in the tub: what is ticked lies below, the next one on it, what is to come on top. */
export function tubBands(
  card: { index: number; lines: readonly CardLine[] },
  ticks: ReadonlySet<string>,
  shape: Shape,
): TubBand[] {
  const measures = card.lines.filter((l): l is Measure => l.kind === 'measure' && l.litres > 0)
  const isIn = (l: Measure) => ticks.has(tickOf(card.index, l.id))
  const still = measures.filter((l) => !isIn(l))
  let litres = 0
  return [...measures.filter(isIn), ...still].map((line) => {
    const from = heightForVolume(shape, litres)
    litres += line.litres
    const state = isIn(line) ? 'in' : line === still[0] ? 'next' : 'out'
    return { line, from, to: heightForVolume(shape, litres), tint: tintOfLine(line), state }
  })
}
