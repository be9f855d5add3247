// Whether the data file of a record is as the shop signed it, found out in the browser: the file goes nowhere.
// The same answers as src/vividowl/formats/data_file.py, held by contract/data_file.json.
const MANIFEST = 'manifest.json';
const SIGNATURE = 'manifest.sig';
const KEY = 'shop.pem';
const FORMAT = 'vivid-owl-record';
const FILES_MOST = 500;
const END_MARK = 0x06054b50;
const ENTRY_MARK = 0x02014b50;
const LOCAL_MARK = 0x04034b50;
const END_BYTES = 22;
const COMMENT_MOST = 65535;
const RAW_KEY_BYTES = 32;

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

/** Files of a zip that nothing is packed in, by name; one that is packed or broken stands without bytes. */
function filesOf(whole: Uint8Array<ArrayBuffer>): Map<string, Uint8Array<ArrayBuffer> | null> {
  const view = new DataView(whole.buffer, whole.byteOffset, whole.byteLength);
  let end = whole.length - END_BYTES;
  while (end >= 0 && end >= whole.length - END_BYTES - COMMENT_MOST && view.getUint32(end, true) !== END_MARK) end -= 1;
  if (end < 0 || view.getUint32(end, true) !== END_MARK) throw new NoDataFile();
  const count = view.getUint16(end + 10, true);
  let at = view.getUint32(end + 16, true);
  if (count > FILES_MOST) throw new NoDataFile();
  const files = new Map<string, Uint8Array<ArrayBuffer> | null>();
  for (let i = 0; i < count; i += 1) {
    if (at + 46 > end || view.getUint32(at, true) !== ENTRY_MARK) throw new NoDataFile();
    const [method, length] = [view.getUint16(at + 10, true), view.getUint32(at + 24, true)];
    const [nameLength, extra, comment] = [28, 30, 32].map((offset) => view.getUint16(at + offset, true)) as [
      number,
      number,
      number,
    ];
    const local = view.getUint32(at + 42, true);
    const name = new TextDecoder().decode(whole.subarray(at + 46, at + 46 + nameLength));
    // A name that stands twice would let one be checked and the other be read.
    if (files.has(name)) throw new NoDataFile();
    files.set(name, method === 0 ? stored(whole, view, local, length) : null);
    at += 46 + nameLength + extra + comment;
  }
  return files;
}

function stored(
  whole: Uint8Array<ArrayBuffer>,
  view: DataView,
  local: number,
  length: number,
): Uint8Array<ArrayBuffer> | null {
  if (local + 30 > whole.length || view.getUint32(local, true) !== LOCAL_MARK) return null;
  const from = local + 30 + view.getUint16(local + 26, true) + view.getUint16(local + 28, true);
  return from + length <= whole.length ? whole.subarray(from, from + length) : null;
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

/** Check a data file; what is wrong with one is told file by file. Throws NoDataFile where it is none. */
export async function checkDataFile(whole: Uint8Array<ArrayBuffer>): Promise<Checked> {
  const files = filesOf(whole);
  const [text, signature, pem] = [MANIFEST, SIGNATURE, KEY].map((name) => files.get(name));
  if (!text || !signature || !pem) throw new NoDataFile();
  let manifest: Manifest & { format?: string; files: Record<string, { sha256: string }> };
  let der: Uint8Array<ArrayBuffer>;
  let key: CryptoKey;
  try {
    manifest = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(text)) as typeof manifest;
    const body = /^-----BEGIN PUBLIC KEY-----\n([A-Za-z0-9+/=\n]+)-----END PUBLIC KEY-----\n$/.exec(
      new TextDecoder().decode(pem),
    )?.[1];
    const plain = (body ?? '').replaceAll('\n', '');
    // What reads as the same key but is written another way was touched.
    if (!plain || btoa(atob(plain)) !== plain || body !== `${plain}\n`) throw new NoDataFile();
    der = Uint8Array.from(atob(plain), (sign) => sign.charCodeAt(0));
    key = await crypto.subtle.importKey('spki', der, { name: 'Ed25519' }, true, ['verify']);
    if (manifest.format !== FORMAT || !Object.values(manifest.files).every((entry) => typeof entry.sha256 === 'string'))
      throw new NoDataFile();
  } catch {
    throw new NoDataFile();
  }
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
  const order = [...Object.keys(manifest.files).sort(), MANIFEST, SIGNATURE, KEY];
  const repacked = clean && !asWritten(whole, files, order, manifest.signed_at ?? '');
  return { signed, wrong, repacked, fingerprint: await sha256(der.subarray(der.length - RAW_KEY_BYTES)), manifest };
}

/** Signs that are not seen, or that turn a line around, as what they are: a file in a zip may bear any name. */
export const visible = (text: string): string =>
  text.replace(/[\p{C}\p{Zl}\p{Zp}]/gu, (sign) => `\\u{${sign.codePointAt(0)?.toString(16) ?? ''}}`);
