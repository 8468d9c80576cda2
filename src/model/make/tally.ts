import type { Job } from '../garden/schemas'
import type { CardLine } from './batchCard'
import { tickOf } from '../garden/commands'

/** One filling of a bucket or scoop: how full, in twelfths. */
export interface Press {
  tool: 'bucket' | 'scoop'
  twelfths: number
}

/** What is poured in one after the other for a measure: whole buckets, the part of one, then scoops. */
export function pressesOf(line: CardLine): Press[] {
  if (line.kind !== 'measure') return []
  const of = (tool: Press['tool'], twelfths: number): Press[] => [
    ...Array.from({ length: Math.floor(twelfths / 12) }, (): Press => ({ tool, twelfths: 12 })),
    ...(twelfths % 12 > 0 ? [{ tool, twelfths: twelfths % 12 }] : []),
  ]
  return [...of('bucket', line.twelfths), ...of('scoop', line.scoopTwelfths)]
}

/** How many of them are in. */
export const countIn = (tally: Job['tally'], batch: number, line: CardLine): number =>
  tally?.of === tickOf(batch, line.id) ? tally.count : 0
