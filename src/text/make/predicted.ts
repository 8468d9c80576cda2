import { cropName } from '@/core/data/cropTable'
import type { MixRecord } from '@/model/garden/schemas'
import type { Verdict } from '@/model/mix/verdict'
import { percentText, pHText, weightText, type UnitSystem } from '../base/units'
import { verdictText } from '../mix/topics'

/** All that was expected of a mix, and what was said first of it. */
export const predictedText = ({ predicted: p, cropId }: MixRecord, units: UnitSystem): string =>
  `${p.verdict ? `${verdictText(p.verdict as Verdict, cropName(cropId) || null)} ` : ''}Air after draining ${percentText(p.airFilledPorosity)}, easy water ${percentText(p.easilyAvailableWater)}, pH ${pHText(p.pH)} in six weeks, ${weightText(p.drainedWeight, units)} each when drained.`
