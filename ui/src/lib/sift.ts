/** Whether every word that was typed stands somewhere in what is known of a thing, wherever and in any order. */
export function hasWords(find: string, known: readonly string[]): boolean {
  const text = known.join(' ').toLowerCase();
  return find
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}
