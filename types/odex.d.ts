/** What the tests use of the package, which ships sources that this project's compiler settings refuse. */
export declare class Solver {
  constructor(dimension: number);
  absoluteTolerance: number | number[];
  relativeTolerance: number | number[];
  solve(
    derivatives: (x: number, y: number[]) => number[],
    x: number,
    y0: number[],
    xEnd: number,
  ): { readonly y: number[]; readonly outcome: number };
}
