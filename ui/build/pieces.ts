// How the script is cut. On a slow line a request costs more than its bytes, so what is always wanted together comes in
// one piece; what a page does not use stays out of its pieces. A piece takes along what it builds on, unless that belongs
// to one of higher priority: hence the order.
export const PIECES = [
  {
    name: 'parts',
    priority: 6,
    test: /rolldown\/runtime|virtual:rooms|src\/pages\.ts|svelte\/src\/reactivity|src\/lib\/(rooms\.|asking|parts\/(Button|Late|Notice|Skeleton|Titled|Why|narrow)|glyphs|format|words|keys|toasts|router|recent|offline|kept|api|session|theme|once|failures|zone|bench\/(clock|server-clock|outbox|sender|waits|alarms|bell|news))/,
  },
  {
    name: 'fields',
    priority: 5,
    test: /src\/lib\/(parts\/(DataTable|Trouble|Field\.|Term|Unit|TextField|Choice|Dialog|FootBar|Pick|Tick|Working|Progress|DateField)|glossary|suggestions|languages|units|draft|columns)/,
  },
  {
    name: 'forms',
    priority: 4,
    test: /src\/lib\/(parts\/(Fields|FilledForm)|sent-form|fields)/,
  },
  { name: 'live', priority: 3, test: /src\/lib\/(parts\/(BothSides|SaveStand)|autosave|live-form)/ },
  {
    name: 'job',
    priority: 2,
    test: /src\/(rooms\/job\/(JobRoom|OpenItems)|lib\/(job\/(job\.|AskedHere)|bench\/(follow|types)|charts\/LadderStrip|parts\/StageRail))/,
  },
  { name: 'job-words', priority: 4, test: /lib\/job\/(Gates|JobHead|still-open)|page-job\.ftl/ },
  { name: 'asked', priority: 2, test: /lib\/job\/(JobFields|job-fields)/ },
  { name: 'bench-words', priority: 2, test: /lib\/bench\/WaitPanel|page-bench-mode\.ftl/ },
  { name: 'drop', priority: 2, test: /src\/lib\/(parts\/(FileDrop|dropped)|charts\/LateTrace)/ },
  { name: 'measure', priority: 1, test: /src\/(rooms\/measure\/(?!StartClock|RunPage)|lib\/parts\/FileDrop)/ },
  { name: 'bench-log', priority: 2, test: /src\/lib\/bench\/(bench|evolve|project|foresee|state)/ },
  { name: 'chart', priority: 1, test: /src\/lib\/charts\/Trace|node_modules\/d3-/ },
];
