/** Settles when the next frame has been drawn; a page that is not seen draws none and does not wait. */
export const aFrame = (): Promise<void> =>
  new Promise((done) => {
    if (document.visibilityState === 'hidden') done();
    // A timer that is set in a frame runs when the frame has been drawn.
    else requestAnimationFrame(() => setTimeout(done));
  });
