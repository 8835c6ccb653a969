/** Where a press on a number leads: its digits, and the plus of another country. */
export const telOf = (phone: string): string => `tel:${phone.replace(/[^\d+]/g, "")}`;
