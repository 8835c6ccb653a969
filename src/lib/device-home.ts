import { CURRENCIES } from "@/core/quantities/money";
import type { UnitSystem } from "@/core/quantities/length";

type Currency = (typeof CURRENCIES)[number];

/** Where people pay in something else than euros, of what can be paid in here. */
const CURRENCY_OF: Readonly<Record<string, Currency>> = {
  US: "USD",
  GB: "GBP",
  CA: "CAD",
  AU: "AUD",
  NZ: "NZD",
  CH: "CHF",
  LI: "CHF",
  SE: "SEK",
  JP: "JPY",
};
/** Where air is measured in °F and filters in inches. */
const INCHES = ["US", "LR", "MM"];

/**
 * What a home’s form begins with, by the languages that a device asks for: its units and its money. The first
 * language that names a country decides; without one it is °C and euros.
 *
 * @param accepted the request’s `accept-language`
 */
export function deviceHome(accepted: string | null): {
  unitSystem: UnitSystem;
  currency: Currency;
} {
  const country = (accepted ?? "")
    .split(",")
    .map((each) => /^\s*[a-z]{2,3}(?:-[a-z]{4})?-([a-z]{2})\b/i.exec(each)?.[1]?.toUpperCase())
    .find((each) => each !== undefined);
  return {
    unitSystem: country && INCHES.includes(country) ? "us" : "metric",
    currency: (country && CURRENCY_OF[country]) || "EUR",
  };
}
