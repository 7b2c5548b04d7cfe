/** Debian's Chromium as the tests, the benchmarks and the pictures start it: headless, and asking nobody anything. */
export const CHROMIUM = {
  executablePath: process.env['FINE_KERF_CHROMIUM'] ?? '/usr/bin/chromium',
  args: [
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}
