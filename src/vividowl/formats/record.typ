#let d = json("record.json")
#let w = d.words
#let ink = rgb("#22252b")
#let soft = rgb("#5a5e66")
#let before = rgb("#a83a18")
#let after = rgb("#00686b")
#let owl = rgb("#46307f")
#set document(title: d.title, author: d.shop)
#set page(paper: "a4", margin: (x: 17mm, top: 13mm, bottom: 15mm), footer: context [
  #set text(size: 8pt, fill: soft)
  #d.footer #h(1fr) #w.page-of #counter(page).display() / #counter(page).final().first()
])
#set text(font: "Atkinson Hyperlegible Next", size: 9.5pt, fill: ink, lang: d.language, number-width: "tabular")
#set par(leading: 0.62em)
#show heading: set text(font: "Bricolage Grotesque", weight: 700)
#show heading.where(level: 1): set text(size: 20pt)
#show heading.where(level: 2): set text(size: 11.5pt, fill: owl)
#show heading.where(level: 1): set block(above: 12pt, below: 8pt)
#show heading.where(level: 2): set block(above: 13pt, below: 6pt)

// Page one, for someone who knows nothing of it.
#grid(columns: (1fr, auto), align: (left + horizon, right + horizon),
  [#text(font: "Bricolage Grotesque", weight: 700, size: 15pt, d.shop) \ #text(fill: soft, d.subtitle)],
  image("owl.svg", width: 30mm, alt: w.owl))
#line(length: 100%, stroke: 1.4pt + ink)
= #d.lead
#if d.symptom != "" [#text(size: 11pt, fill: soft, d.symptom)]
#if d.plain.len() > 0 {
  let hues = (before, after, ink)
  v(2pt)
  grid(columns: (27mm, 1fr), row-gutter: 8pt, column-gutter: 5mm,
    ..d.plain.enumerate().map(((i, row)) => (
      text(size: 10pt, weight: 700, fill: hues.at(i), row.at(0)), text(size: 12.5pt, row.at(1)),
    )).flatten())
}
#if d.photos > 0 {
  let names = ((w.before, before), (w.after, after))
  v(6pt)
  grid(columns: (1fr,) * d.photos, gutter: if d.photos == 2 { 5mm } else { 3mm },
    ..range(d.photos).map(i => {
      let (words, hue) = names.at(calc.rem(i, 2))
      image("photo-" + str(i) + ".jpg", width: 100%, height: if d.photos == 2 { 50mm } else { 36mm }, fit: "cover", alt: words)
      v(-5pt)
      text(size: 8.5pt, weight: 700, fill: hue, words)
    }))
}
#if d.has_comparison {
  v(4pt)
  image("chart.svg", width: if d.photos > 0 { 72% } else { 100% }, alt: w.chart)
}
#grid(columns: (1fr, 1fr), column-gutter: 9mm,
  [
    == #w.done
    #for line in d.done [#line \ ]
  ],
  [
    == #w.do
    #for line in d.after_care [#block(below: 5pt, line)]
  ])
#line(length: 100%, stroke: 0.6pt + ink)
#grid(columns: (1fr,) * d.facts.len(), column-gutter: 6mm,
  ..d.facts.map(f => [
    #text(size: 8.5pt, fill: soft, f.at(0)) \ #text(size: 12pt, weight: 700, f.at(1))
    #if f.at(2) != "" [\ #text(size: 8.5pt, fill: soft, f.at(2))]
  ]))
#if d.note != "" [#v(4pt) #d.note]
#if d.link [
  #v(4pt)
  #grid(columns: (22mm, 1fr), column-gutter: 5mm, align: horizon,
    image("link.svg", width: 22mm, alt: d.link-words), d.link-words)
]

// Page two, for the curious.
#if d.has_comparison or d.bench.len() > 0 [
  #pagebreak()
  = #w.details
  #if d.headline != "" [#text(size: 11pt, weight: 700, d.headline) \ ]
  #for reason in d.reasons [#text(fill: soft, reason) \ ]
]
#if d.has_comparison [
  #if d.exhaust != "" [#text(fill: soft, d.exhaust)]
  #grid(columns: (44mm, 1fr), gutter: 6mm,
    [#v(13pt) #image("ladder.svg", width: 100%, alt: w.ladder)],
    [
      == #w.measured
      #table(columns: (2.1fr, 0.8fr, 0.8fr, 1.35fr, 1.3fr), column-gutter: 5pt, stroke: none, inset: (x: 0pt, y: 3pt),
        align: (left, right, right, right, right),
        table.hline(stroke: 1pt + ink),
        table.header([], text(fill: before, weight: 700, w.before), text(fill: after, weight: 700, w.after),
          strong(w.change-u), strong(w.shown)),
        table.hline(stroke: 0.6pt + ink),
        ..d.effects.map(e => (
          [#e.words #text(size: 8.5pt, fill: soft)[#e.unit]], text(fill: before, e.before), text(fill: after, e.after),
          e.change, e.shown,
        )).flatten(),
        table.hline(stroke: 0.6pt + ink))
      #text(size: 8pt, fill: soft, w.u-is)
    ])
  == #w.conditions
  #table(columns: (1fr, 1.6fr, 1.6fr, 1fr), stroke: none, inset: (x: 0pt, y: 2pt),
    ..d.conditions.map(c => (text(fill: soft, c.words), c.before, c.after, text(fill: soft, c.bearing))).flatten())
]
#if d.bench.len() + d.gates.len() > 0 or d.fit_note != "" or d.promise != "" [
  == #w.bench
  #if d.promise != "" [#d.promise \ ]
  #if d.fit_note != "" [#d.fit_note \ ]
  #for line in d.bench [#line \ ]
  #for gate in d.gates [#text(fill: soft, gate) \ ]
]
#if d.attempts.len() > 0 [
  == #w.attempts
  #let n = d.attempts.at(0).len() - 1
  #table(columns: (1.1fr,) + (1.6fr,) * n, stroke: none, inset: (x: 0pt, y: 2.6pt), column-gutter: 6pt,
    table.hline(stroke: 1pt + ink),
    table.header([], ..range(n).map(i => strong[#w.attempt #(i + 1)])),
    table.hline(stroke: 0.6pt + ink),
    ..d.attempts.map(row => (text(fill: soft, row.at(0)), ..row.slice(1))).flatten(),
    table.hline(stroke: 0.6pt + ink))
]
