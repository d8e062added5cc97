import { useEffect, useState } from 'react';

/** How far ahead clicks are given to the sound card, s: a busy page must not bend the beat. */
const AHEAD_S = 0.2;
const LOOK_EVERY_MS = 60;

/** Clicks at a rate a minute while it is set; counts the beats. */
export function useMetronome(perMinute: number | null): number {
  const [beats, setBeats] = useState(0);
  useEffect(() => {
    setBeats(0);
    if (perMinute === null) return;
    const audio = new AudioContext();
    const interval = 60 / perMinute;
    let next = audio.currentTime + 0.1;
    const timer = setInterval(() => {
      while (next < audio.currentTime + AHEAD_S) {
        const tone = audio.createOscillator();
        const volume = audio.createGain();
        tone.frequency.value = 880;
        volume.gain.setValueAtTime(0.25, next);
        volume.gain.exponentialRampToValueAtTime(0.001, next + 0.05);
        tone.connect(volume).connect(audio.destination);
        tone.start(next);
        tone.stop(next + 0.06);
        next += interval;
        setBeats((now) => now + 1);
      }
    }, LOOK_EVERY_MS);
    return () => {
      clearInterval(timer);
      void audio.close();
    };
  }, [perMinute]);
  return beats;
}
