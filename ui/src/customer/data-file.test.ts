// @vitest-environment node
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { checkDataFile, NoDataFile, type Checked, visible } from './data-file';

interface Case {
  name: string;
  zip: string;
  found: Omit<Checked, 'manifest'> | null;
}
const CASES = JSON.parse(readFileSync('../contract/data_file.json', 'utf8')) as Case[];

async function find(zip: string): Promise<Omit<Checked, 'manifest'> | null> {
  try {
    const { signed, wrong, repacked, fingerprint } = await checkDataFile(Uint8Array.from(Buffer.from(zip, 'base64')));
    return { signed, wrong, repacked, fingerprint };
  } catch (error) {
    if (error instanceof NoDataFile) return null;
    throw error;
  }
}
const untouched = (found: Case['found']) => !!found?.signed && !found.repacked && !Object.keys(found.wrong).length;

describe('the data file of a record', () => {
  it.each(CASES.filter((c) => !c.name.startsWith('byte ')).map((c) => [c.name, c] as const))(
    'says the same as the server of: %s',
    async (_, c) => {
      const found = await find(c.zip);
      expect(found && { ...found, wrong: Object.entries(found.wrong).sort() }).toEqual(
        c.found && { ...c.found, wrong: Object.entries(c.found.wrong).sort() },
      );
    },
  );

  it('finds a changed byte wherever it is, as the server does', async () => {
    const flipped = CASES.filter((c) => c.name.startsWith('byte '));
    expect(flipped.length).toBe(40);
    for (const c of flipped) {
      expect(untouched(c.found), c.name).toBe(false);
      expect(untouched(await find(c.zip)), c.name).toBe(false);
    }
  });

  it('shows a name that would turn a line around as what it is', () => {
    expect(visible('a\u202egnp.txt\nUntouched')).toBe('a\\u{202e}gnp.txt\\u{a}Untouched');
    expect(visible('Größe 1, día.csv')).toBe('Größe 1, día.csv');
  });
});
