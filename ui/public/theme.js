// Runs before the first paint, so that a chosen theme never flashes.
try {
  var chosen = localStorage.getItem('theme');
  if (chosen === 'day' || chosen === 'night') document.documentElement.dataset.theme = chosen;
} catch {
  // Storage may be closed; the system's own preference then counts.
}
