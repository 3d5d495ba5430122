/** Keeps the equations solvable where two predictors say the same; in units of the weights' sum. Our choice. */
const RIDGE = 0.05;

/**
 * Slopes of a weighted linear regression (ridge, with an intercept that is not returned).
 *
 * @param of.predictors one row a value, all of one length; of a size near 1
 * @param of.weights 0 or more, one a value, not all 0
 */
export function weightedSlopes(of: {
  readonly weights: readonly number[];
  readonly predictors: readonly (readonly number[])[];
  readonly values: readonly number[];
}): number[] {
  const { weights, predictors, values } = of;
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const meanOf = (at: (row: number) => number) =>
    weights.reduce((sum, weight, row) => sum + weight * at(row), 0) / total;
  const columns = Array.from({ length: predictors[0]?.length ?? 0 }, (_, column) => column);
  const means = columns.map((column) => meanOf((row) => predictors[row]![column]!));
  const mean = meanOf((row) => values[row]!);
  const products = (one: (row: number) => number, other: (row: number) => number) =>
    meanOf((row) => one(row) * other(row));
  const centered = (column: number) => (row: number) => predictors[row]![column]! - means[column]!;
  const matrix = columns.map((one) =>
    columns.map((other) => products(centered(one), centered(other)) + (one === other ? RIDGE : 0)),
  );
  return solved(
    matrix,
    columns.map((column) => products(centered(column), (row) => values[row]! - mean)),
  );
}

/** Solves symmetric, positive definite equations by Cholesky's method. */
function solved(matrix: readonly (readonly number[])[], right: readonly number[]): number[] {
  const size = right.length;
  const lower = matrix.map(() => new Array<number>(size).fill(0));
  for (let row = 0; row < size; row += 1)
    for (let column = 0; column <= row; column += 1) {
      let rest = matrix[row]![column]!;
      for (let at = 0; at < column; at += 1) rest -= lower[row]![at]! * lower[column]![at]!;
      lower[row]![column] = row === column ? Math.sqrt(rest) : rest / lower[column]![column]!;
    }
  const forward: number[] = [];
  for (let row = 0; row < size; row += 1) {
    const known = forward.reduce((sum, value, at) => sum + lower[row]![at]! * value, 0);
    forward.push((right[row]! - known) / lower[row]![row]!);
  }
  const answer = new Array<number>(size).fill(0);
  for (let row = size - 1; row >= 0; row -= 1) {
    const known = answer.reduce((sum, value, at) => sum + (at > row ? lower[at]![row]! * value : 0), 0);
    answer[row] = (forward[row]! - known) / lower[row]![row]!;
  }
  return answer;
}
