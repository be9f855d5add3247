// The jobs that were opened last on this device, so that an empty search offers something.
const KEY = 'recent-jobs';
const MOST = 8;

export interface Recent {
  id: string;
  number: number;
  model: string;
  customer: string;
}

export function recent(): Recent[] {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(found) ? (found as Recent[]) : [];
  } catch {
    return [];
  }
}

export function opened(job: Recent): void {
  try {
    localStorage.setItem(KEY, JSON.stringify([job, ...recent().filter((r) => r.id !== job.id)].slice(0, MOST)));
  } catch {
    // Without a store nothing is offered.
  }
}

export function forgetRecent(): void {
  localStorage.removeItem(KEY);
}
