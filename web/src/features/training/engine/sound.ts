/** Sound and speech: tones set on the audio clock ahead of time, so that a hidden page keeps time. */

export interface Mark {
  /** Seconds from now. */
  at: number;
  /** Higher for the way down, lower for the way up, double for an end. */
  tone: "soft" | "down" | "up" | "end";
  say?: string;
}

const PITCH: Record<Mark["tone"], number> = { soft: 660, down: 440, up: 880, end: 1180 };
const SOUND = "invelo.sound";
const SPEECH = "invelo.speech";

export const isOn = (what: "sound" | "speech") =>
  localStorage.getItem(what === "sound" ? SOUND : SPEECH) === "on";

export function turn(what: "sound" | "speech", on: boolean) {
  localStorage.setItem(what === "sound" ? SOUND : SPEECH, on ? "on" : "off");
}

let context: AudioContext | null = null;
let playing: OscillatorNode[] = [];
let speaking: ReturnType<typeof setTimeout>[] = [];

/** Forget what was to be heard. */
export function hush() {
  for (const node of playing) {
    try {
      node.stop();
    } catch {
      // it was over already
    }
  }
  playing = [];
  for (const timer of speaking) clearTimeout(timer);
  speaking = [];
  if ("speechSynthesis" in globalThis) speechSynthesis.cancel();
}

/** Let these be heard in place of what was to be. */
export function schedule(marks: Mark[]) {
  hush();
  if (isOn("sound")) {
    context ??= new AudioContext();
    void context.resume();
    for (const mark of marks) playing.push(tone(context, mark));
  }
  if (isOn("speech") && "speechSynthesis" in globalThis)
    for (const { at, say } of marks)
      if (say)
        speaking.push(
          setTimeout(() => speechSynthesis.speak(new SpeechSynthesisUtterance(say)), at * 1000),
        );
}

function tone(audio: AudioContext, { at, tone }: Mark): OscillatorNode {
  const begins = audio.currentTime + Math.max(0, at);
  const node = audio.createOscillator();
  const loud = audio.createGain();
  node.frequency.value = PITCH[tone];
  loud.gain.setValueAtTime(0.0001, begins);
  loud.gain.exponentialRampToValueAtTime(0.25, begins + 0.01);
  loud.gain.exponentialRampToValueAtTime(0.0001, begins + (tone === "end" ? 0.4 : 0.12));
  node.connect(loud).connect(audio.destination);
  node.start(begins);
  node.stop(begins + 0.5);
  return node;
}
