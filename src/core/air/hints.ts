/** How each fact is found out, in a sentence; `*` stands for an id. Kept apart from the slice, for the first picture needs none. */
export const airHints: Readonly<Record<string, string>> = {
  'air.box.volume': 'Inside length × width × height.',
  'air.box.gaps':
    'Length of all seams × how wide they gape: 4 m of lid at 0.5 mm are 20 cm². Readings say it better, on “Measured”.',
  'air.box.inlet': 'What is open of it: of a grille the holes. 0 where the box is sealed and air comes by a duct.',
  'air.box.turns': 'How often the air must turn behind the inlet; two matt black turns let no straight line out.',
  'air.box.hoodGap': 'Between table and lower edge, all round.',
  'air.box.holeDiameter': 'With the small jaws of the calipers, or a drill that just goes in.',
  'air.box.mouthAway': 'In a straight line, where the spot is furthest from it.',
  'air.box.mixing': '1 where all air mixes at once, 3 where it sweeps through, up to 10 with dead corners.',
  'air.wanted.inward': '0.4 to 0.6 m/s at every opening is usual.',
  'air.room.appliance': 'Whatever takes its air from the room and has a flue or a flame.',
  'air.room.supply': 'A window ajar: its height × how far it stands open. A shed without any: its cracks.',
  'air.ways.*.parts.*.diameter': 'Inside, with calipers: what is sold as 100 mm measures 98 to 102.',
  'air.ways.*.parts.*.length': 'Along its middle line, as it lies.',
  'air.ways.*.parts.*.ribs': 'How high the ribs stand inside, as it lies.',
  'air.ways.*.parts.*.slack': 'A hose of 3 m that lies on 2.7 m: 10 %.',
  'air.ways.*.parts.*.free': 'Holes over the whole face.',
  'air.ways.*.parts.*.takes': 'From its sheet, with the flow that stands beside it.',
  'air.ways.*.parts.*.freeFlow':
    'The flow on its label, in whatever unit stands there: it is that into free air. With a duct on it little of that is left.',
  'air.ways.*.parts.*.shutOff':
    'Static pressure with the mouth shut, from its sheet: flat fans 30 to 60 Pa, pipe fans 150 to 400, radial blowers 300 to 1000.',
  'air.ways.*.parts.*.noise': 'From its sheet. Half the speed takes 15 dB away.',
  'air.ways.*.parts.*.points.*.flow': 'Read from the curve of its sheet, or from your readings.',
  'air.meter.outDiameter': 'Inside, where the anemometer is held; best a metre behind a bend.',
  'air.meter.off': 'From its sheet; vane anemometers 3 to 5 %.',
  'air.smoke': 'With the fan running, a smoke pencil or a smouldering string along every gap. With the beam off.',
}
