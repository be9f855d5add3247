// The rules of the trade: the pages of docs/handbook/, which the core cites, and which the page opens at *Why?*.
const TITLES = import.meta.glob<string>('../../../docs/handbook/*.md', {
  query: '?title',
  import: 'default',
  eager: true,
});
const BODIES = import.meta.glob<string>('../../../docs/handbook/*.md', { query: '?body', import: 'default' });

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
const pathOf = (subject: string): string => `../../../docs/handbook/${subject}.md`;

/** The heading of a page; nothing when there is no such page. */
export const titleOf = (subject: string): string | undefined => TITLES[pathOf(subject)];

/** What a page says, as HTML that was made from our own file when the application was built. */
export async function bodyOf(subject: string): Promise<string> {
  return (await BODIES[pathOf(subject)]?.()) ?? '';
}
