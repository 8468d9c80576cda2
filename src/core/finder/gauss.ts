/** Nodes (0 to 1) and weights (summing to 1) of Gauss-Legendre quadrature with n points. */
export interface Quadrature {
  nodes: number[]
  weights: number[]
}

/**
 * Gauss-Legendre rule on 0 to 1: roots of the Legendre polynomial by Newton from Chebyshev's guess.
 * Exact for polynomials of degree 2n - 1. Source: Abramowitz & Stegun 1964, 25.4.29.
 */
export function gaussLegendre(n: number): Quadrature {
  const nodes: number[] = []
  const weights: number[] = []
  for (let i = 1; i <= n; i++) {
    let x = Math.cos((Math.PI * (i - 0.25)) / (n + 0.5))
    let slope = 1
    for (let round = 0; round < 50; round++) {
      let p0 = 1
      let p1 = x
      for (let k = 2; k <= n; k++) [p0, p1] = [p1, ((2 * k - 1) * x * p1 - (k - 1) * p0) / k]
      slope = (n * (x * p1 - p0)) / (x * x - 1)
      const step = p1 / slope
      x -= step
      if (Math.abs(step) < 1e-15) break
    }
    nodes.push((1 - x) / 2)
    weights.push(1 / ((1 - x * x) * slope * slope))
  }
  return { nodes, weights }
}
