/** Loaded before the application of a browser test: the clock stands where the test says, without a new start. */
process.on("message", (clock) => {
  process.env.AMBER_CLOCK = clock;
  process.send(clock);
});
process.channel.unref();
