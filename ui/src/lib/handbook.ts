// The rules of the trade: the pages of docs/handbook/, which the core cites, and which the page opens at *Why?*. What they
// say comes with HandbookText.
const TITLES = import.meta.glob<string>('../../../docs/handbook/*.md', {
  query: '?title',
  import: 'default',
  eager: true,
});
export const SUBJECTS = [
  'order-of-work',
  'temperature',
  'curve',
  'noise',
  'materials',
  'bench',
  'waits',
  'tuning',
  'runs',
  'life',
] as const;
export type Subject = (typeof SUBJECTS)[number];
export const pathOf = (subject: string): string => `../../../docs/handbook/${subject}.md`;

/** The heading of a page; nothing when there is no such page. */
export const titleOf = (subject: string): string | undefined => TITLES[pathOf(subject)];
