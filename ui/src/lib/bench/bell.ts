// A bell of two soft strokes, made on the spot: nothing to fetch, nothing to license.
export function ring(): void {
  if (typeof AudioContext === 'undefined') return;
  try {
    const audio = new AudioContext();
    for (const [i, hz] of [659, 880].entries()) {
      const tone = audio.createOscillator();
      const volume = audio.createGain();
      const at = audio.currentTime + 0.35 * i;
      tone.frequency.value = hz;
      volume.gain.setValueAtTime(0.0001, at);
      volume.gain.exponentialRampToValueAtTime(0.4, at + 0.02);
      volume.gain.exponentialRampToValueAtTime(0.0001, at + 1.2);
      tone.connect(volume).connect(audio.destination);
      tone.start(at);
      tone.stop(at + 1.3);
    }
    setTimeout(() => void audio.close(), 2500);
  } catch {
    // No loudspeaker: the message on the screen has to do.
  }
}
