/** What a home may have to be told once, with the words. */
export const NOTICES = {
  "dates-anew": {
    title: "Dates are worked out anew.",
    lines: [
      "A look now tells the filter apart from its place, a clean look says “at most a fifth full”, and what is not known of the weather to come makes the days between wider: they hold in eight of ten.",
      "Where the air of a system is written down, the size of its filters counts. Coils have days of their own. Each day says why, in parts that add up.",
      "Every look, reading and entry is as it was. A day may have moved for that, without anything having happened.",
    ],
  },
} as const;

export type NoticeKind = keyof typeof NOTICES;
export const NOTICE_KINDS = Object.keys(NOTICES) as NoticeKind[];
