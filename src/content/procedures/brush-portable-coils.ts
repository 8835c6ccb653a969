import type { Procedure } from "@/core/runs/procedure";
import { looksNow } from "./common";

export const brushPortableCoils = {
  id: "brush-portable-coils",
  title: "Brush and wipe the coils",
  verb: "Brush",
  who: "owner",
  handsOnMinutes: 25,
  waitingMinutes: 0,
  steps: [
    {
      id: "unplug",
      kind: "shut",
      title: "Pull its plug",
      detail:
        "Or see that it is pulled, where it was put away. It stands indoors: no hose and no foam come near it, whatever the dirt.",
      shows: "shut-off",
      opens: [{ key: "power", end: "switch-off", thing: "plug", state: "pulled" }],
    },
    {
      id: "cover-top",
      kind: "prepare",
      title: "Lay a cloth over its top and buttons",
      tools: ["a cloth to cover it"],
    },
    {
      id: "filter-out",
      kind: "remove",
      title: "Draw the mesh out by its tab",
      opens: [{ key: "mesh", end: "part-out", thing: "mesh", state: "out" }],
    },
    {
      id: "coil-before",
      kind: "inspect",
      title: "How do the fins look?",
      photo: "before",
      records: { kind: "reading", reading: "coil" },
      tools: ["a torch"],
    },
    {
      id: "oil",
      kind: "caution",
      title: "Have the oily place looked at",
      detail: "Oil means refrigerant gets out. It is put back together and left off.",
      who: "licensed",
      whenSeen: { step: "coil-before", is: ["oily"] },
    },
    {
      id: "brush",
      kind: "clean",
      title: "Brush the fins up and down",
      detail: "A soft brush, along the fins and never across; the vacuum beside it.",
      cleans: { what: "coil", how: "dry" },
      tools: ["a soft brush", "a vacuum"],
    },
    {
      id: "wipe-ribs",
      kind: "clean",
      title: "Wipe ribs and case with a damp cloth",
      detail: "Weak soap on the cloth, wrung out; nothing that drips.",
      tools: ["a damp cloth"],
      consumables: ["mild soap"],
    },
    looksNow({ title: "How do the fins look now?" }),
    {
      id: "mesh-meanwhile",
      kind: "clean",
      title: "Vacuum the mesh too, while it is out",
      tools: ["a vacuum"],
      records: {
        kind: "choice",
        options: [
          { value: "done", name: "Vacuumed, it is clean", does: ["filter:renew"] },
          { value: "later", name: "Not now" },
        ],
      },
    },
    {
      id: "filter-in",
      kind: "fit",
      title: "Mesh back between its guides",
      detail: "Dry, until its tab clicks.",
      closes: "mesh",
      renews: true,
    },
    {
      id: "plug-in",
      kind: "restore",
      title: "Plug it in again",
      shows: "shut-off",
      when: "in-use",
      closes: "power",
    },
    {
      id: "stays-out",
      kind: "restore",
      title: "Leave its plug pulled: it is put away",
      detail: "Its waking in spring plugs it in.",
      when: "stored",
      closes: "power",
    },
  ],
} satisfies Procedure;
