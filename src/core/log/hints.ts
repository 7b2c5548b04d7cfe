/** How each fact is found out, in a sentence; `*` stands for an id. */
export const logHints: Readonly<Record<string, string>> = {
  'log.upkeep.*.every': 'Of beam and motion, as Hours run counts them. Leave it blank where hours do not matter.',
  'log.upkeep.*.days': 'Whichever of hours, days and light comes first makes it due.',
  'log.upkeep.*.dose': 'Light that went through it: optical power times time. 5 W for 100 h are 1.8 MJ.',
  'log.job.beam': 'As the summary of its work order says, or by the clock.',
  'log.job.hands': 'Laying out, placing, cleaning, packing.',
  'log.job.spoilt': 'Of a hundred pieces, those that are burnt again.',
  'log.job.draws': 'By a meter in the socket: motors, diode, fan and pump together.',
  'log.job.headLife': 'Half its light is gone by then; sheets rarely say, so the range is wide.',
}
