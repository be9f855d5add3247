// Whether the data file of a record is as the shop signed it, found out in the browser: the file goes nowhere.
// The same answers as src/vividowl/formats/data_file.py, held by contract/data_file.json.
const MANIFEST = 'manifest.json';
const SIGNATURE = 'manifest.sig';
const KEY = 'shop.pem';
const FORMAT = 'vivid-owl-record';
const FILES_MOST = 500;
const MANIFEST_MOST = 1024 * 1024;
const [RAW_KEY_BYTES, SIGNATURE_BYTES] = [32, 64];

export type Finding = 'changed' | 'missing' | 'added';

export interface Manifest {
  shop?: string;
  number?: number;
  device?: string;
  signed_at?: string;
  /** Null for a draft. */
  record_version?: number | null;
}

export interface Checked {
  signed: boolean;
  wrong: Record<string, Finding>;
  /** The zip around the files is another one than was written. */
  repacked: boolean;
  fingerprint: string;
  manifest: Manifest;
}

/** It is no data file, or is broken. */
export class NoDataFile extends Error {}

const hex = (bytes: ArrayBuffer): string =>
  [...new Uint8Array(bytes)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
const sha256 = async (bytes: BufferSource): Promise<string> => hex(await crypto.subtle.digest('SHA-256', bytes));

const [END_MARK, ENTRY_MARK, LOCAL_MARK] = [0x06054b50, 0x02014b50, 0x04034b50];
const [END_BYTES, ENTRY_BYTES, LOCAL_BYTES] = [22, 46, 30];
const NEEDED = 20;
const insist = (fits: boolean): void => {
  if (!fits) throw new NoDataFile();
};
const plainText = (bytes: Uint8Array): string =>
  new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes);

/** Bytes of each file by name, null where they are not those that their check sum was made of. The grammar is that of
 *  `_members` in data_file.py: files one after another from the first byte on, their table, one end record, no more. */
function membersOf(whole: Uint8Array<ArrayBuffer>): Map<string, Uint8Array<ArrayBuffer> | null> {
  const view = new DataView(whole.buffer, whole.byteOffset, whole.byteLength);
  const [two, four] = [(at: number) => view.getUint16(at, true), (at: number) => view.getUint32(at, true)];
  const end = whole.length - END_BYTES;
  insist(end >= 0 && four(end) === END_MARK);
  const [disk, firstDisk, here, count, comment] = [4, 6, 8, 10, 20].map((more) => two(end + more));
  const [size, start] = [four(end + 12), four(end + 16)];
  insist(!disk && !firstDisk && here === count && !comment && start + size === end && (count ?? 0) <= FILES_MOST);
  const files = new Map<string, Uint8Array<ArrayBuffer> | null>();
  let at = start;
  let dataAt = 0;
  for (let i = 0; i < (count ?? 0); i += 1) {
    insist(at + ENTRY_BYTES <= end);
    // Version needed, flags, method, time, day, check sum, both sizes, length of the name: the same in both places.
    const shared = whole.subarray(at + 6, at + 30);
    const [length, nameLength] = [four(at + 24), two(at + 28)];
    insist(four(at) === ENTRY_MARK && two(at + 6) === NEEDED && !two(at + 8) && !two(at + 10));
    insist(four(at + 20) === length && !two(at + 30) && !two(at + 32) && !two(at + 34) && four(at + 42) === dataAt);
    const name = whole.subarray(at + ENTRY_BYTES, at + ENTRY_BYTES + nameLength);
    at += ENTRY_BYTES + nameLength;
    const [nameAt, bytesAt] = [dataAt + LOCAL_BYTES, dataAt + LOCAL_BYTES + nameLength];
    insist(bytesAt + length <= start && four(dataAt) === LOCAL_MARK && !two(dataAt + 28));
    insist(shared.every((byte, n) => whole[dataAt + 4 + n] === byte));
    insist(name.every((byte, n) => whole[nameAt + n] === byte));
    const path = plainText(name);
    // A name that stands twice would let one be checked and the other be read.
    insist(path !== '' && !files.has(path));
    const data = whole.subarray(bytesAt, bytesAt + length);
    files.set(
      path,
      crc32(data) === new DataView(shared.buffer, shared.byteOffset + 10).getUint32(0, true) ? data : null,
    );
    dataAt = bytesAt + length;
  }
  insist(dataAt === start && at === end);
  return files;
}

