import { invariant } from '../outcome'

/**
 * Conventional atomic masses, g/mol. Source: IUPAC Commission on Isotopic Abundances and Atomic Weights, abridged
 * 2021.
 */
export const ATOMIC_MASS: Readonly<Record<string, number>> = {
  H: 1.008,
  B: 10.81,
  C: 12.011,
  N: 14.007,
  O: 15.999,
  Na: 22.99,
  Mg: 24.305,
  Al: 26.982,
  Si: 28.085,
  P: 30.974,
  S: 32.06,
  Cl: 35.45,
  K: 39.098,
  Ca: 40.078,
  Mn: 54.938,
  Fe: 55.845,
  Cu: 63.546,
  Zn: 65.38,
  Mo: 95.95,
}

/**
 * Atoms in a formula such as "CaSO4.2H2O" or "Al2(SO4)3.18H2O": brackets, counts, and a dot before water of crystals.
 * Throws on what it cannot read: formulas are ours, never a grower's.
 *
 * @example
 * atomsIn('K2O') // { K: 2, O: 1 }
 */
export function atomsIn(formula: string): Record<string, number> {
  const atoms: Record<string, number> = {}
  for (const piece of formula.split('.')) {
    const lead = /^\d+/.exec(piece)?.[0] ?? ''
    const tokens = piece.slice(lead.length).match(/[A-Z][a-z]?|\(|\)|\d+/g) ?? []
    const stack: Record<string, number>[] = [{}]
    let last: Record<string, number> = {}
    const add = (to: Record<string, number>, from: Record<string, number>, times: number) => {
      for (const [symbol, n] of Object.entries(from)) to[symbol] = (to[symbol] ?? 0) + n * times
    }
    tokens.forEach((token, i) => {
      if (token === '(') stack.push({})
      else if (/\d/.test(token)) add(stack.at(-1)!, last, Number(token) - 1)
      else {
        if (token === ')') last = stack.pop()!
        else {
          invariant(Object.hasOwn(ATOMIC_MASS, token), `unknown element ${token} in ${formula}`)
          last = { [token]: 1 }
        }
        invariant(stack.length > 0, `brackets in ${formula} at ${i}`)
        add(stack.at(-1)!, last, 1)
      }
    })
    add(atoms, stack[0]!, Number(lead || 1))
  }
  return atoms
}

/**
 * Molar mass of a formula, g/mol.
 * Source: IUPAC masses.
 * Range: the elements in `ATOMIC_MASS`; throws on others.
 *
 * @example formulaMass('CaCO3') // 100.086
 *
 * @example
 * formulaMass('NO3') // 62
 */
export const formulaMass = (formula: string): number =>
  Object.entries(atomsIn(formula)).reduce((sum, [symbol, n]) => sum + n * ATOMIC_MASS[symbol]!, 0)

/**
 * Mass fraction of an element in a compound.
 * Range: 0 to 1. Source: IUPAC masses.
 *
 * @example massFraction('P', 'P2O5') // 0.4364
 *
 * @example
 * massFraction('K', 'K2O') // 0.8302
 */
export const massFraction = (symbol: string, formula: string): number =>
  ((atomsIn(formula)[symbol] ?? 0) * ATOMIC_MASS[symbol]!) / formulaMass(formula)

/**
 * Calcium carbonate equivalent of a base, as a fraction: base charges per mole over its mass, against two in CaCO3.
 * Source: stoichiometry.
 *
 * @example neutralisingValue('CaO', 2) // 1.785
 *
 * @example
 * neutralisingValue('CaO', 2) // 1.785
 */
export const neutralisingValue = (formula: string, chargesPerMole: number): number =>
  (chargesPerMole / formulaMass(formula)) * (formulaMass('CaCO3') / 2)
