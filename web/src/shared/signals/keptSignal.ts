/** A short tone of our own making, so that nobody has to look up from the engine to know that a figure is kept. */
let audio: AudioContext | undefined

export function keptSignal(sound: boolean, buzz: boolean): void {
  if (buzz) navigator.vibrate?.(40)
  if (!sound || !('AudioContext' in window)) return
  audio ??= new AudioContext()
  const now = audio.currentTime
  const tone = audio.createOscillator()
  const level = audio.createGain()
  tone.frequency.setValueAtTime(880, now)
  tone.frequency.setValueAtTime(1175, now + 0.07)
  level.gain.setValueAtTime(0.12, now)
  level.gain.exponentialRampToValueAtTime(0.001, now + 0.18)
  tone.connect(level).connect(audio.destination)
  tone.start(now)
  tone.stop(now + 0.2)
}
