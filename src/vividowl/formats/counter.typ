#let d = json("sheet.json")
#let ink = rgb("#22252b")
#let soft = rgb("#5a5e66")
#set document(title: d.title, author: d.shop)
#set page(paper: "a4", margin: (x: 17mm, top: 13mm, bottom: 15mm), footer: [#set text(size: 8pt, fill: soft); #d.foot])
#set text(font: "Atkinson Hyperlegible Next", size: 10.5pt, fill: ink, lang: d.language, number-width: "tabular")
#set par(leading: 0.62em)
#show heading: set text(font: "Bricolage Grotesque", weight: 700)
#show heading.where(level: 1): set text(size: 22pt)
#show heading.where(level: 2): set text(size: 12pt)
#show heading.where(level: 2): set block(above: 14pt, below: 6pt)

#grid(columns: (1fr, auto), align: (left + horizon, right + horizon),
  [#text(font: "Bricolage Grotesque", weight: 700, size: 15pt, d.shop) \ #text(fill: soft, d.day)
   #heading(level: 1, d.title)],
  [#image("code.svg", width: 27mm, alt: d.scan) #text(size: 7.5pt, fill: soft, d.scan)])
#line(length: 100%, stroke: 1.4pt + ink)
#grid(columns: (34mm, 1fr), row-gutter: 7pt, column-gutter: 5mm,
  ..d.facts.map(f => (text(fill: soft, f.at(0)), text(weight: 700, f.at(1)))).flatten())
#if d.conditions.len() > 0 [
  == #d.condition-title
  #grid(columns: (1fr,) * 3, gutter: 4mm,
    ..d.conditions.enumerate().map(((i, c)) => block(breakable: false)[
      #image("photo-" + str(i) + ".jpg", width: 100%, height: 38mm, fit: "contain", alt: c.place)
      #v(-5pt) #text(size: 9pt, weight: 700, c.place)
      #for line in c.lines [\ #text(size: 9pt, line)]
    ]))
]
== #d.words-title
#for line in d.words [#block(below: 6pt, line)]
#v(6pt)
#if d.signed != "" [
  #image("signature.svg", height: 22mm, alt: d.signed)
  #v(-4pt) #line(length: 80mm, stroke: 0.6pt + ink)
  #d.signed
] else [
  #v(18mm) #line(length: 80mm, stroke: 0.6pt + ink)
  #text(fill: soft, d.not-signed)
]
