import { SOIL_FROM } from './purposes'
import type { Material } from './types'

/**
 * What a material is for, where it is not for any mix: to lie on top, as a layer or a dressing, or raw and to be made
 * ready first. None of these is offered as a part of a mix; a grower may still take it. Source: common practice.
 */
const NOT_A_PART: Readonly<Record<string, 'mulch' | 'base' | 'dressing' | 'raw'>> = {
  bark_mulch_shredded: 'mulch',
  wood_chips_fresh: 'mulch',
  gravel_pea: 'base',
  rock_dust: 'dressing',
  biochar_raw: 'raw',
  potting_mix_recycled: 'raw',
}

/** Made at home, not bought: counted only where the grower has it. Source: common practice. */
const HOME_MADE: ReadonlySet<string> = new Set(['leaf_mould'])
/**
 * Is a material made at home as a rule, so that nobody is sent to buy it?
 *
 * @example
 * isHomeMade('leaf_mould') // true
 */
export const isHomeMade = (id: string): boolean => HOME_MADE.has(id)

/** Families that carry germs, weeds or salts that seeds and cuttings do not bear. Source: common practice. */
const NOT_FOR_SEEDS: ReadonlySet<Material['family']> = new Set(['soil', 'manure', 'compost'])

/** Where a mix is wanted for. */
export interface WantedFor {
  /** It is sown or rooted in. */
  tender: boolean
  /** Litres in one container. */
  litres: number
  /** It is open to the soil below. */
  inGround: boolean
  /** A floor has to bear it. */
  carried: boolean
}

/**
 * Families a large bed open to the soil is filled with: the others cost as much a bag as these do a load. Common
 * practice.
 */
const BY_THE_LOAD: ReadonlySet<Material['family']> = new Set([
  'soil',
  'compost',
  'manure',
  'sand',
  'aggregate',
  'bark',
])
/** A bed from here on is filled by the load, litres. Source: common practice. */
const LOAD_FROM = 200

/**
 * May a material be offered as a part of a mix? Errors: none.
 *
 * @example
 * mayBeOffered({ id: 'gravel_pea', family: 'aggregate' }, { tender: false, litres: 10, inGround: false, carried: false
 * }) // false
 */
export function mayBeOffered(
  { id, family }: Pick<Material, 'id' | 'family'>,
  { tender, litres, inGround, carried }: WantedFor,
): boolean {
  if (id in NOT_A_PART) return false
  if (tender && NOT_FOR_SEEDS.has(family)) return false
  if (inGround && litres >= LOAD_FROM && !BY_THE_LOAD.has(family)) return false
  return family !== 'soil' || (!carried && (inGround || litres >= SOIL_FROM))
}
