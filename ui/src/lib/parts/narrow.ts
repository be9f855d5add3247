// A table that does not fit its column is shown row under row, each figure with the name of its column.

/** Measured now, and whenever there is another width for it. Gives the way to stop. */
export function foldWhenNarrow(table: HTMLTableElement): () => void {
  const around = table.parentElement;
  if (!around) return () => undefined;
  const fit = () => {
    table.classList.remove('folded');
    table.classList.toggle('folded', table.scrollWidth > around.clientWidth + 1);
  };
  fit();
  let width = around.clientWidth;
  const size = new ResizeObserver(() => {
    if (around.clientWidth === width) return;
    width = around.clientWidth;
    fit();
  });
  size.observe(around);
  return () => size.disconnect();
}
