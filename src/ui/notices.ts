/**
 * Notices go through a service worker, which every platform that has notices allows. Where there
 * is none, as on an address without encryption, nothing is offered.
 */
export const canNotice = (): boolean => "Notification" in window && "serviceWorker" in navigator;

/** Gets the device ready to show notices; what it answered. */
export async function askForNotices(): Promise<NotificationPermission> {
  const permission = await Notification.requestPermission();
  if (permission === "granted") await navigator.serviceWorker.register("/notices.js");
  return permission;
}

/** Shows one, if the device was ever asked and agreed; another of the same tag takes its place. */
export async function notice(words: string, tag: string, url: string): Promise<void> {
  if (!canNotice() || Notification.permission !== "granted") return;
  await navigator.serviceWorker.register("/notices.js");
  const worker = await navigator.serviceWorker.ready;
  await worker.showNotification(words, { tag, data: { url } });
}
