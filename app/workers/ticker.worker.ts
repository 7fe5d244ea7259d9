// A beat that browsers do not slow down while the page is hidden, as they do its own timers.
addEventListener('message', ({ data }: MessageEvent<number>) => {
  setInterval(() => {
    postMessage(null);
  }, data);
});
