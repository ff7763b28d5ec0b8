/** Three rising tones. Where the browser gives no sound yet, the words on the page have to do. */
export function ring(): void {
  try {
    const context = new AudioContext();
    [660, 880, 1100].forEach((hertz, index) => {
      const at = context.currentTime + index * 0.22;
      const tone = context.createOscillator();
      const volume = context.createGain();
      tone.frequency.value = hertz;
      volume.gain.setValueAtTime(0.2, at);
      volume.gain.exponentialRampToValueAtTime(0.001, at + 0.2);
      tone.connect(volume).connect(context.destination);
      tone.start(at);
      tone.stop(at + 0.2);
    });
    setTimeout(() => void context.close(), 1500);
  } catch {
    // No audio on this machine.
  }
}
