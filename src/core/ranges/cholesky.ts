/** Lower triangle of a matrix that is positive definite: its product with its own transpose is the matrix. */
export type Triangle = readonly (readonly number[])[]

/**
 * The lower triangle of a symmetric matrix that is positive definite; only its lower half is read.
 * Source: Cholesky's rule, Golub & Van Loan 2013 ch. 4. Range: up to some hundred rows.
 *
 * @example
 * choleskyOf([[4, 2], [2, 5]]) // [[2, 0], [1, 2]]
 */
export function choleskyOf(matrix: readonly (readonly number[])[]): number[][] {
  const root = matrix.map((line) => line.map(() => 0))
  for (let i = 0; i < matrix.length; i++)
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i]![j]!
      for (let k = 0; k < j; k++) sum -= root[i]![k]! * root[j]![k]!
      root[i]![j] = i === j ? Math.sqrt(Math.max(sum, 1e-12)) : sum / root[j]![j]!
    }
  return root
}

/**
 * What the matrix of a triangle takes a list to: the `x` of `A x = b`.
 *
 * @example
 * solveBy(choleskyOf([[4, 2], [2, 5]]), [8, 8]) // [1.5, 1]
 */
export function solveBy(root: Triangle, b: readonly number[]): number[] {
  const x = [...b]
  for (let i = 0; i < x.length; i++) {
    for (let k = 0; k < i; k++) x[i]! -= root[i]![k]! * x[k]!
    x[i]! /= root[i]![i]!
  }
  for (let i = x.length - 1; i >= 0; i--) {
    for (let k = i + 1; k < x.length; k++) x[i]! -= root[k]![i]! * x[k]!
    x[i]! /= root[i]![i]!
  }
  return x
}
