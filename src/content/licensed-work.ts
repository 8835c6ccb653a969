/** Words by which work is known that only licensed people do, whoever writes the step. */
export const LICENSED_WORK: readonly RegExp[] = [
  /refrigerant|recharge|\bcharge (it|the)/i,
  /\bgas (train|pipe|line|valve)\b|\borifice|\bregulator\b/i,
  /\bcapacitor/i,
  /\b(mains|live) (wire|wiring|cable)|\brewire/i,
  /\bflue\b|\bvent pipe\b|\bheat exchanger/i,
  /\bcompressor\b|\bcontactor\b/i,
];
