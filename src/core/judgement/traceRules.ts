import type { TraceState } from '../nutrients'
import type { Judgement, JudgementQuestion } from './judgement'

/** Traces a crop lacks or has too much of, each with what makes it so. Seedlings live on their seed. */
export function tracesAmiss({ evaluation: { traces, acidity } }: JudgementQuestion): Judgement[] {
  const named = (is: (t: TraceState) => boolean) => traces.filter(is).map((t) => t.trace)
  const [unsupplied, heldBack] = (['source', 'pH'] as const).map((because) =>
    named((t) => t.state === 'short' && t.because === because),
  ) as [TraceState['trace'][], TraceState['trace'][]]
  const harmful = named((t) => t.state === 'tooMuch')
  const pHs = acidity.map((s) => s.pH)
  return [
    ...(unsupplied.length + heldBack.length > 0
      ? [{ level: 'note', code: 'traces-short', unsupplied, heldBack, pH: Math.max(...pHs) } as const]
      : []),
    ...(harmful.length > 0
      ? [{ level: 'note', code: 'traces-harm', traces: harmful, pH: Math.min(...pHs) } as const]
      : []),
  ]
}
