// Shows the notices of Amber Lintel where a page may not; a press brings its run to the front.
self.addEventListener("notificationclick", (event) => {
  event.notification.close();
  const url = event.notification.data?.url ?? "/";
  event.waitUntil(
    self.clients.matchAll({ type: "window" }).then((windows) => {
      const [page] = windows;
      return page ? page.focus().then(() => page.navigate(url)) : self.clients.openWindow(url);
    }),
  );
});
