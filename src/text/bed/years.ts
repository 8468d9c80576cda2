import { cropById } from '@/core/data'
import type { GreenManure, PhosphorusStore, RotationRow, Wait } from '@/core/rotation'
import { rotationOf } from '@/core/rotation'
import type { YearsAhead } from '@/model/rotation/yearsAhead'
import type { BedAhead } from '@/model/season/bedAhead'
import { counted, numberText } from '../base/counted'
import { cropInText } from '../base/cropInText'
import { correctionText } from '../tests/testFollows'
import { inUnits, lengthText, pHText, volumeText, type UnitSystem } from '../base/units'

/** A family as growers call it, and what of it lingers in soil. */
const FAMILIES: Readonly<Record<string, { name: string; lingers: string }>> = {
  Solanaceae: { name: 'tomato and potato family', lingers: 'wilts, late blight and root-knot' },
  Convolvulaceae: { name: 'sweet potato family', lingers: 'scurf and root-knot' },
  Cucurbitaceae: { name: 'cucumber family', lingers: 'wilt, stem blight and root-knot' },
  Fabaceae: { name: 'bean and pea family', lingers: 'root rots' },
  Malvaceae: { name: 'okra family', lingers: 'root-knot and wilt' },
  Poaceae: { name: 'grass family', lingers: 'little' },
  Brassicaceae: { name: 'cabbage family', lingers: 'clubroot, for 7 years and more' },
  Amaranthaceae: { name: 'beet and spinach family', lingers: 'beet cyst nematode and root rot' },
  Asteraceae: { name: 'lettuce family', lingers: 'white mould and root aphid' },
  Apiaceae: { name: 'carrot family', lingers: 'carrot fly and canker' },
  Amaryllidaceae: { name: 'onion family', lingers: 'white rot, for 15 years and more' },
  Asparagaceae: { name: 'asparagus family', lingers: 'Fusarium' },
  Polygonaceae: { name: 'rhubarb family', lingers: 'crown rot' },
  Lamiaceae: { name: 'mint family', lingers: 'rust and wilt' },
  Rosaceae: { name: 'rose family', lingers: 'replant sickness and root rot' },
  Ericaceae: { name: 'heath family', lingers: 'root rot' },
  Vitaceae: { name: 'vine family', lingers: 'nematodes' },
  Rutaceae: { name: 'citrus family', lingers: 'root rot and nematodes' },
  Moraceae: { name: 'fig family', lingers: 'root-knot' },
  Lauraceae: { name: 'bay family', lingers: 'root rot' },
  Oleaceae: { name: 'olive family', lingers: 'wilt' },
  Grossulariaceae: { name: 'currant family', lingers: 'replant sickness' },
  Actinidiaceae: { name: 'kiwi family', lingers: 'root rot' },
  Passifloraceae: { name: 'passion flower family', lingers: 'wilt' },
  Musaceae: { name: 'banana family', lingers: 'wilt and nematodes' },
  Bromeliaceae: { name: 'pineapple family', lingers: 'root rot' },
  Zingiberaceae: { name: 'ginger family', lingers: 'root rot and wilt' },
}
const familyName = (cropId: string): string =>
  FAMILIES[rotationOf(cropId)?.family ?? '']?.name ?? 'same family'
const lingersAfter = (cropId: string): string =>
  FAMILIES[rotationOf(cropId)?.family ?? '']?.lingers ?? 'disease'

/** "kale" */
export const cropName = (cropId: string | null): string => {
  const crop = cropById(cropId)
  return crop ? cropInText(crop.name) : 'nothing'
}

/** Whether a crop comes too soon: "Too soon: the onion family grew here last year, and white rot lingers …". */
export function waitText(cropId: string, { last, waited, wanted, state }: Wait): string {
  const family = familyName(cropId)
  if (state === 'stays') return 'It stays where it is.'
  if (!last) return `No other of the ${family} is known here.`
  const ago = waited === 1 ? 'last year' : `${waited} years before`
  if (state === 'free') return `The ${family} grew here ${ago}: long enough.`
  const rule = counted(wanted.value, 'year')
  return state === 'early'
    ? `A little soon: the ${family} grew here ${ago}, and ${rule} is the rule.`
    : `Too soon: the ${family} grew here ${ago}. Leave ${rule} between, for ${lingersAfter(cropId)}.`
}

const LEAVES: Record<RotationRow['leaves'], string> = {
  cleanGround: 'clean ground',
  little: 'little behind',
  looseGround: 'loose ground',
  lowPotassium: 'ground low in potassium',
  nitrogen: 'nitrogen, if its roots stay: [2 to 6 g/m²|0.06 to 0.18 oz/sq yd]',
  richLeaves: 'leaves rich in nitrogen, if they are dug in: [5 to 12 g/m²|0.15 to 0.35 oz/sq yd]',
  stays: '',
  stubble: 'stubble that ties up nitrogen while it rots',
}
/** "Peas leave nitrogen, if its roots stay …"; empty for what stays itself. */
export function leavesText(cropId: string, units: UnitSystem): string {
  const row = rotationOf(cropId)
  const left = row ? LEAVES[row.leaves] : ''
  return left === '' ? '' : `After ${cropName(cropId)}: ${inUnits(left, units)}.`
}

