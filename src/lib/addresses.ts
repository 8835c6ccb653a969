import { isLoopback } from "./hosts";

/**
 * Where this app is found from another device: the address that was configured, else the name it was asked
 * by. Null where it was asked by a name that means every device itself: a phone could not follow it.
 *
 * @param host what the request named, already found to be known here
 */
export function publicAddress(
  host: string | null,
  { AMBER_PUBLIC_URL }: { AMBER_PUBLIC_URL?: string | undefined },
): string | null {
  if (AMBER_PUBLIC_URL) return AMBER_PUBLIC_URL.replace(/\/+$/, "");
  return host && !isLoopback(host) ? `http://${host.trim().toLowerCase()}` : null;
}
