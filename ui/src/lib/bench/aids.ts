// Help that a browser may or may not give: a screen that stays awake, a voice, the whole screen.

/** Keep the screen awake until the returned function is called; asked for again when the page comes back. */
export function keepAwake(): () => void {
  let lock: WakeLockSentinel | null = null;
  let over = false;
  const ask = async () => {
    if (over || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
    try {
      lock = await navigator.wakeLock.request('screen');
      if (over) void lock.release();
    } catch {
      lock = null; // low battery: the browser may say no
    }
  };
  void ask();
  document.addEventListener('visibilitychange', ask);
  return () => {
    over = true;
    document.removeEventListener('visibilitychange', ask);
    void lock?.release();
  };
}

export const canSpeak = (): boolean => typeof speechSynthesis !== 'undefined';

/** Say it aloud; what was being said stops. */
export function speak(text: string): void {
  if (!canSpeak()) return;
  speechSynthesis.cancel();
  const words = new SpeechSynthesisUtterance(text);
  words.lang = 'en';
  words.rate = 0.95;
  speechSynthesis.speak(words);
}

export function hush(): void {
  if (canSpeak()) speechSynthesis.cancel();
}

export async function wholeScreen(): Promise<void> {
  try {
    if (document.fullscreenElement) await document.exitFullscreen();
    else await document.documentElement.requestFullscreen();
  } catch {
    // Not allowed here: the page fills its window all the same.
  }
}
