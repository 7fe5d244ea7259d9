// Real Chromium from the system; the path can be overridden by CHROME_BIN.
process.env.CHROME_BIN ??= '/usr/bin/chromium';

module.exports = (config) => {
  config.set({
    frameworks: ['jasmine'],
    plugins: [require('karma-jasmine'), require('karma-chrome-launcher')],
    browsers: ['Chromium'],
    customLaunchers: {
      Chromium: {
        base: 'ChromeHeadless',
        flags: [
          '--no-sandbox',
          '--disable-gpu',
          '--disable-background-networking',
          '--disable-component-update',
          '--disable-sync',
          '--no-first-run',
        ],
      },
    },
    // A busy machine may keep the browser quiet for a while.
    browserNoActivityTimeout: 120_000,
    reporters: ['dots'],
    restartOnFileChange: false,
  });
};
