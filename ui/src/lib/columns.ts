// A column of a table.
import type { Snippet } from 'svelte';

export interface Column<R> {
  /** What it is called; empty for one that needs no name. */
  readonly head: string;
  /** Heard and not seen: what a button in it does. */
  readonly silent?: boolean;
  /** What its head says instead, where that is more than words. */
  readonly heading?: Snippet;
  readonly unit?: string;
  readonly text?: (row: R) => string | number | null | undefined;
  /** What stands in a cell, where that is more than text; told which of the columns it is. */
  readonly cell?: Snippet<[R, number]>;
  /** It names the row. */
  readonly name?: boolean;
  /** Classes of its head and cells: number, before, after, quiet. */
  readonly is?: string;
  /** Further classes of one cell. */
  readonly rowIs?: (row: R) => string | undefined;
}