const CRC_TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k += 1) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c;
});
function crc32(bytes: Uint8Array): number {
  let c = 0xffffffff;
  for (const byte of bytes) c = (CRC_TABLE[(c ^ byte) & 0xff] ?? 0) ^ (c >>> 8);
  return (c ^ 0xffffffff) >>> 0;
}

/** Whether the zip itself is, to the last byte, what is made of its files: the tables of a zip of stored files, with one
 *  time for all (.ZIP File Format Specification, 4.3.7, 4.3.12 and 4.3.16). */
function asWritten(
  whole: Uint8Array,
  files: Map<string, Uint8Array | null>,
  order: string[],
  signedAt: string,
): boolean {
  const at = new Date(signedAt);
  if (Number.isNaN(at.getTime())) return false;
  const day = ((at.getUTCFullYear() - 1980) << 9) | ((at.getUTCMonth() + 1) << 5) | at.getUTCDate();
  const time = (at.getUTCHours() << 11) | (at.getUTCMinutes() << 5) | (at.getUTCSeconds() >> 1);
  let place = 0;
  const is = (bytes: Uint8Array) => {
    const same = bytes.every((byte, i) => whole[place + i] === byte);
    place += bytes.length;
    return same;
  };
  const fields = (...parts: [value: number, bytes: 2 | 4][]) => {
    const view = new DataView(new ArrayBuffer(parts.reduce((sum, [, bytes]) => sum + bytes, 0)));
    let to = 0;
    for (const [value, bytes] of parts) {
      if (bytes === 2) view.setUint16(to, value, true);
      else view.setUint32(to, value, true);
      to += bytes;
    }
    return new Uint8Array(view.buffer);
  };
  const shared = (name: Uint8Array, data: Uint8Array): [number, 2 | 4][] => [
    [time, 2],
    [day, 2],
    [crc32(data), 4],
    [data.length, 4],
    [data.length, 4],
    [name.length, 2],
    [0, 2],
  ];
  const entries: Uint8Array[] = [];
  for (const path of order) {
    const [name, data] = [new TextEncoder().encode(path), files.get(path) ?? new Uint8Array()];
    const head = shared(name, data);
    entries.push(
      fields([ENTRY_MARK, 4], [20, 2], [20, 2], [0, 2], [0, 2], ...head, [0, 2], [0, 2], [0, 2]),
      fields([0o600 << 16, 4], [place, 4]),
      name,
    );
    // Made by: UNIX, as the server does.
    entries.at(-3)?.set([3], 5);
    if (!is(fields([LOCAL_MARK, 4], [20, 2], [0, 2], [0, 2], ...head)) || !is(name) || !is(data)) return false;
  }
  const from = place;
  if (!entries.every(is)) return false;
  const count = order.length;
  const end = fields([END_MARK, 4], [0, 2], [0, 2], [count, 2], [count, 2], [place - from, 4], [from, 4], [0, 2]);
  return is(end) && place === whole.length;
}

type Whole = Manifest & { key: string; signed_at: string; files: Record<string, { sha256: string; bytes: number }> };
/** Half of a sign, which no text in UTF-8 has. */
const HALF = /\p{Surrogate}/u;
const NEEDS = ['format', 'version', 'signed_at', 'key', 'files'];
const MAY = ['shop', 'number', 'device', 'record_version'];
const isWhole = (value: unknown, least: number): boolean => Number.isSafeInteger(value) && (value as number) >= least;
const isTable = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The manifest, as it is written and no other way: what two readers could take for different things is none. */
function manifestOf(bytes: Uint8Array): Whole {
  const text = plainText(bytes);
  const found: unknown = JSON.parse(text, (name: string, value: unknown) => {
    insist(!HALF.test(name) && !(typeof value === 'string' && HALF.test(value)));
    return value;
  });
  // One text for one value: no name twice, no blanks, no escapes that are not needed, no half of a sign.
  if (JSON.stringify(found, null, 1) !== text || !isTable(found)) throw new NoDataFile();
  insist(NEEDS.every((name) => Object.hasOwn(found, name)));
  insist(Object.keys(found).every((name) => NEEDS.includes(name) || MAY.includes(name)));
  const { signed_at, files } = found;
  insist(found.format === FORMAT && found.version === 1 && typeof found.key === 'string');
  insist(typeof signed_at === 'string' && /^(19[89]\d|20\d\d)-.*\+00:00$/.test(signed_at));
  insist(new Date(String(signed_at)).toISOString() === String(signed_at).replace('+00:00', '.000Z'));
  insist(['shop', 'device'].every((name) => typeof (found[name] ?? '') === 'string' && found[name] !== null));
  insist(found.number === undefined || isWhole(found.number, 0));
  insist((found.record_version ?? null) === null || isWhole(found.record_version, 1));
  if (!isTable(files)) throw new NoDataFile();
  for (const [name, entry] of Object.entries(files)) {
    if (!name || /^[0-9]+$/.test(name) || !isTable(entry)) throw new NoDataFile();
    insist(Object.keys(entry).sort().join() === 'bytes,sha256');
    insist(/^[0-9a-f]{64}$/.test(String(entry.sha256)) && typeof entry.sha256 === 'string' && isWhole(entry.bytes, 0));
  }
  return found as unknown as Whole;
}

