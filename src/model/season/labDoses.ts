import { leavesGraver, type Finding } from '@/core/appraisal'
import { dressingIn } from '@/core/data/dressings'
import { EXTRACT_WATER, type LabFigure, type LabGroup, type LabReading } from '@/core/laboratory'
import { JUDGEMENT_LIMITS } from '@/core/judgement'
import { mgPerGram } from '@/core/nutrients'
import type { Job } from '../garden/schemas'
import type { MixQuestion } from '../mix/question'
import { appraised, type Unfed } from '../mix/withFeed'

/** The plainest salt for each nutrient that a report may find short. Source: common practice. */
const SALT = {
  nitrogen: 'calcium_nitrate',
  phosphorus: 'map',
  potassium: 'potassium_sulfate',
  calcium: 'gypsum',
  magnesium: 'magnesium_sulfate',
  sulfur: 'gypsum',
} as const satisfies Partial<Record<LabFigure, string>>
type Given = keyof typeof SALT

/** What brings a nutrient from what a report found to what is usual. */
export interface LabDose {
  figure: Given
  dressingId: string
  /** For a litre of mix. */
  gramsPerLitre: number
  /** The dressing's own limit holds it below what would fill the gap. */
  held: boolean
}

/**
 * Salts that fill what a report finds low beyond doubt: the gap between what was read and what is usual in a
 * saturated extract, for the
 * water of a litre of mix; never more than the dressing's limit, and none that leaves the mix graver when it is carried
 * out in a copy. One salt may fill two gaps and is given once, by the larger.
 *
 *   mg for a litre of mix = (usual - read) x 0.83
 *
 * Errors: none. Source: mass balance; Warncke & Krauskopf 1983 for the water.
 */
export function labDoses(question: MixQuestion, readings: readonly LabReading[]): LabDose[] {
  const now = appraised(question)
  const found = new Map<string, LabDose>()
  for (const { figure, verdict, saturated, band, sure } of readings) {
    if (!sure || !verdict.endsWith('low') || !(figure in SALT)) continue
    const dressing = dressingIn(question.tables, SALT[figure as Given])
    if (!dressing) continue
    const wanted = ((band.usual - saturated.value) * EXTRACT_WATER) / mgPerGram(dressing, figure as Given)
    const gramsPerLitre = Math.min(wanted, dressing.dose.limit)
    const dose: LabDose = {
      figure: figure as Given,
      dressingId: dressing.id,
      gramsPerLitre,
      held: gramsPerLitre < wanted,
    }
    const before = found.get(dressing.id)
    if (!before || before.gramsPerLitre < gramsPerLitre) found.set(dressing.id, dose)
  }
  return [...found.values()].filter((dose) => !now || isHarmless(now, dose))
}

/** What a nutrient that was lacking uncovers is no harm: growth follows the next one. */
const isHunger = ({ topic }: Finding) => topic.endsWith('-short') || topic === 'nitrogen-none'
const harms = (findings: readonly Finding[]) => findings.filter((f) => !isHunger(f))

function isHarmless(now: Unfed, { dressingId, gramsPerLitre }: LabDose): boolean {
  const { question } = now.prepared
  const line = { dressingId, gramsPerLitre, place: { kind: 'throughout' as const } }
  const dressings = [...question.recipe.dressings, line]
  const then = appraised({ ...question, recipe: { ...question.recipe, dressings } })
  return then !== null && !leavesGraver(harms(now.findings), harms(then.findings))
}

/** What a report is read by for a job: seedlings and acid crops by their own bands, others by how hungry they are. */
export function labGroup(job: Pick<Job, 'stage'>, { crops }: MixQuestion, pHMost: number): LabGroup {
  if (job.stage === 'seed' || job.stage === 'cutting') return 'seedling'
  if (pHMost <= JUDGEMENT_LIMITS.acidCrop.value) return 'acid'
  const demand = crops[0]?.demand ?? 'medium'
  return /heavy/.test(demand) ? 'heavy' : /light|low/.test(demand) ? 'light' : 'medium'
}
