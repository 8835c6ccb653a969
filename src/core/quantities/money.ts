/** An amount in a currency's smallest unit, whole. */
export type Money = { minor: number; currency: string };

export const CURRENCIES = ["EUR", "USD", "GBP", "CAD", "AUD", "NZD", "CHF", "SEK", "JPY"] as const;

const digitsOf = (currency: string) =>
  new Intl.NumberFormat("en", { style: "currency", currency }).resolvedOptions()
    .maximumFractionDigits ?? 2;

/**
 * “18.50” or “18,50” in minor units; null when it is not an amount of this currency.
 *
 * @example readMoney("12,50", "EUR") // 1250
 */
export function readMoney(text: string, currency: string): number | null {
  const match = /^(\d{1,7})(?:[.,](\d+))?$/.exec(text.trim());
  const digits = digitsOf(currency);
  const fraction = match?.[2] ?? "";
  if (!match || fraction.length > digits) return null;
  return Number(match[1]) * 10 ** digits + Number(fraction.padEnd(digits, "0") || "0");
}

/** @example moneyWords({ minor: 1250, currency: "EUR" }) // "€12.50" */
export const moneyWords = ({ minor, currency }: Money): string =>
  new Intl.NumberFormat("en", { style: "currency", currency }).format(
    minor / 10 ** digitsOf(currency),
  );

/**
 * In whole units: for what is worked out, where cents would say more than is known.
 *
 * @example moneyAbout({ minor: 48961, currency: "EUR" }) // "€490"
 */
export const moneyAbout = ({ minor, currency }: Money): string =>
  new Intl.NumberFormat("en", { style: "currency", currency, maximumFractionDigits: 0 }).format(
    minor / 10 ** digitsOf(currency),
  );

/**
 * As it is typed again into a field.
 *
 * @example moneyFigure(1250, "EUR") // "12.50"
 */
export const moneyFigure = (minor: number, currency: string): string =>
  (minor / 10 ** digitsOf(currency)).toFixed(digitsOf(currency));
