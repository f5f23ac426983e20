/** Sound, vibration, a notice where the page is not looked at, and a screen that stays awake. What a device has not, it goes without. */

let context: AudioContext | null = null;

/** Asked for by a press, as browsers want it; later it may sound by itself. */
export function wakeSound(): void {
  try {
    context ??= new AudioContext();
    void context.resume();
  } catch {
    context = null;
  }
}

/** Two tones, the second higher; thrice where it matters. */
export function sound(important: boolean): void {
  if (context === null) return;
  const start = context.currentTime + 0.02;
  for (let i = 0; i < (important ? 3 : 1); i++) {
    tone(context, 660, start + i * 0.7, 0.22);
    tone(context, 880, start + i * 0.7 + 0.26, 0.3);
  }
}

function tone(audio: AudioContext, hertz: number, at: number, seconds: number): void {
  const oscillator = audio.createOscillator();
  const volume = audio.createGain();
  oscillator.type = 'triangle';
  oscillator.frequency.value = hertz;
  volume.gain.setValueAtTime(0.0001, at);
  volume.gain.exponentialRampToValueAtTime(0.6, at + 0.02);
  volume.gain.exponentialRampToValueAtTime(0.0001, at + seconds);
  oscillator.connect(volume).connect(audio.destination);
  oscillator.start(at);
  oscillator.stop(at + seconds);
}

export function shake(important: boolean): void {
  // A page that nobody has touched may not.
  const touched = (navigator as { userActivation?: { hasBeenActive: boolean } }).userActivation?.hasBeenActive ?? true;
  if (touched && typeof navigator.vibrate === 'function') navigator.vibrate(important ? [400, 150, 400, 150, 400] : [200]);
}

/** Whether notices may be shown; asked for once, as the first alarm is set. */
export async function askForNotices(): Promise<boolean> {
  if (typeof Notification === 'undefined') return false;
  if (Notification.permission === 'default') return (await Notification.requestPermission()) === 'granted';
  return Notification.permission === 'granted';
}

export const maySendNotices = (): boolean => typeof Notification !== 'undefined' && Notification.permission === 'granted';

/** On the device’s own list, where the page is not the one that is looked at. */
export async function notice(id: string, title: string, body: string): Promise<void> {
  if (!maySendNotices() || document.visibilityState === 'visible') return;
  const there = await navigator.serviceWorker?.getRegistration().catch(() => undefined);
  await there?.showNotification(title, { body, tag: id, icon: '/icon-192.png' });
}

/** Keeps the screen on while it is looked at; gives what lets it go again. */
export function stayAwake(): () => void {
  let lock: { release: () => Promise<void> } | null = null;
  let over = false;
  const ask = () => {
    if (over || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
    navigator.wakeLock.request('screen').then(
      (given) => {
        if (over) void given.release();
        else lock = given;
      },
      () => undefined,
    );
  };
  ask();
  document.addEventListener('visibilitychange', ask);
  return () => {
    over = true;
    document.removeEventListener('visibilitychange', ask);
    void lock?.release().catch(() => undefined);
  };
}
