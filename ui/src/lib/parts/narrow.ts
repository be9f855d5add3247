// A table that does not fit its column is shown row under row, each figure with the name of its column.

/** Measured anew when its rows are others, and when there is another width for it. */
export function foldWhenNarrow(table: HTMLTableElement, rows: unknown): { update: () => void; destroy: () => void } {
  void rows;
  const around = table.parentElement;
  function fit() {
    if (!around) return;
    table.classList.remove('folded');
    table.classList.toggle('folded', table.scrollWidth > around.clientWidth + 1);
  }
  fit();
  let width = around?.clientWidth ?? 0;
  const size = new ResizeObserver(() => {
    if (around && around.clientWidth !== width) {
      width = around.clientWidth;
      fit();
    }
  });
  if (around) size.observe(around);
  return { update: () => requestAnimationFrame(fit), destroy: () => size.disconnect() };
}
