import { temperatureCourse } from '../chemistry'
import { found, type AppraisalQuestion, type Finding } from './finding'
import { APPRAISAL_LIMITS as L } from './limits'
import { isCarried, isDoubtfulManure, isFreshManure, isOldVermiculite, isTender, loadOf } from './situation'

/** Crops eaten raw as a rule. */
const RAW: ReadonlySet<string> = new Set(['leaf', 'root veg', 'fruiting veg', 'herb', 'allium', 'fruit'])
const DUSTY: ReadonlySet<string> = new Set(['perlite', 'vermiculite', 'char', 'mineral'])
const LIVING: ReadonlySet<string> = new Set(['compost', 'manure', 'bark', 'mix'])
const UNCLEAN: ReadonlySet<string> = new Set(['soil', 'compost', 'manure'])
/** Limes that burn skin while they are wet. */
const CAUSTIC: ReadonlySet<string> = new Set(['lime_hydrated', 'wood_ash'])
const SHUNS: ReadonlySet<string> = new Set(['peat', 'bark'])

type Of = (is: (family: string, id: string) => boolean) => number
const sharesOf =
  ({ evaluation }: AppraisalQuestion): Of =>
  (is) =>
    evaluation.blend.shares.reduce((s, p) => s + (is(p.material.family, p.material.id) ? p.share : 0), 0)

function people(q: AppraisalQuestion, of: Of): Finding[] {
  const { situation, evaluation: e, judged } = q
  const manure = of((family) => family === 'manure')
  const raw = judged.crop !== undefined && RAW.has(judged.crop.kind)
  const days = situation.harvestAfterDays
  const load = e.weights.floorLoad
  const bears = loadOf(situation)
  return [
    ...(of((family) => family === 'vermiculite') > 0 && isOldVermiculite(situation)
      ? [found('asbestos-old', 'grave')]
      : []),
    ...(isCarried(situation) &&
    load > (bears ?? L.usualLoad.value) &&
    (bears !== null || e.weights.saturated > L.lightAloft.value)
      ? [found('weight-load', 'grave', load, bears ?? L.usualLoad.value)]
      : isCarried(situation)
        ? [found('weight-load', 'note', load, bears ?? L.usualLoad.value)]
        : []),
    ...(manure > 0 && raw
      ? [
          found(
            'manure-harvest-interval',
            days !== undefined && days < L.manureDays.value
              ? isFreshManure(situation)
                ? 'grave'
                : 'watch'
              : 'note',
            days,
            L.manureDays.value,
          ),
        ]
      : []),
    ...(manure > 0 ? [found('weedkiller-risk', isDoubtfulManure(situation) ? 'watch' : 'note')] : []),
    ...(of((family) => DUSTY.has(family)) > 0 ? [found('dust', 'note')] : []),
    ...(of((family) => LIVING.has(family)) > 0 ? [found('legionella', 'note')] : []),
    ...(of((family) => family === 'soil') > 0 ? [found('metals-risk', 'note')] : []),
  ]
}

/** Is ammonium or urea among what is given? Strong lime drives it off as ammonia. */
const isAmmonium = ({ judged }: AppraisalQuestion): boolean =>
  (judged.dressings ?? []).some(
    ({ dressing: { nitrogenForms: n } }) => n !== null && n !== undefined && n.ammonium + n.urea > 0,
  )

function parts(q: AppraisalQuestion, of: Of): Finding[] {
  const { situation, evaluation: e } = q
  const fresh = of((_f, id) => id === 'wood_chips_fresh')
  const bag = of((_f, id) => id === 'potting_mix_bagged')
  const limed = e.lime.doses.reduce((s, d) => s + d.gramsPerLitre, 0)
  const peat = of((family) => family === 'peat')
  const caustic = [...e.lime.doses, ...(q.judged.evaluation.given.limes ?? [])].reduce(
    (s, d) => s + (CAUSTIC.has(d.lime.id) ? d.gramsPerLitre : 0),
    0,
  )
  const slow = (q.judged.dressings ?? []).some((d) => d.dressing.family === 'organic_N')
  const cold =
    (e.given.temperature === undefined ? 20 : temperatureCourse(e.given.temperature).on(0)) <
    L.coldForMeals.value
  return [
    ...(fresh > L.freshWood.value
      ? [
          found('fresh-wood', fresh > L.muchFreshWood.value ? 'grave' : 'watch', fresh),
          found('drawdown', 'watch', fresh),
        ]
      : []),
    ...(bag > L.mostlyBag.value && situation.bagLimed !== false
      ? [found('lime-already-in-bag', limed > L.limeOnBag.value ? 'watch' : 'note', limed)]
      : []),
    ...(caustic > 0 ? [found('contact-hot', caustic > L.caustic.value ? 'watch' : 'note', caustic)] : []),
    ...(/wick|reservoir/i.test(situation.purpose ?? '') ? [found('wet-foot-intended', 'note')] : []),
    ...(slow && cold ? [found('organic-slow', 'watch')] : []),
    ...(caustic > 0 && (isAmmonium(q) || of((f) => f === 'manure') > L.manureForAmmonia.value)
      ? [found('ammonia-burn', 'watch')]
      : []),
    ...(q.judged.container.base.kind !== 'onSoil' &&
    of((_f, id) => id === 'soil_clay_loam') > L.clayInPot.value
      ? [found('soil-in-pot', 'grave')]
      : []),
    ...(isFreshManure(situation) ? [found('immature-compost', 'grave'), found('ammonia-burn', 'watch')] : []),
    ...(of((family) => SHUNS.has(family)) > L.shunsWater.value ? [found('wets-badly', 'note')] : []),
    ...(peat === 0 && of((family) => family === 'coir' || family === 'bark') > L.shunsWater.value
      ? [found('peat-free-watering', 'note')]
      : []),
  ]
}

function seeds({ situation, evaluation: e }: AppraisalQuestion, of: Of): Finding[] {
  if (!isTender(situation)) return []
  const ec = e.salts.mix.electricalConductivity.saturatedExtract
  const soil = of((family, id) => family === 'soil' || id === 'potting_mix_recycled')
  const other = of((family) => UNCLEAN.has(family)) - of((family) => family === 'soil')
  return [
    ...(soil + other > 0
      ? [
          found(
            'not-clean-for-seed',
            soil > L.soilForSeeds.value ? 'grave' : soil + other > L.uncleanForSeeds.value ? 'watch' : 'note',
            soil + other,
          ),
        ]
      : []),
    ...(ec > L.seedSalts.value
      ? [found('too-rich-for-seed', ec > L.seedSaltsKill.value ? 'grave' : 'watch', ec, L.seedSalts.value)]
      : []),
  ]
}

/** What the parts and where they come from say. */
export function fromMaterials(q: AppraisalQuestion): Finding[] {
  const of = sharesOf(q)
  return [...people(q, of), ...parts(q, of), ...seeds(q, of)]
}
