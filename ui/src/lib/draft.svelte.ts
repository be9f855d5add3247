// What is typed and not yet saved, kept in the browser until the server has it. It belongs to the person who typed it:
// nobody else finds it in a form.
let owner = '';

const place = (key: string) => `draft:${owner}:${key}`;

/** Whose drafts are read and kept from now on. */
export function draftsOf(person: string): void {
  owner = person;
  // Of a version that kept them for whoever came next.
  for (const key of Object.keys(localStorage))
    if (/^draft:(intake|run|noise|handover|fit|plan):/.test(key)) localStorage.removeItem(key);
}

export function readDraft<T extends object>(key: string): Partial<T> | null {
  try {
    const text = localStorage.getItem(place(key));
    const found: unknown = text ? JSON.parse(text) : null;
    return found && typeof found === 'object' ? (found as Partial<T>) : null;
  } catch {
    return null;
  }
}

export function keepDraft(key: string, value: object): void {
  try {
    localStorage.setItem(place(key), JSON.stringify(value));
  } catch {
    // A full or closed store only costs the safety net.
  }
}

export function dropDraft(key: string): void {
  try {
    localStorage.removeItem(place(key));
  } catch {
    // Nothing to drop.
  }
}
