/** What tells of a firing beside the text. */

let audio: AudioContext | null = null;

/** A short, soft click, made on the spot. */
export function sound(): void {
  try {
    audio ??= new AudioContext();
    const now = audio.currentTime;
    const tone = audio.createOscillator();
    const volume = audio.createGain();
    tone.type = 'triangle';
    tone.frequency.setValueAtTime(1_180, now);
    tone.frequency.exponentialRampToValueAtTime(620, now + 0.05);
    volume.gain.setValueAtTime(0.09, now);
    volume.gain.exponentialRampToValueAtTime(0.0001, now + 0.07);
    tone.connect(volume).connect(audio.destination);
    tone.start(now);
    tone.stop(now + 0.08);
  } catch {
    // A device without sound fires all the same.
  }
}

export function prefersStillness(): boolean {
  return matchMedia('(prefers-reduced-motion: reduce)').matches;
}
