const STORE = 'field/alarm';

/** Whether the phone may sound and shake: off until the person turns it on, on this device only. */
export function alarmWanted(): boolean {
  try {
    return localStorage.getItem(STORE) === 'on';
  } catch {
    return false;
  }
}

export function wantAlarm(on: boolean): void {
  try {
    localStorage.setItem(STORE, on ? 'on' : 'off');
  } catch {
    // Storage is forbidden: it holds until the page is left.
  }
}

let audio: AudioContext | null = null;

/**
 * A short tone with a shake of the phone.
 * @param pitch in Hz: low for a stroke, high for the end of something
 */
export function signal(pitch = 880, seconds = 0.08): void {
  navigator.vibrate?.(Math.round(seconds * 1000));
  try {
    audio ??= new AudioContext();
    const tone = audio.createOscillator();
    const volume = audio.createGain();
    tone.frequency.value = pitch;
    volume.gain.value = 0.2;
    tone.connect(volume).connect(audio.destination);
    tone.start();
    tone.stop(audio.currentTime + seconds);
  } catch {
    // No sound on this device: the screen says it all the same.
  }
}
