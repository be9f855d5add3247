import { describe, expect, it, vi } from 'vitest';
import { dropped, meant } from './dropped';

const file = (name: string) => new File(['x'], name);
const leaf = (name: string) => ({
  isFile: true,
  isDirectory: false,
  file: (done: (f: File) => void) => done(file(name)),
});
/** A folder that hands its entries out one at a time, as browsers hand out a hundred. */
const folder = (...entries: unknown[]) => ({
  isFile: false,
  isDirectory: true,
  createReader: () => {
    const rest = [...entries];
    return { readEntries: (done: (e: unknown[]) => void) => done(rest.splice(0, 1)) };
  },
});
const drop = (entries: unknown[], files: File[] = []) =>
  ({ items: entries.map((e) => ({ webkitGetAsEntry: () => e })), files }) as unknown as DataTransfer;

describe('what was dropped', () => {
  it('opens folders within folders and takes the logs in their order', async () => {
    const given = vi.fn();
    const entries = [folder(leaf('run 10.csv'), folder(leaf('run 2.CSV'), leaf('photo.jpg')), leaf('run 1.txt'))];
    dropped(drop(entries), '.csv,.txt,text/csv', given);
    await vi.waitFor(() => expect(given).toHaveBeenCalledOnce());
    const names = (given.mock.calls[0]?.[0] as File[]).map((f) => f.name);
    expect(names).toEqual(['run 1.txt', 'run 2.CSV', 'run 10.csv']);
  });

  it('passes plain files on at once and as they are, whatever they are called', () => {
    const [plain, given] = [file('odd.bin'), vi.fn()];
    dropped(drop([leaf('odd.bin')], [plain]), '.csv', given);
    expect(given).toHaveBeenCalledWith([plain]);
    dropped(null, '.csv', given);
    expect(given).toHaveBeenLastCalledWith([]);
  });

  it('leaves out of a chosen folder what is no log', () => {
    expect(meant([file('b.csv'), file('.DS_Store'), file('a.csv')], '.csv').map((f) => f.name)).toEqual([
      'a.csv',
      'b.csv',
    ]);
  });
});
