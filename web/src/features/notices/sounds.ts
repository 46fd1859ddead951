export type Sound = 'none' | 'drop' | 'bell' | 'wood';

/** Each sound as tones: pitch in hertz, beginning and length in seconds, and the shape of the wave. */
export const TONES: Record<Sound, { pitch: number; at: number; long: number; wave: OscillatorType }[]> = {
  none: [],
  drop: [
    { pitch: 520, at: 0, long: 0.09, wave: 'sine' },
    { pitch: 880, at: 0.07, long: 0.16, wave: 'sine' },
  ],
  bell: [
    { pitch: 660, at: 0, long: 0.9, wave: 'sine' },
    { pitch: 1320, at: 0, long: 0.6, wave: 'sine' },
  ],
  wood: [
    { pitch: 180, at: 0, long: 0.06, wave: 'triangle' },
    { pitch: 180, at: 0.13, long: 0.06, wave: 'triangle' },
  ],
};

const LOUD = 0.2;

/** Made by the browser, so that no file is fetched; silent where it may not sound. */
export function playSound(sound: Sound): void {
  if (sound === 'none' || typeof AudioContext === 'undefined') {
    return;
  }
  const context = new AudioContext();
  for (const { pitch, at, long, wave } of TONES[sound]) {
    const tone = context.createOscillator();
    const volume = context.createGain();
    tone.type = wave;
    tone.frequency.value = pitch;
    volume.gain.setValueAtTime(LOUD, context.currentTime + at);
    volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + at + long);
    tone.connect(volume).connect(context.destination);
    tone.start(context.currentTime + at);
    tone.stop(context.currentTime + at + long);
  }
  const whole = Math.max(...TONES[sound].map(({ at, long }) => at + long));
  setTimeout(() => void context.close(), whole * 1000 + 200);
}
