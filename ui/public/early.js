// Runs before the first paint, so that a chosen theme never flashes; and asks for what the address needs while the script
// of the application is still on its way. The client takes the answers from `asked`, each once.
(function () {
  try {
    var chosen = localStorage.getItem('theme');
    if (chosen === 'day' || chosen === 'night') document.documentElement.dataset.theme = chosen;
  } catch {
    // Storage may be closed; the system's own preference then counts.
  }
  var asked = (window.asked = {});
  function ask(url) {
    // Read to its end whether or not it is wanted, so that nothing is left open. A refusal may be of someone who has signed
    // in since; a line that broke may be whole again: both are asked anew.
    asked[url] = fetch(url, { signal: AbortSignal.timeout(20000) })
      .then(function (answer) {
        return answer.blob().then(function (body) {
          return answer.ok ? new Response(body, { status: answer.status, headers: answer.headers }) : undefined;
        });
      })
      .catch(function () {});
  }
  ask('/api/session');
  var known = []; /* the pages, written here by the build */
  (known[1] || []).forEach(function (page) {
    var found = new RegExp(page[0]).exec(location.pathname);
    if (!found) return;
    page[2].forEach(function (url) {
      ask(url.replace('$1', found[1]));
    });
    page[1].forEach(function (place) {
      var link = document.createElement('link');
      var style = /\.css$/.test(known[0][place]);
      link.rel = style ? 'preload' : 'modulepreload';
      if (style) link.as = 'style';
      link.href = '/' + known[0][place];
      document.head.append(link);
    });
  });
})();
