import type { ReactNode } from "react";

export interface Column<Row> {
  readonly head: string;
  readonly cell: (row: Row) => ReactNode;
  /** Numbers stand to the right, in figures of one width. */
  readonly isNumber?: boolean;
  /** Left out where the screen is too narrow for it. */
  readonly isWideOnly?: boolean;
  /** What stands in it is never broken into lines. */
  readonly isOneLine?: boolean;
  /** Heads that only a screen reader needs, as of a column of buttons. */
  readonly isHeadHidden?: boolean;
}

interface DataTableProps<Row> {
  /** What the table is of; hidden where a heading beside it says so. */
  caption: string;
  isCaptionHidden?: boolean;
  /** The first names its row. */
  columns: readonly Column<Row>[];
  rows: readonly Row[];
  keyOf: (row: Row) => string | number;
  /** A row that stands out, as the best or the chosen one. */
  isMarked?: (row: Row) => boolean;
  className?: string;
}

/** Rows of data; wider than the screen it is scrolled by itself, with the keys too. */
export function DataTable<Row>(props: DataTableProps<Row>) {
  const { caption, isCaptionHidden = true, columns, rows, keyOf, isMarked, className = "text-sm" } = props;
  return (
    // biome-ignore lint/a11y/useSemanticElements: not a fieldset, and no landmark, of which a page would have too many
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
    <div role="group" className="overflow-x-auto" tabIndex={0} aria-label={caption}>
      <table className={`data-table ${className}`}>
        <caption className={isCaptionHidden ? "sr-only" : "pb-1 text-left font-semibold"}>{caption}</caption>
        <thead>
          <tr>
            {columns.map((column) => (
              <th key={column.head} scope="col" className={column.isHeadHidden ? "sr-only" : lookOf(column)}>
                {column.head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={keyOf(row)} className={isMarked?.(row) ? "bg-wheat font-semibold" : undefined}>
              {columns.map((column, index) => (
                <Cell key={column.head} column={column} row={row} isFirst={index === 0} />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Cell<Row>({ column, row, isFirst }: { column: Column<Row>; row: Row; isFirst: boolean }) {
  const className = lookOf(column, "font-mono");
  return isFirst ? (
    <th scope="row" className={className}>
      {column.cell(row)}
    </th>
  ) : (
    <td className={className}>{column.cell(row)}</td>
  );
}

function lookOf({ isNumber, isWideOnly, isOneLine }: Column<never>, numbers = ""): string | undefined {
  const look = [
    isNumber && `text-right ${numbers}`.trim(),
    isWideOnly && "hidden sm:table-cell",
    numbers && (isNumber || isOneLine) && "whitespace-nowrap",
  ];
  return look.filter(Boolean).join(" ") || undefined;
}

/** A second line of a cell, below the first and quieter. */
export function Under({ children }: { children: ReactNode }) {
  return <span className="block text-soft">{children}</span>;
}
