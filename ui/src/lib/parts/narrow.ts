// A table that does not fit its column is shown row under row, each figure with the name of its column.

function label(table: HTMLTableElement): void {
  const heads = [...(table.tHead?.rows[0]?.cells ?? [])].map((cell) => cell.textContent.trim());
  for (const body of table.tBodies)
    for (const row of body.rows) for (const [i, cell] of [...row.cells].entries()) cell.dataset.label = heads[i] ?? '';
}

export function foldWhenNarrow(table: HTMLTableElement): { destroy: () => void } {
  const around = table.parentElement;
  function fit() {
    if (!around) return;
    table.classList.remove('folded');
    // A row below a head of two lines, or a cell over several columns, has no one name to stand under.
    const plain = table.tHead?.rows.length === 1 && !table.querySelector('[colspan], [rowspan]');
    if (table.scrollWidth > around.clientWidth + 1 && plain) {
      label(table);
      table.classList.add('folded');
    }
  }
  fit();
  const rows = new MutationObserver(fit);
  rows.observe(table, { childList: true, subtree: true, characterData: true });
  let width = around?.clientWidth ?? 0;
  const size = new ResizeObserver(() => {
    if (around && around.clientWidth !== width) {
      width = around.clientWidth;
      fit();
    }
  });
  if (around) size.observe(around);
  return {
    destroy() {
      rows.disconnect();
      size.disconnect();
    },
  };
}