async function keyOf(pem: Uint8Array): Promise<{ key: CryptoKey; raw: Uint8Array<ArrayBuffer> }> {
  const body = /^-----BEGIN PUBLIC KEY-----\n([A-Za-z0-9+/=\n]+)-----END PUBLIC KEY-----\n$/.exec(plainText(pem))?.[1];
  const plain = (body ?? '').replaceAll('\n', '');
  // What reads as the same key but is written another way was touched.
  insist(plain !== '' && btoa(atob(plain)) === plain && body === `${plain}\n`);
  const der = Uint8Array.from(atob(plain), (sign) => sign.charCodeAt(0));
  const key = await crypto.subtle.importKey('spki', der, { name: 'Ed25519' }, true, ['verify']);
  return { key, raw: der.subarray(der.length - RAW_KEY_BYTES) };
}

/** Names in the order of their signs, as the server sorts them. */
function sorted(names: string[]): string[] {
  const signs = (name: string) => [...name].map((sign) => sign.codePointAt(0) ?? 0);
  return names.toSorted((a, b) => {
    const [mine, theirs] = [signs(a), signs(b)];
    const at = mine.findIndex((sign, i) => sign !== theirs[i]);
    return at < 0 ? mine.length - theirs.length : (mine[at] ?? 0) - (theirs[at] ?? -1);
  });
}

/** Check a data file; what is wrong with one is told file by file. Throws NoDataFile where it is none. */
export async function checkDataFile(whole: Uint8Array<ArrayBuffer>): Promise<Checked> {
  // A browser that has no such signatures says so; anything else that cannot be read is no data file.
  await crypto.subtle.generateKey({ name: 'Ed25519' }, false, ['sign', 'verify']);
  let read;
  try {
    const files = membersOf(whole);
    const [text, signature, pem] = [MANIFEST, SIGNATURE, KEY].map((name) => files.get(name));
    if (!text || !signature || !pem) throw new NoDataFile();
    insist(text.length <= MANIFEST_MOST && signature.length === SIGNATURE_BYTES);
    const manifest = manifestOf(text);
    const { key, raw } = await keyOf(pem);
    insist(manifest.key === (await sha256(raw)));
    read = { files, text, signature, manifest, key };
  } catch {
    throw new NoDataFile();
  }
  const { files, text, signature, manifest, key } = read;
  const signed = await crypto.subtle.verify({ name: 'Ed25519' }, key, signature, text);
  // A file may be called as what every object has.
  const wrong = Object.create(null) as Record<string, Finding>;
  for (const name of files.keys())
    if (!Object.hasOwn(manifest.files, name) && ![MANIFEST, SIGNATURE, KEY].includes(name)) wrong[name] = 'added';
  for (const [name, entry] of Object.entries(manifest.files)) {
    const bytes = files.get(name);
    if (bytes === undefined) wrong[name] = 'missing';
    else if (bytes === null || (await sha256(bytes)) !== entry.sha256) wrong[name] = 'changed';
  }
  const clean = !Object.keys(wrong).length;
  const order = [...sorted(Object.keys(manifest.files)), MANIFEST, SIGNATURE, KEY];
  const repacked = clean && !asWritten(whole, files, order, manifest.signed_at);
  return { signed, wrong, repacked, fingerprint: manifest.key, manifest };
}

/** Signs that are not seen, or that turn a line around, as what they are: a file in a zip may bear any name. */
export const visible = (text: string): string =>
  text.replace(/[\p{C}\p{Zl}\p{Zp}]/gu, (sign) => `\\u{${sign.codePointAt(0)?.toString(16) ?? ''}}`);
