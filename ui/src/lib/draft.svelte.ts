// What is typed and not yet saved, kept in the browser until the server has it.
export function readDraft<T extends object>(key: string): Partial<T> | null {
  try {
    const text = localStorage.getItem(`draft:${key}`);
    const found: unknown = text ? JSON.parse(text) : null;
    return found && typeof found === 'object' ? (found as Partial<T>) : null;
  } catch {
    return null;
  }
}

export function keepDraft(key: string, value: object): void {
  try {
    localStorage.setItem(`draft:${key}`, JSON.stringify(value));
  } catch {
    // A full or closed store only costs the safety net.
  }
}

export function dropDraft(key: string): void {
  try {
    localStorage.removeItem(`draft:${key}`);
  } catch {
    // Nothing to drop.
  }
}
