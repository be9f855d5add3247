#let d = json("record.json")
#let ink = rgb("#22252b")
#let soft = rgb("#5a5e66")
#let before = rgb("#a83a18")
#let after = rgb("#00686b")
#let owl = rgb("#46307f")
#set document(title: d.title, author: d.shop)
#set page(paper: "a4", margin: (x: 17mm, top: 13mm, bottom: 15mm), footer: context [
  #set text(size: 8pt, fill: soft)
  #d.footer #h(1fr) page #counter(page).display() of #counter(page).final().first()
])
#set text(font: "Atkinson Hyperlegible Next", size: 9.5pt, fill: ink, lang: "en", number-width: "tabular")
#set par(leading: 0.62em)
#let head(body) = text(font: "Bricolage Grotesque", weight: 700, body)
#let section(body) = block(above: 11pt, below: 5pt, text(size: 9pt, weight: 700, fill: owl, body))

#grid(columns: (1fr, auto), align: (left + horizon, right + horizon),
  [#head(text(size: 15pt, d.shop)) \ #text(fill: soft, d.subtitle)],
  image("owl.svg", width: 30mm))
#line(length: 100%, stroke: 1.4pt + ink)
#block(above: 12pt, below: 8pt, head(text(size: 19pt, d.headline)))
#for reason in d.reasons [#text(fill: soft, reason) \ ]

#if d.has_comparison [
  #grid(columns: (56mm, 1fr), gutter: 8mm, align: (left + bottom, left + bottom),
    image("ladder.svg", width: 100%), image("chart.svg", width: 100%))
  #if d.exhaust != "" [#text(fill: soft, d.exhaust)]
  #section[What was measured]
  #table(columns: (1.5fr, 1fr, 1fr, 1.25fr, 1fr), stroke: none, inset: (x: 0pt, y: 3.2pt),
    align: (left, right, right, right, right),
    table.hline(stroke: 1pt + ink),
    table.header([], text(fill: before, weight: 700)[before], text(fill: after, weight: 700)[after], [*change ± U*], [*shown*]),
    table.hline(stroke: 0.6pt + ink),
    ..d.effects.map(e => (
      [#e.words #text(size: 8.5pt, fill: soft)[#e.unit]], text(fill: before, e.before), text(fill: after, e.after),
      e.change, e.shown,
    )).flatten(),
    table.hline(stroke: 0.6pt + ink))
  #text(size: 8pt, fill: soft)[U is the expanded uncertainty (k = 2, JCGM 100). A change smaller than U is not claimed.]
  #section[How it was measured]
  #table(columns: (1fr, 1.6fr, 1.6fr, 1fr), stroke: none, inset: (x: 0pt, y: 2pt),
    ..d.conditions.map(c => (text(fill: soft, c.words), c.before, c.after, text(fill: soft, c.bearing))).flatten())
]
#section[What was done]
#if d.cleaned != "" [Cleaned: #d.cleaned. \ ]
#for item in d.items [#item \ ]
#if d.fit_note != "" [#d.fit_note \ ]
#for line in d.bench [#line \ ]
#for gate in d.gates [#text(fill: soft)[Agreed: #gate] \ ]
#if d.attempts.len() > 0 [
  #section[Attempts side by side]
  #let n = d.attempts.at(0).len() - 1
  #table(columns: (1.1fr,) + (1.6fr,) * n, stroke: none, inset: (x: 0pt, y: 2.6pt), column-gutter: 6pt,
    table.hline(stroke: 1pt + ink),
    table.header([], ..range(n).map(i => [*attempt #(i + 1)*])),
    table.hline(stroke: 0.6pt + ink),
    ..d.attempts.map(row => (text(fill: soft, row.at(0)), ..row.slice(1))).flatten(),
    table.hline(stroke: 0.6pt + ink))
]
#section[Price and next service]
#grid(columns: (1fr, 1fr), [Price: *#d.price*], [Next service: *#d.next_service*])
#if d.note != "" [#v(4pt) #d.note]
