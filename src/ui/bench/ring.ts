/** Strokes of the bell, and how far apart, s. */
const STROKES = 3
const APART_S = 0.45
const PITCH_HZ = 880

/** Rings, as a small bell does, and shakes a phone; silent where the browser lets nothing sound yet. */
export function ring(): void {
  navigator.vibrate?.([200, 150, 200])
  try {
    const audio = new AudioContext()
    for (let stroke = 0; stroke < STROKES; stroke++) {
      const at = audio.currentTime + stroke * APART_S
      const [tone, loudness] = [audio.createOscillator(), audio.createGain()]
      tone.frequency.value = PITCH_HZ
      loudness.gain.setValueAtTime(0.25, at)
      loudness.gain.exponentialRampToValueAtTime(0.001, at + APART_S)
      tone.connect(loudness).connect(audio.destination)
      tone.start(at)
      tone.stop(at + APART_S)
    }
    setTimeout(() => void audio.close(), 1000 * STROKES * APART_S + 500)
  } catch {
    // no sound here: the words say it
  }
}
