import { withLengths } from '@/core/geometry/bodies'
import type { Base } from '@/core/geometry/container'
import { bodyOf, type Shape } from '@/core/geometry/shape'
import { CM_PER_FOOT, CM_PER_INCH } from '@/core/units'
import { vesselRow, type VesselKind } from './vesselKinds'

interface StartingVessel {
  kind: VesselKind
  shape: Shape
  headspace: number
  base: Base
  count: number
}

/** From this length on sizes are made to the half foot, below to the half inch, cm. */
const LONG = 60
const STEP_SHORT = CM_PER_INCH / 2
const STEP_LONG = CM_PER_FOOT / 2
/** A length nobody measured, round in inches or half feet. Zero stays zero. */
const roundInInches = (cm: number) => {
  const step = cm >= LONG ? STEP_LONG : STEP_SHORT
  return cm > 0 ? Math.max(step, Math.round(cm / step) * step) : 0
}
/** A sensible container to begin with, of a size many growers own, round in their own measures. */
export function startingVessel(kind: VesselKind, units: 'metric' | 'us' = 'metric'): StartingVessel {
  const { shape, headspace, base } = structuredClone(vesselRow(kind))
  if (units === 'metric') return { kind, shape, headspace, base, count: 1 }
  const body = withLengths(bodyOf(shape), roundInInches)
  return {
    kind,
    shape:
      shape.kind === 'mounded' ? { ...shape, body, moundHeight: roundInInches(shape.moundHeight) } : body,
    headspace: roundInInches(headspace),
    base,
    count: 1,
  }
}
