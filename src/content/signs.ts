import type { Sign } from "@/core/noticed/sign";
import type { ReadingKind } from "@/core/readings/reading-kinds";

/** A sign in our words, and whether it is of a machine or may be of the house as a whole. */
export type SignWords = Sign & {
  words: string;
  /** Nothing can follow without the machine it is at. */
  needsUnit?: true;
};

/** Signs that go together, under one heading. */
export type SignGroup = { name: string; signs: readonly SignWords[] };

type Rest = Omit<SignWords, "id" | "words" | "reading">;
const read = (
  family: string,
  kind: ReadingKind,
  value: string,
  words: string,
  rest: Rest = {},
): SignWords => ({ id: `${family}:${value}`, reading: { kind, value }, words, ...rest });
const sign = (id: string, words: string, rest: Rest = {}): SignWords => ({ id, words, ...rest });

const AT_UNIT = { needsUnit: true } as const;

/** What a householder notices without measuring, as it is offered: the names are for ever. */
export const SIGN_GROUPS: readonly SignGroup[] = [
  {
    name: "A smell",
    signs: [
      read("smell", "smell", "gas", "It smells of gas"),
      read("smell", "smell", "burning", "Something smells burnt"),
      read("smell", "smell", "musty", "It smells musty"),
      read("smell", "smell", "foul", "It smells foul"),
      read("smell", "smell", "first-heat-dust", "Dust, at the first heat of the season"),
    ],
  },
  {
    name: "A noise",
    signs: [
      read("noise", "noise", "bang", "A bang when it starts", AT_UNIT),
      read("noise", "noise", "squeal", "It squeals", AT_UNIT),
      read("noise", "noise", "whistle", "It whistles", AT_UNIT),
      read("noise", "noise", "rattle", "It rattles", AT_UNIT),
    ],
  },
  {
    name: "Air and rooms",
    signs: [
      sign("air:weak", "The air is weak"),
      sign("room:cold", "A room stays cold"),
      sign("room:warm", "A room stays warm"),
      read("fog", "window-fog", "panes", "Windows fog"),
      read("fog", "window-fog", "streaming", "Water runs down the windows"),
    ],
  },
  {
    name: "Water and ice",
    signs: [
      read("water", "water-at-unit", "fresh", "Water where none should be", AT_UNIT),
      read("ice", "coil", "iced", "Ice on a coil or a pipe", AT_UNIT),
      sign("water-in:topped-up", "I topped the heating up", AT_UNIT),
      sign("tank:full", "The tank is full", AT_UNIT),
    ],
  },
  {
    name: "Lights",
    signs: [read("light", "indicator-light", "on", "The filter light came on", AT_UNIT)],
  },
  {
    name: "The people",
    signs: [
      sign("breathing:worse", "Sleep or breathing is worse"),
      sign("breathing:better", "Sleep or breathing is better", { isWell: true }),
    ],
  },
];

/** What is written down once a sign has gone again, by its family. */
export const GONE: Readonly<Record<string, SignWords>> = {
  smell: read("smell", "smell", "none", "The smell has gone", { isWell: true }),
  noise: read("noise", "noise", "quiet", "It is quiet again", { isWell: true }),
  fog: read("fog", "window-fog", "clear", "The windows stay clear", { isWell: true }),
  water: read("water", "water-at-unit", "dry", "It is dry again", { isWell: true }),
  ice: read("ice", "coil", "clean", "The ice has gone", { isWell: true }),
  light: read("light", "indicator-light", "off", "The light is off again", { isWell: true }),
  air: sign("air:well", "The air is strong again", { isWell: true }),
  room: sign("room:well", "The rooms are as they should be", { isWell: true }),
  "water-in": sign("water-in:well", "The pressure stays where it is", { isWell: true }),
  tank: sign("tank:emptied", "The tank is empty again", { isWell: true }),
  breathing: sign("breathing:well", "As it was before", { isWell: true }),
};

const ALL = new Map(
  [...SIGN_GROUPS.flatMap(({ signs }) => signs), ...Object.values(GONE)].map((each) => [
    each.id,
    each,
  ]),
);

/** A sign by its name; undefined for one of another version. */
export const signOf = (id: string): SignWords | undefined => ALL.get(id);
