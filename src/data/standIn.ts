/** The number of the stand-in that Heron is practised on; the readings of its scale run were taken of it. */
export const HERON_STAND_IN = 16175

/** What is set in Heron's machine: what the demo bench says was read of it. */
export const HERON_SETTINGS: Readonly<Record<string, string>> = {
  'x/steps': '80.416',
  'x/speed': '200.0',
  'x/acceleration': '500.0',
  'x/travel': '430.0',
  'y/steps': '80.000',
  'y/speed': '200.0',
  'y/acceleration': '500.0',
  'y/travel': '310.0',
  'beam/full': '1000',
  'beam/frequency': '1000',
  'beam/follows': '0',
}
