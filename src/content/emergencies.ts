import type { ContactRole, Main } from "@/core/inventory/inventory";

export const EMERGENCY_IDS = ["gas", "co", "fire", "water", "sparks", "shock"] as const;
export type EmergencyId = (typeof EMERGENCY_IDS)[number];

export type Emergency = {
  id: EmergencyId;
  /** As one says it, on the page that lists them. */
  line: string;
  title: string;
  /** What to do, in three short sentences. */
  steps: readonly [string, string, string];
  /** Whom to call, the first who is written down. */
  call: readonly [ContactRole, ...ContactRole[]];
  /** What that number is called where nobody wrote one down. */
  yours: string;
  /** The main of the house that matters, and when it is shut. */
  shutOff: { main: Main; when: string };
  /** What is noted afterwards, by its sign. */
  sign: string;
  /** What looks like it and is not. */
  unlike?: { words: string; sign: string };
};

/** What cannot wait for a form: read in seconds, in the dark, with cold hands. Local rules come first. */
export const EMERGENCIES: readonly Emergency[] = [
  {
    id: "gas",
    line: "It smells of gas",
    title: "Gas: everybody out, now",
    steps: [
      "Touch no switch, no plug, no phone in here; no flame.",
      "Take everybody along, leave the doors open behind you.",
      "Call from outside. Go back in only when they say so.",
    ],
    call: ["gas", "emergency"],
    yours: "your gas emergency line",
    shutOff: { main: "gas", when: "Only if you pass it on your way out." },
    sign: "smell:gas",
  },
  {
    id: "co",
    line: "A CO alarm sounds",
    title: "CO alarm: everybody out, now",
    steps: [
      "Wake everybody and go outside, into fresh air. Count heads.",
      "Call from outside. A headache or dizziness: say so.",
      "Go back in only when they say so; every burner is looked at before it runs again.",
    ],
    call: ["emergency", "gas"],
    yours: "your emergency number",
    shutOff: { main: "gas", when: "Only if you pass it on your way out." },
    sign: "alarm:sounds",
    unlike: {
      words:
        "One short chirp every minute is no alarm: its battery, or its end. An alarm sounds in loud groups without a pause. In doubt, out.",
      sign: "alarm:chirps",
    },
  },
  {
    id: "fire",
    line: "Smoke or fire",
    title: "Fire: everybody out, now",
    steps: ["Everybody out, doors shut behind you.", "Call from outside.", "Go back for nothing."],
    call: ["emergency"],
    yours: "your emergency number",
    shutOff: { main: "gas", when: "Only if you pass it on your way out." },
    sign: "fire:smoke",
  },
  {
    id: "water",
    line: "Water is running out",
    title: "Water: shut the main valve",
    steps: [
      "Shut the main water valve.",
      "Power off where water comes near wires; reach through no water.",
      "Then lead it away, and call.",
    ],
    call: ["technician", "landlord", "other"],
    yours: "your technician",
    shutOff: { main: "water", when: "First of all." },
    sign: "flood:runs",
  },
  {
    id: "sparks",
    line: "It sparks, or smells burnt",
    title: "Off at the breaker, and leave it off",
    steps: [
      "Its breaker off; do not touch the machine.",
      "Smoke or flames: that is a fire. Out, and call.",
      "It stays off until a licensed person has looked.",
    ],
    call: ["technician", "emergency"],
    yours: "your technician",
    shutOff: { main: "power", when: "Its own breaker, or the main one." },
    sign: "sparks:seen",
  },
  {
    id: "shock",
    line: "Somebody got a shock",
    title: "Power off before you touch them",
    steps: [
      "Main breaker off first: who holds on to it, holds you too.",
      "Call. No breath: press on the chest until they come.",
      "Even if all seems well: to a doctor today.",
    ],
    call: ["emergency"],
    yours: "your emergency number",
    shutOff: { main: "power", when: "Before anybody is touched." },
    sign: "shock:felt",
  },
];

export const emergency = (id: string): Emergency | undefined =>
  EMERGENCIES.find((each) => each.id === id);

/** Words by which one looks for it in a hurry. */
export const EMERGENCY_WORDS: Readonly<Record<EmergencyId, readonly string[]>> = {
  gas: ["gas", "smell", "leak"],
  co: ["carbon", "monoxide", "co", "alarm", "sounds", "beeps", "beep", "siren", "chirps", "chirp"],
  fire: ["fire", "smoke", "flames", "burning", "alarm"],
  water: ["water", "flood", "leak", "burst", "running"],
  sparks: ["sparks", "spark", "burnt", "burning", "smell", "scorched"],
  shock: ["shock", "electric", "electrocuted"],
};
