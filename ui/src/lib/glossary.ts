// What the words of the trade mean: the names of docs/glossary.md, loaded when one is asked for.
export interface Meant {
  symbol: string;
  unit: string;
  meaning: string;
}
const TERMS = import.meta.glob<Record<string, Meant>>('../../../docs/glossary.md', {
  query: '?terms',
  import: 'default',
});

/** What a name means, if the glossary has it. */
export const meaningOf = async (name: string): Promise<Meant | undefined> =>
  (await Object.values(TERMS)[0]?.())?.[name];
