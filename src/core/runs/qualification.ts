/** Who may do a job: anyone at home, someone sure of their hands, or only a licensed person. */
export const QUALIFICATIONS = ["owner", "confident", "licensed"] as const;
export type Qualification = (typeof QUALIFICATIONS)[number];
