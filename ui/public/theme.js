// Runs before the first paint, so that a chosen theme never flashes; and asks who is signed in while the script of the
// application is still on its way.
window.asked = fetch('/api/session');
window.asked.catch(function () {});
try {
  var chosen = localStorage.getItem('theme');
  if (chosen === 'day' || chosen === 'night') document.documentElement.dataset.theme = chosen;
} catch {
  // Storage may be closed; the system's own preference then counts.
}
