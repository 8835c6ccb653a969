/** What one filter comes to, as the calculator says it. */
export type ComparedRow = {
  changesPerYear: number;
  paybackYears: number | null;
};

/** “2 changes”, “a change every 3 years”. */
function changesWords(perYear: number): string {
  if (perYear === 0) return "no change";
  const whole = Math.round(perYear);
  if (whole >= 1) return `${whole} ${whole === 1 ? "change" : "changes"} a year`;
  return `a change every ${Math.round(1 / perYear)} years`;
}

const MONTHS_PER_YEAR = 12;

/** “3 years”, “5 months”. */
function yearsWords(years: number): string {
  if (years >= 1.5) return `${Math.round(years)} years`;
  const months = Math.max(1, Math.round(years * MONTHS_PER_YEAR));
  return months === MONTHS_PER_YEAR ? "a year" : `${months} ${months === 1 ? "month" : "months"}`;
}

/**
 * A filter beside the one that is chosen: “2 changes a year instead of 7, pays for its frame in 3 years”.
 *
 * @param first the chosen one; null for that itself
 */
export function choiceWords(
  row: ComparedRow,
  first: ComparedRow | null,
  {
    isPriced,
    hasFrame,
    costWords,
  }: {
    /** Both prices are known: what it saves can be said. */
    isPriced: boolean;
    hasFrame: boolean;
    costWords: string | null;
  },
): string {
  const changes = changesWords(row.changesPerYear);
  const isSame = first && Math.round(first.changesPerYear) === Math.round(row.changesPerYear);
  const instead =
    first && !isSame && first.changesPerYear >= 0.5
      ? ` instead of ${Math.round(first.changesPerYear)}`
      : "";
  const cost = costWords === null ? "" : `, ${costWords} a year`;
  const pays =
    !first || !isPriced
      ? ""
      : row.paybackYears === null
        ? ", saves no money"
        : hasFrame
          ? `, pays for its frame in ${yearsWords(row.paybackYears)}`
          : ", cheaper from the first day";
  return `${changes.charAt(0).toUpperCase()}${changes.slice(1)}${instead}${cost}${pays}.`;
}
