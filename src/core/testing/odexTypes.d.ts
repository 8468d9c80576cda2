/** What the tests use of odex 2. Its own types are its source, which does not pass the strictness of this project. */
export declare class Solver {
  constructor(dimension: number)
  absoluteTolerance: number
  relativeTolerance: number
  solve(
    slope: (x: number, y: number[]) => number[],
    from: number,
    start: number[],
    to: number,
  ): { y: number[] }
}
