// Files of what was dropped or chosen: folders are opened, and what cannot be meant is left out.

/** All files of a drop; those of folders, too, by their names. */
export async function filesIn(data: DataTransfer | null, accept: string): Promise<File[]> {
  const entries = [...(data?.items ?? [])].map((item) => item.webkitGetAsEntry?.() ?? null);
  if (!entries.some((entry) => entry?.isDirectory)) return [...(data?.files ?? [])];
  const found: File[] = [];
  for (const entry of entries) if (entry) await collect(entry, found);
  return meant(found, accept);
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
