// One line to the server for the whole application: news of every bench of the shop, and whether the line stands.
type Ear = (job: string | null, number: number) => void;

let stands = $state(true);
let source: EventSource | null = null;
let ears: Ear[] = [];

export const line = {
  get stands() {
    return stands;
  },
};

/** Hear of the bench until the returned function is called. */
export function hear(ear: Ear): () => void {
  ears = [...ears, ear];
  open();
  return () => {
    ears = ears.filter((e) => e !== ear);
    if (!ears.length) close();
  };
}

/** What a request has just found out about the line. */
export function lineSeen(up: boolean): void {
  if (up && !stands) {
    stands = true;
    for (const ear of ears) ear(null, 0);
  }
  if (!up) stands = false;
}

function open(): void {
  if (source || typeof EventSource === 'undefined') return;
  source = new EventSource('/api/bench/stream');
  source.addEventListener('open', () => lineSeen(true));
  source.addEventListener('error', () => {
    lineSeen(false);
    // A stream that was refused, not broken, is not opened again by the browser itself.
    if (source?.readyState === EventSource.CLOSED) {
      close();
      setTimeout(() => ears.length && open(), 3000);
    }
  });
  source.addEventListener('bench', (event) => {
    const { job, number } = JSON.parse((event as MessageEvent<string>).data) as { job: string | null; number: number };
    for (const ear of ears) ear(job, number);
  });
}

function close(): void {
  source?.close();
  source = null;
}
