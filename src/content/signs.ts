import type { Sign } from "@/core/noticed/sign";
import type { ReadingKind } from "@/core/readings/reading-kinds";

/** A sign in our words, and whether it is of a machine or may be of the house as a whole. */
export type SignWords = Sign & {
  words: string;
  /** Nothing can follow without the machine it is at. */
  needsUnit?: true;
  /** Which room it is decides what is looked at. */
  ofRoom?: true;
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
/** Nothing runs on before somebody saw to it. */
const STOPS = { isStop: true } as const;

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
      sign("room:cold", "A room stays cold", { ofRoom: true }),
      sign("room:warm", "A room stays warm", { ofRoom: true }),
      read("fog", "window-fog", "panes", "Windows fog"),
      read("fog", "window-fog", "streaming", "Water runs down the windows"),
      read("steam", "hood-steam", "not-drawn", "Cooking steam is not drawn in"),
    ],
  },
  {
    name: "It does not run as it should",
    signs: [
      sign("start:not", "It does not start"),
      sign("start:goes-out", "The burner starts and goes out again", AT_UNIT),
      sign("breaker:trips", "Its breaker trips", AT_UNIT),
      sign("dryer:two-turns", "The dryer takes two turns", AT_UNIT),
    ],
  },
  {
    name: "Water and ice",
    signs: [
      read("water", "water-at-unit", "fresh", "Water where none should be", AT_UNIT),
      read("ice", "coil", "iced", "Ice on an indoor coil or its pipe", AT_UNIT),
      read("frost", "frost", "hoar", "White frost on the outdoor unit", AT_UNIT),
      read("frost", "frost", "block", "A block of ice at the outdoor unit", AT_UNIT),
      sign("water-in:topped-up", "I topped the heating up", AT_UNIT),
      sign("tank:full", "The tank is full", AT_UNIT),
    ],
  },
  {
    name: "The weather",
    signs: [
      sign("weather:snow", "Snow lies"),
      sign("weather:leaves", "The leaves are down"),
      sign("weather:warm", "The first warm day"),
      sign("weather:frost", "The first frost"),
    ],
  },
  {
    name: "Lights and alarms",
    signs: [
      read("light", "indicator-light", "on", "The filter light came on", AT_UNIT),
      sign("alarm:chirps", "An alarm chirps now and then", AT_UNIT),
    ],
  },
  {
    name: "An emergency, over now",
    signs: [
      sign("alarm:sounds", "A CO alarm sounded", STOPS),
      sign("fire:smoke", "Smoke or fire", STOPS),
      sign("flood:runs", "Water ran where it should not", STOPS),
      sign("sparks:seen", "It sparked", { ...STOPS, ...AT_UNIT }),
      sign("shock:felt", "Somebody felt a shock", { ...STOPS, ...AT_UNIT }),
    ],
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
  frost: read("frost", "frost", "none", "It is free of ice", { isWell: true }),
  steam: read("steam", "hood-steam", "drawn-in", "Steam is drawn in again", { isWell: true }),
  start: sign("start:well", "It starts and runs again", { isWell: true }),
  breaker: sign("breaker:holds", "Its breaker holds", { isWell: true }),
  dryer: sign("dryer:well", "It dries in one turn again", { isWell: true }),
  alarm: sign("alarm:quiet", "The alarms are quiet", { isWell: true }),
  weather: sign("weather:past", "That weather is over", { isWell: true }),
  fire: sign("fire:out", "It is out, and was seen to", { isWell: true }),
  flood: sign("flood:dry", "It is dry again", { isWell: true }),
  sparks: sign("sparks:mended", "It was mended", { isWell: true }),
  shock: sign("shock:mended", "It was mended", { isWell: true }),
};

const ALL = new Map(
  [...SIGN_GROUPS.flatMap(({ signs }) => signs), ...Object.values(GONE)].map((each) => [
    each.id,
    each,
  ]),
);

/** A sign by its name; undefined for one of another version. */
export const signOf = (id: string): SignWords | undefined => ALL.get(id);
