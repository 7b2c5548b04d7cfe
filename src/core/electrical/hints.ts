/** How each fact is found out, in a sentence; `*` stands for an id. Kept apart from the slice, for the first picture needs none. */
export const electricalHints: Readonly<Record<string, string>> = {
  'electrical.blocks.*.volts': 'A source: what it gives. Anything else: what its label says.',
  'electrical.blocks.*.least': 'The lowest voltage of its data sheet.',
  'electrical.blocks.*.amps': 'A source: what it can give. A load: what it takes at its voltage at the worst moment.',
  'electrical.wires.*.fuse': 'Where there is none, leave it open.',
  'electrical.timerClock': 'From the data sheet of the controller: the clock that feeds the timer of the power output.',
  'electrical.pwmFrequency':
    'What the data sheet of the driver asks for, or read with a multimeter that counts frequency at half power.',
  'electrical.fullPower':
    'The number behind the power word at which the signal is always on; read it from the controller’s settings.',
  'electrical.followsSpeed': 'Power that follows the speed keeps corners and line ends from burning darker.',
}
