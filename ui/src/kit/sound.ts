/** A tone, for ears while the eyes are elsewhere. Silent where the browser has no sound. */
export function tone(hertz: number, seconds: number, delay = 0): void {
  const context = shared();
  if (!context) return;
  const oscillator = context.createOscillator();
  const volume = context.createGain();
  const from = context.currentTime + delay;
  oscillator.frequency.value = hertz;
  volume.gain.setValueAtTime(0.25, from);
  volume.gain.exponentialRampToValueAtTime(0.001, from + seconds);
  oscillator.connect(volume).connect(context.destination);
  oscillator.start(from);
  oscillator.stop(from + seconds);
}

/** Three tones: a time is up. */
export function timeIsUp(): void {
  [0, 0.4, 0.8].forEach((delay) => tone(660, 0.3, delay));
}

/** The browser's own voice; what was being said gives way. */
export function speak(text: string): void {
  if (!("speechSynthesis" in window)) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
}

let context: AudioContext | undefined;

function shared(): AudioContext | undefined {
  if (typeof AudioContext === "undefined") return undefined;
  context ??= new AudioContext();
  return context;
}
