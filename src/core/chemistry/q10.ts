/**
 * Factor by which a rate changes from one temperature (C) to another, for a rise of q10 in ten degrees.
 * Source: van ’t Hoff’s rule.
 *
 * @example
 * q10Factor(2, 30, 20) // 2
 */
export const q10Factor = (q10: number, temperature: number, reference: number): number =>
  q10 ** ((temperature - reference) / 10)
