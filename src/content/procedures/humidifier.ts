import type { Procedure } from "@/core/runs/procedure";
import { coverOff, coverOn, pluggedIn, unplugged } from "./common";

/** A whole-house humidifier, opened for the winter and laid by for the summer. */
const DAMPER = {
  kind: "setting" as const,
  key: "damper",
  label: "Damper",
  options: [
    { value: "winter", name: "winter" },
    { value: "summer", name: "summer" },
  ],
};

export const humidifierWinter: Procedure = {
  id: "humidifier-winter",
  title: "Open the humidifier for winter",
  verb: "Open",
  who: "owner",
  handsOnMinutes: 15,
  waitingMinutes: 0,
  steps: [
    unplugged({ detail: "Or its switch to off." }),
    coverOff("cover", { plate: "unit" }),
    {
      id: "panel",
      kind: "inspect",
      title: "How does the water panel look?",
      detail: "Bend it a little: a good one gives.",
      photo: "before",
      records: {
        kind: "choice",
        options: [
          { value: "good", name: "Open and supple" },
          {
            value: "scaled",
            name: "White scale in its openings",
            suggests: "A new panel goes in.",
          },
          { value: "brittle", name: "Brittle, or torn", suggests: "A new panel goes in." },
        ],
      },
    },
    {
      id: "panel-out",
      kind: "remove",
      title: "Draw the panel out, with its frame",
      opens: [{ key: "panel", end: "part-out", thing: "water panel", state: "out" }],
      tools: ["a tray below it"],
    },
    {
      id: "tray",
      kind: "clean",
      title: "Wipe scale out of tray and water spreader",
      detail: "Vinegar on a cloth where it sticks; its little holes open.",
      consumables: ["household vinegar"],
      tools: ["a cloth"],
    },
    {
      id: "panel-in",
      kind: "fit",
      title: "Put the panel back, or the new one in",
      detail: "The painted mark up, where it has one.",
      closes: "panel",
      recalls: ["panel"],
      consumables: ["a new water panel, where the old one is scaled"],
    },
    coverOn("cover"),
    {
      id: "damper",
      kind: "restore",
      title: "Turn the damper to winter",
      detail: "Its handle on the duct.",
      wakes: { key: "damper", end: "setting-changed", thing: "damper", state: "shut" },
      records: DAMPER,
    },
    {
      id: "water-on",
      kind: "restore",
      title: "Open the water",
      detail: "Slowly, and look at its joints.",
      shows: "shut-off",
      wakes: { key: "water", end: "valve-shut", thing: "water", state: "shut" },
    },
    pluggedIn(),
    {
      id: "humidistat",
      kind: "restore",
      title: "Set the humidistat by how cold it gets",
      detail:
        "35 to 40 % suits most houses. Below −10 °C (14 °F) outside go to 30, in hard frost to 20.",
      why: "What fogs the panes in the morning also wets the walls.",
      records: { kind: "setting", key: "humidistat", label: "Humidistat" },
      wakes: { key: "humidistat", end: "setting-changed", thing: "humidistat", state: "off" },
      renews: true,
    },
    {
      id: "runs",
      kind: "test",
      title: "See water trickle over the panel",
      detail: "When heat is called for and the humidistat asks. A thread, not a stream.",
      recordIsOptional: true,
      records: {
        kind: "choice",
        options: [
          { value: "trickles", name: "It trickles, and drains away" },
          { value: "dry", name: "Nothing comes", suggests: "The little strainer at its valve." },
          { value: "runs-over", name: "It runs over", suggests: "Its drain: brush and flush it." },
        ],
      },
    },
  ],
};

export const humidifierSummer: Procedure = {
  id: "humidifier-summer",
  title: "Shut the humidifier for summer",
  verb: "Shut",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  steps: [
    {
      id: "humidistat",
      kind: "shut",
      title: "Turn the humidistat off",
      detail: "Write down first how it stood: next winter it goes there again.",
      changesSetting: true,
      records: { kind: "setting", key: "humidistat", label: "Humidistat" },
      opens: [
        {
          key: "humidistat",
          end: "setting-changed",
          thing: "humidistat",
          state: "off",
          parks: "until winter",
        },
      ],
    },
    {
      id: "water-off",
      kind: "shut",
      title: "Shut its water",
      shows: "shut-off",
      opens: [
        { key: "water", end: "valve-shut", thing: "water", state: "shut", parks: "until winter" },
      ],
    },
    {
      id: "damper",
      kind: "shut",
      title: "Turn the damper to summer",
      why: "Open, it leads cooled air round the coil all summer.",
      changesSetting: true,
      records: DAMPER,
      opens: [
        {
          key: "damper",
          end: "setting-changed",
          thing: "damper",
          state: "shut",
          parks: "until winter",
        },
      ],
    },
    {
      id: "empty",
      kind: "clean",
      title: "Let the tray run empty and wipe it",
      detail: "What stands there all summer smells once it heats again.",
      tools: ["a cloth"],
      renews: true,
    },
  ],
};

export const changeWaterPanel: Procedure = {
  id: "change-water-panel",
  title: "Change the water panel",
  verb: "Change",
  who: "owner",
  handsOnMinutes: 15,
  waitingMinutes: 0,
  steps: [
    unplugged({ detail: "Or its switch to off." }),
    {
      id: "water-off",
      kind: "shut",
      title: "Shut its water",
      shows: "shut-off",
      opens: [{ key: "water", end: "valve-shut", thing: "water", state: "shut" }],
    },
    coverOff("cover"),
    {
      id: "panel-out",
      kind: "remove",
      title: "Draw the panel out, with its frame",
      detail: "Read the number on the frame or inside the cover.",
      plate: "part",
      photo: "before",
      opens: [{ key: "panel", end: "part-out", thing: "water panel", state: "out" }],
      tools: ["a tray below it"],
    },
    {
      id: "powder",
      kind: "inspect",
      title: "What is on it, and on the tray?",
      records: {
        kind: "choice",
        options: [
          { value: "scale", name: "Hard scale where the water ran" },
          {
            value: "powder",
            name: "White powder, and on the furniture too",
            suggests: "Hard water: more of it has to drain away, or it wants a softer supply.",
          },
          {
            value: "slime",
            name: "Slime, or it smells",
            suggests: "Wipe everything with vinegar, and set it drier.",
          },
        ],
      },
    },
    {
      id: "wipe",
      kind: "clean",
      title: "Wipe scale out of tray and spreader",
      consumables: ["household vinegar"],
      tools: ["a cloth"],
    },
    {
      id: "panel-in",
      kind: "fit",
      title: "Set the new panel into the frame and put it in",
      detail: "Its mark up, its open side to the air.",
      shows: "photos",
      closes: "panel",
      consumables: ["a new water panel"],
      renews: true,
    },
    coverOn("cover"),
    {
      id: "water-on",
      kind: "restore",
      title: "Open the water, look at the joints",
      closes: "water",
      shows: "shut-off",
    },
    pluggedIn(),
  ],
};
