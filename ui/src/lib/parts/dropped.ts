// Files of what was dropped or chosen: folders are opened, and what cannot be meant is left out.

type Entry = FileSystemEntry | null;
// A drop can be read only while it is handled, so that this must not wait for anything.
const entriesOf = (data: DataTransfer | null): Entry[] =>
  [...(data?.items ?? [])].map((item) => item.webkitGetAsEntry?.() ?? null);

/** Hand on what was dropped: files as they are, those of folders by their names once they are opened. */
export function dropped(data: DataTransfer | null, accept: string, given: (files: File[]) => void): void {
  const entries = entriesOf(data);
  if (!entries.some((entry) => entry?.isDirectory)) return given([...(data?.files ?? [])]);
  void opened(entries).then((found) => given(meant(found, accept)));
}

async function opened(entries: Entry[]): Promise<File[]> {
  const found: File[] = [];
  for (const entry of entries) if (entry) await collect(entry, found);
  return found;
}

/** Files of a folder that have an ending which is accepted, by their names. */
export function meant(files: File[], accept: string): File[] {
  const endings = accept.split(',').filter((part) => part.startsWith('.'));
  return files
    .filter((file) => endings.some((ending) => file.name.toLowerCase().endsWith(ending)))
    .sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }));
}

async function collect(entry: FileSystemEntry, found: File[]): Promise<void> {
  if (entry.isFile) {
    found.push(await new Promise<File>((done, failed) => (entry as FileSystemFileEntry).file(done, failed)));
    return;
  }
  const reader = (entry as FileSystemDirectoryEntry).createReader();
  // A folder hands its files out in parts until there are no more.
  for (;;) {
    const part = await new Promise<FileSystemEntry[]>((done, failed) => reader.readEntries(done, failed));
    if (!part.length) return;
    for (const inner of part) await collect(inner, found);
  }
}