/** The plan in a sentence. */
export function planText({ steps, crops }: YearsAhead): string {
  if (crops.length === 0) return 'Say what grows in your beds this year, and the next three years follow.'
  const homeless = [
    ...new Set(
      [...new Set(steps.map((s) => s.year))].flatMap((year) => {
        const placed = steps.filter((s) => s.year === year).map((s) => s.cropId)
        return crops.filter((c) => !placed.includes(c))
      }),
    ),
  ]
  if (homeless.length > 0)
    return `No other bed has room for ${homeless.map(cropName).join(' or ')} each year: choose a smaller crop there, or leave a bed to green manure.`
  const soon = steps.filter((s) => s.wait?.state === 'tooEarly' || s.wait?.state === 'early').length
  if (soon === 0) return 'In this order no family comes back too soon in the next three years.'
  return `${counted(soon, 'time')} in three years a family comes back sooner than the rule: no better order was found. Grow one of another family, or leave a bed to green manure.`
}

/** A store holds for so many years at most in words: beyond, nobody knows. */
const LONG = 10
/** Ounces on a square yard in a gram on a square metre. Source: definitions. */
const OUNCES_A_SQUARE_YARD = 0.836_127 / 28.349_5
const densityText = (grams: number, units: UnitSystem) =>
  units === 'metric' ? `${numberText(grams)} g/m²` : `${numberText(grams * OUNCES_A_SQUARE_YARD, 1)} oz/sq yd`

/** What phosphorus of compost and manure is left, and what to do; null where a year's crop takes it. */
export function phosphorusText(store: PhosphorusStore | null, units: UnitSystem): string {
  if (!store)
    return inUnits(
      'No compost or manure is known of: a layer of [1 to 2 cm|half an inch] a year is welcome.',
      units,
    )
  const { surplus, rise, years } = store
  if (years.value < 1) return 'Crops use what compost has brought: a thin layer a year is welcome.'
  const how = years.value >= LONG ? `${LONG} years and more` : counted(Math.floor(years.value), 'year')
  return `Compost has left about ${densityText(surplus.value, units)} of phosphorus, which shows in a soil test as ${numberText(rise.low)} to ${numberText(rise.high)} mg/kg more: this bed needs none for ${how}. Spread no compost or manure for its sake. Feed nitrogen alone, and test the soil before you lime.`
}

/** Less than this nobody fills up, cm. Source: our assumption. */
const WORTH_FILLING = 1

/** A bed in spring: how far it has sunk and what fills it, its pH and salts, and what to do before liming. */
export function springLines({ mix, topUp, correction }: BedAhead, year: number, units: UnitSystem): string[] {
  const sunk = `${mix.sunk.isRead ? 'It has sunk' : 'It sinks about'} ${lengthText(mix.sunk.value, units)}`
  const known = (isRead: boolean) => (isRead ? ', as read' : '')
  return [
    `By spring ${year} the mix is ${counted(Math.max(1, Math.round(mix.years)), 'year')} old. ${sunk}${
      mix.sunk.value < WORTH_FILLING ? '.' : `: ${volumeText(topUp, units)} of the same mix fill it up.`
    }`,
    `pH about ${pHText(mix.pH.value)}${known(mix.pH.isRead)}, salts about ${numberText(mix.salts.value, 1)} dS/m${known(mix.salts.isRead)}.`,
    correction
      ? correctionText(correction, units)
      : 'Read pH and salts before you sow: lime by the test, never by habit.',
  ]
}

const GREEN: Readonly<Record<string, string>> = {
  winter_rye: 'winter rye',
  winter_tares: 'winter tares',
  field_bean: 'field beans',
  crimson_clover: 'crimson clover',
  phacelia: 'phacelia',
  mustard_white: 'white mustard',
  buckwheat: 'buckwheat',
}
/** "Over winter: sow winter tares or field beans …"; empty where none suits. */
export function greenText(list: readonly GreenManure[], units: UnitSystem): string {
  const [first, second] = list
  if (!first) return ''
  const names = [first, second].flatMap((g) => (g ? [GREEN[g.id]!] : [])).join(' or ')
  return `When it is cleared, sow ${names} and dig ${list.length > 1 ? 'them' : 'it'} in three weeks before planting: ${densityText(first.nitrogen.low, units)} to ${densityText(first.nitrogen.high, units)} of nitrogen${first.family === 'Fabaceae' ? ', most of it from the air' : ', kept from washing out'}.`
}
