// A place as it is typed, and what is sent of it.
import { parseNumber } from '../../lib/format';

export type PlaceKind = 'screw' | 'plug' | 'pad';

export interface PlaceDraft {
  kind: PlaceKind;
  screwHolds: string;
  plugHolds: string;
  padHolds: string;
  gap: string;
  thickness: string;
  length: string;
  drive: string;
  head: string;
  number: string;
  note: string;
}

export const blankPlace = (): PlaceDraft => ({
  kind: 'screw',
  screwHolds: 'cover',
  plugHolds: 'fan',
  padHolds: 'memory',
  gap: '',
  thickness: '',
  length: '',
  drive: 'cross',
  head: 'pan',
  number: '',
  note: '',
});

const number = (text: string): number | null => {
  const value = parseNumber(text);
  return value === null || Number.isNaN(value) ? null : value;
};

export function placeData(draft: PlaceDraft, id: string, x: number, y: number): Record<string, unknown> {
  const at = { id, x: Math.round(x * 1000) / 1000, y: Math.round(y * 1000) / 1000 };
  if (draft.kind === 'plug') return { ...at, kind: 'plug', holds: draft.plugHolds, note: draft.note.trim() };
  if (draft.kind === 'pad')
    return {
      ...at,
      kind: 'pad',
      holds: draft.padHolds,
      gap_mm: number(draft.gap),
      thickness_mm: number(draft.thickness),
      note: draft.note.trim(),
    };
  const printed = number(draft.number);
  return {
    ...at,
    kind: 'screw',
    holds: draft.screwHolds,
    length_mm: number(draft.length),
    drive: draft.drive,
    head: draft.head,
    number: printed === null ? null : Math.round(printed),
    note: '',
  };
}
