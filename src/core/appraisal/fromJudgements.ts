import { WOODY_FROM } from '../data'
import type { Judgement, JudgementCode } from '../judgement'
import { found, type AppraisalQuestion, type Finding, type Severity } from './finding'
import { APPRAISAL_LIMITS as L } from './limits'
import { isTender } from './situation'
import type { Topic } from './topics'

const SEVERITY_OF: Record<Judgement['level'], Severity> = { alarm: 'grave', warn: 'watch', note: 'note' }

const shareOf = ({ evaluation }: AppraisalQuestion, ...families: string[]): number =>
  evaluation.blend.shares.reduce((s, p) => s + (families.includes(p.material.family) ? p.share : 0), 0)

/** The topic of each judgement; null where another finding says it better. */
const TOPIC_OF: Record<JudgementCode, Topic | null | ((q: AppraisalQuestion, j: Judgement) => Topic | null)> =
  {
    'too-little-air': (q) =>
      shareOf(q, 'soil') > L.mostlySoil.value && q.judged.container.base.kind !== 'onSoil'
        ? 'soil-in-pot'
        : 'air-low',
    'foot-drowned': 'air-low',
    'pot-too-small': 'pot-too-small',
    'stays-wet': 'stays-wet',
    'sand-lowers-air': 'sand-lowers-air',
    'lime-does-little': null,
    'lime-too-much': 'lime-too-much',
    'lime-against-acid': 'lime-too-much',
    'water-raises-ph': 'water-raises-ph',
    'softened-water': 'water-salty',
    'water-ion': 'water-salty',
    'hard-water-for-acid': 'water-raises-ph',
    'salts-rise': ({ waterEc }) => (waterEc >= L.saltyWater.value ? 'water-salty' : 'salts-high'),
    'rich-for-seedlings': 'too-rich-for-seed',
    'unsterile-for-seeds': 'not-clean-for-seed',
    'coir-wants-calcium': 'calcium-short',
    'traces-short': 'traces-short',
    'traces-harm': null,
    'tips-in-wind': 'tips-in-wind',
    slumps: 'slumps',
    'nitrogen-for-roots': 'nitrogen-too-much',
    'blossom-end-rot': 'dries-fast',
    'much-compost': 'much-compost',
    'ammonium-when-cold': 'ammonium-cold',
    'boron-high': 'boron-excess',
    'calcium-to-magnesium': (_q, j) =>
      j.code === 'calcium-to-magnesium' && j.ratio > j.high ? 'magnesium-short' : 'calcium-short',
    'dose-above-limit': 'dose-too-large',
    'doses-add-up': (_q, j) =>
      j.code === 'doses-add-up' && j.of === 'lime' ? 'lime-too-much' : 'dose-too-large',
    'drawdown-uncovered': 'drawdown',
    'char-uncharged': 'drawdown',
    'crystals-swell': 'crystals',
    'phosphorus-for-sensitive': 'phosphorus-excess',
    'salts-high': (q) => (isTender(q.situation) ? 'too-rich-for-seed' : 'salts-high'),
  }

/** Salts of a season so little beyond the limit are a note: they are not known closer. */
const isSlight = (j: Judgement) => j.code === 'salts-rise' && j.to < L.slightSalts.value * j.limit

/** What has no wood is potted on in fresh mix before its mix has sunk: only who wants years of it is warned. */
const isPottedOn = ({ situation, judged: { crop } }: AppraisalQuestion, j: Judgement) =>
  j.code === 'slumps' &&
  situation.years === undefined &&
  crop !== undefined &&
  crop.properties.minRootVolume.value < WOODY_FROM

/** Salts of a bed open to the soil go down with the rain, and its roots reach below them. Source: common practice. */
const leaches = ({ judged: { container } }: AppraisalQuestion, j: Judgement) =>
  container.base.kind === 'onSoil' && (j.code === 'salts-high' || j.code === 'salts-rise')

/** What the judgements come to as findings. */
export const fromJudgements = (q: AppraisalQuestion): Finding[] =>
  q.judgements.flatMap((j) => {
    const topic = TOPIC_OF[j.code]
    const about = typeof topic === 'function' ? topic(q, j) : topic
    const level = leaches(q, j) ? 'watch' : SEVERITY_OF[j.level]
    return about ? [found(about, isSlight(j) || isPottedOn(q, j) ? 'note' : level)] : []
  })
