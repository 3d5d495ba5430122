/** A mixed-integer linear program to be made as large as it can: rows are sparse, one after the other. */
export interface LinearProgram {
  readonly cost: Float64Array;
  readonly lower: Float64Array;
  readonly upper: Float64Array;
  /** 1 where the column must be whole. */
  readonly isWhole: Uint8Array;
  readonly rowLower: Float64Array;
  readonly rowUpper: Float64Array;
  /** Where each row begins in `indices` and `values`; one more than there are rows. */
  readonly starts: Int32Array;
  readonly indices: Int32Array;
  readonly values: Float64Array;
}

export interface Column {
  readonly cost?: number;
  readonly lower?: number;
  readonly upper?: number;
  readonly isWhole?: boolean;
}

/** One coefficient of a row: column and factor. */
export type Term = readonly [column: number, factor: number];

/** Puts a program together column by column and row by row. */
export function programBuilder() {
  const columns: Required<Column>[] = [];
  const rowLower: number[] = [];
  const rowUpper: number[] = [];
  const starts: number[] = [0];
  const indices: number[] = [];
  const values: number[] = [];
  return {
    /** @returns the column's index */
    column({ cost = 0, lower = 0, upper = Infinity, isWhole = false }: Column): number {
      return columns.push({ cost, lower, upper, isWhole }) - 1;
    },
    /** @throws {RangeError} if a column is named twice: solvers drop such a row without a word */
    row(lower: number, upper: number, terms: readonly Term[]): void {
      if (new Set(terms.map(([column]) => column)).size !== terms.length)
        throw new RangeError(`a row must name a column once, got ${terms.map(([column]) => column)}`);
      rowLower.push(lower);
      rowUpper.push(upper);
      for (const [column, factor] of terms) {
        indices.push(column);
        values.push(factor);
      }
      starts.push(indices.length);
    },
    program(): LinearProgram {
      return {
        cost: Float64Array.from(columns, ({ cost }) => cost),
        lower: Float64Array.from(columns, ({ lower }) => lower),
        upper: Float64Array.from(columns, ({ upper }) => upper),
        isWhole: Uint8Array.from(columns, ({ isWhole }) => (isWhole ? 1 : 0)),
        rowLower: Float64Array.from(rowLower),
        rowUpper: Float64Array.from(rowUpper),
        starts: Int32Array.from(starts),
        indices: Int32Array.from(indices),
        values: Float64Array.from(values),
      };
    },
  };
}
