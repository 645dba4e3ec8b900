import { tonesOf, type Tone } from '@/answers/fan';

/** What the microphone hears of a fan. */

/** As long as the browser's own analyser keeps, some 0.7 s. */
const SAMPLES = 32_768;
const LISTENS_MS = 1500;

/**
 * Listens for a moment, keeps nothing, and lets the microphone go.
 * @throws Error in words where there is none, or it may not be heard
 */
export async function listenForHum(): Promise<readonly Tone[]> {
  if (!('mediaDevices' in navigator)) throw new Error('this browser gives no microphone here');
  let stream: MediaStream;
  try {
    stream = await navigator.mediaDevices.getUserMedia({
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
    });
  } catch {
    throw new Error('the microphone may not be heard, or there is none');
  }
  const context = new AudioContext();
  try {
    const analyser = context.createAnalyser();
    analyser.fftSize = SAMPLES;
    context.createMediaStreamSource(stream).connect(analyser);
    await context.resume();
    await new Promise((resolve) => setTimeout(resolve, LISTENS_MS));
    const samples = new Float32Array(SAMPLES);
    analyser.getFloatTimeDomainData(samples);
    return tonesOf(samples, context.sampleRate);
  } finally {
    stream.getTracks().forEach((track) => track.stop());
    await context.close();
  }
}
