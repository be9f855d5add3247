// How many pixels of this screen make a millimetre, once a bank card was held against it. Kept in this browser.
export const CARD_WIDTH_MM = 85.6; // ISO/IEC 7810, ID-1
export const CARD_HEIGHT_MM = 53.98;
const KEY = 'px-per-mm';
const LOW = 2;
const HIGH = 24;

function stored(): number | null {
  try {
    const value = Number(localStorage.getItem(KEY));
    return value >= LOW && value <= HIGH ? value : null;
  } catch {
    return null;
  }
}

let kept = $state<number | null>(stored());

export const trueSize = {
  /** Pixels a millimetre, null while the screen was not matched. */
  get pxPerMm() {
    return kept;
  },
};

export function keepMatch(pxPerMm: number): void {
  kept = Math.min(HIGH, Math.max(LOW, pxPerMm));
  try {
    localStorage.setItem(KEY, String(kept));
  } catch {
    // It then holds until the page is left.
  }
}

export function forgetMatch(): void {
  kept = null;
  try {
    localStorage.removeItem(KEY);
  } catch {
    // Nothing to forget.
  }
}
