import type { Step, StepEnd } from "@/core/runs/procedure";
import { LEFT_OPEN } from "../keys";

/**
 * Steps that stand in many procedures. Each takes what is otherwise here: its title, a caution, who may
 * do it. A step that opens something and the one that closes it share its key.
 */
type More = Partial<Step>;

/** Only with the power back: what is tried at the end is not tried at a machine left off. */
export const unlessOff = { unlessSeen: { step: "power-on", is: [LEFT_OPEN] } };
/** What is said just before a metal vent is looked at. */
export const HOT_VENT =
  "A metal vent is 150 to 200 °C (300 to 400 °F) while it runs: tap it first.";

/** Nobody holds paper before it: its way is read off once, and kept. */
export const WHICH_WAY: Step = {
  id: "which-way",
  kind: "inspect",
  title: "By which side does the air leave it?",
  detail: "Its arrow, or its cleaner side. Asked once, and kept for the next time.",
  when: "direction-unasked",
  records: { kind: "direction" },
  recordIsOptional: true,
};

const POWER: StepEnd = { key: "power", end: "switch-off", thing: "power", state: "off" };

export const powerOff = (more: More = {}): Step => ({
  id: "power-off",
  kind: "shut",
  title: "Switch the power off",
  detail: "At the unit’s own switch, and wait until its fan stands.",
  shows: "shut-off",
  opens: [POWER],
  ...more,
});

export const powerOn = (more: More = {}): Step => ({
  id: "power-on",
  kind: "restore",
  title: "Switch the power on",
  shows: "shut-off",
  closes: "power",
  ...more,
});

export const unplugged = (more: More = {}): Step =>
  powerOff({
    title: "Pull its plug",
    detail: "Dry hands, and the plug where nobody puts it back.",
    opens: [{ ...POWER, thing: "plug", state: "pulled" }],
    ...more,
  });

export const pluggedIn = (more: More = {}): Step => powerOn({ title: "Plug it in again", ...more });

/** Takes a cover off; the screen shows pictures of it at `coverOn`. */
export const coverOff = (thing: string, more: More = {}, end: Partial<StepEnd> = {}): Step => ({
  id: "cover-off",
  kind: "open",
  title: `Take the ${thing} off`,
  photo: "before",
  opens: [{ key: "cover", end: "panel-off", thing, state: "off", ...end }],
  ...more,
});

export const coverOn = (thing: string, more: More = {}): Step => ({
  id: "cover-on",
  kind: "restore",
  title: `Put the ${thing} back`,
  closes: "cover",
  shows: "photos",
  photo: "after",
  ...more,
});

/** A register’s or return’s grille: nothing behind it is live. */
export const grilleOff = (more: More = {}): Step =>
  coverOff("grille", { id: "grille-off", ...more }, { key: "grille", harmless: true });

export const grilleOn = (more: More = {}): Step =>
  coverOn("grille", { id: "grille-on", closes: "grille", ...more });

export const countedOut = (label: string, more: More = {}): Step => ({
  id: "count-out",
  kind: "inspect",
  title: `Count the ${label}`,
  records: { kind: "count", label: `${label} that came out` },
  ...more,
});

export const countedIn = (label: string, more: More = {}): Step => ({
  id: "count-in",
  kind: "inspect",
  title: `Count the ${label} again`,
  detail: "As many as came out.",
  records: { kind: "count", label: `${label} that went in`, same: "count-out" },
  recalls: ["count-out"],
  ...more,
});

/** Sets something wet to dry: never shortened. */
export const setToDry = (thing: string, dryMinutes: number, more: More = {}): Step => ({
  id: "set-to-dry",
  kind: "clean",
  title: "Set it to dry",
  detail: "In the shade, with air on both sides. Not on a heater.",
  opens: [{ key: "drying", end: "part-drying", thing, state: "drying", dryMinutes }],
  ...more,
});

export const isItDry = (thing: string, againMinutes: number, more: More = {}): Step => ({
  id: "is-it-dry",
  kind: "wait",
  title: "Is it dry all through?",
  closes: "drying",
  records: {
    kind: "choice",
    options: [
      { value: "dry", name: "Dry all through" },
      { value: "damp", name: "Still damp", suggests: `${againMinutes} minutes more, then feel.` },
    ],
  },
  repeats: {
    from: "is-it-dry",
    until: ["dry"],
    wait: { minutes: againMinutes, words: `${thing} dries on` },
  },
  ...more,
});

/** Calls for heat or cold, to watch it run; `setBack` ends it. */
export const setForTest = (title: string, more: More = {}): Step => ({
  id: "set-for-test",
  kind: "test",
  title,
  changesSetting: true,
  opens: [{ key: "setting", end: "setting-changed", thing: "thermostat", state: "changed" }],
  records: { kind: "setting", key: "mode", label: "Mode and setting" },
  recordIsOptional: true,
  detail: "Write down first how it stands.",
  ...more,
});

export const setBack = (more: More = {}): Step => ({
  id: "set-back",
  kind: "restore",
  title: "Set the thermostat back",
  closes: "setting",
  recalls: ["set-for-test"],
  ...more,
});

export const hearIt = (more: More = {}): Step => ({
  id: "hear-it",
  kind: "test",
  title: "Hear it run",
  records: { kind: "reading", reading: "noise" },
  recordIsOptional: true,
  ...more,
});

/** A look at the same place after the work as before it, with its own picture. */
export const looksNow = (more: More = {}): Step => ({
  id: "coil-after",
  kind: "inspect",
  title: "How does the coil look now?",
  photo: "after",
  records: { kind: "reading", reading: "coil" },
  ...more,
});

/** A step for a licensed person alone. */
export const licensed = (step: Step): Step => ({ ...step, who: "licensed" });

/** What an owner has to leave alone, where it was seen. */
export const callFor = (step: Pick<Step, "id" | "title" | "whenSeen"> & More): Step => ({
  kind: "caution",
  who: "licensed",
  ...step,
});
