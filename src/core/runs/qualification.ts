/** Who may do a job: anyone at home, someone sure of their hands, or only a licensed person. */
export const DOERS = ["owner", "confident", "licensed"] as const;
export type Doer = (typeof DOERS)[number];
