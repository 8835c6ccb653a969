const LOOPBACK = ["localhost", "127.0.0.1", "[::1]"];
/** Bound to every address, a server knows none of its own by that. */
const ANY_ADDRESS = ["0.0.0.0", "::", "[::]"];

/** What somebody hears who asks by a name that is not known. */
export const UNKNOWN_HOST = {
  status: 403,
  code: "unknown-host",
  message: "This name is not known here. Add it to AMBER_HOSTS if it is yours.",
} as const;

/** Where an address leads that cannot be read: nothing is there. */
const NOWHERE = "/not-an-address";

/**
 * The address that is asked for, or one where nothing is where it cannot be read: a part of it that is no UTF-8
 * would else be a mistake of ours.
 *
 * @example readableUrl("/homes/%ff") // "/not-an-address"
 */
export function readableUrl(url: string): string {
  try {
    decodeURIComponent(url.split("?")[0]!);
    return url;
  } catch {
    return NOWHERE;
  }
}

/** A host without its port, as names are compared. */
function nameOf(host: string): string {
  const plain = host.trim().toLowerCase();
  return plain.startsWith("[") ? plain.replace(/\]:\d+$/, "]") : plain.replace(/:\d+$/, "");
}

/**
 * Whether a name means the very machine that asks.
 *
 * @example isLoopback("localhost:4180") // true
 */
export const isLoopback = (host: string): boolean => LOOPBACK.includes(nameOf(host));

/**
 * Whether a request was meant for this server: it names loopback, the address it is bound to, or a
 * name that was configured. One that names nothing is none of ours.
 *
 * @example isKnownHost("localhost:4180", {}) // true
 */
export function isKnownHost(
  host: string | null,
  { AMBER_HOST = "", AMBER_HOSTS = "" }: Record<string, string | undefined>,
): boolean {
  if (!host) return false;
  const configured = AMBER_HOSTS.split(",").map(nameOf).filter(Boolean);
  const bound = ANY_ADDRESS.includes(AMBER_HOST) ? [] : [nameOf(AMBER_HOST)].filter(Boolean);
  return [...LOOPBACK, ...bound, ...configured].includes(nameOf(host));
}
