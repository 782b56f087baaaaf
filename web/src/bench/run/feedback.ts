let context: AudioContext | null = null;

/** A short tone and a buzz: heard and felt with gloves on. Does nothing where the device has neither. */
export function signal(kind: 'start' | 'stop' | 'aim'): void {
  const [hertz, ms] = { start: [880, 120], stop: [440, 220], aim: [1320, 90] }[kind] as [number, number];
  navigator.vibrate?.(kind === 'stop' ? [80, 60, 80] : 60);
  try {
    context ??= new AudioContext();
    const [tone, volume] = [context.createOscillator(), context.createGain()];
    tone.frequency.value = hertz;
    volume.gain.value = 0.12;
    tone.connect(volume).connect(context.destination);
    tone.start();
    tone.stop(context.currentTime + ms / 1000);
  } catch {
    // No sound on this device: the figures are on the screen.
  }
}
