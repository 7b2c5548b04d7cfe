/** Other words that people look for a part of a stage by; those of facts stand in their specs. */
export const PART_WORDS: Readonly<Record<string, string>> = {
  'motion/drive': 'torque supply voltage step rate motor',
  'motion/belts': 'tension tone pluck',
  'motion/square': 'diagonal shim level racking gantry',
  'motion/wheels': 'eccentric rolling cable length carriage controller place',
  'plan/kit': 'kit bag count parts nuts brackets frame corners',
  'plan/schedule': 'task quiet noise free time calendar deadline',
  'plan/parts': 'bom cost price buy order csv bars',
  'plan/fasteners': 'screw bolt nut bag drill tap hole washer spacer pilot block',
  'plan/bench': 'step now checklist',
  'controller/settings': 'steps per mm firmware listing parameters',
  'controller/ramp': 'power mark',
  'controller/run': 'steps per mm calibrate calibration scale size',
  'work/program': 'gcode file nc open line listing',
  'work/refit': 'router mill spindle depth plunge convert gcode',
  'power/signal': 'pwm frequency bands',
}
