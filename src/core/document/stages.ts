/** The route: stages in the order of the work. */
export const STAGES = [
  { id: 'plan', name: 'Plan', question: 'What do I build or buy, what does it cost, what can I do today?' },
  { id: 'motion', name: 'Motion', question: 'Will it move truly?' },
  { id: 'power', name: 'Power', question: 'Will the supplies, driver and signal carry the diode, cool?' },
  { id: 'controller', name: 'Controller', question: 'Do the settings in the machine say what the bench says?' },
  { id: 'beam', name: 'Beam', question: 'Where is focus, how big is the spot, what does 40 % really give?' },
  { id: 'burns', name: 'Burns', question: 'What power and speed for this material?' },
  { id: 'work', name: 'Work', question: 'What will it look like, and how long will it take?' },
  { id: 'rotary', name: 'Rotary', question: 'How does it hold, turn, and stay in focus?' },
  { id: 'housing', name: 'Housing', question: 'What box, what panels, what window, from which sheets?' },
  { id: 'air', name: 'Air', question: 'Will the smoke leave, and where does fresh air come in?' },
  { id: 'safety', name: 'Safety', question: 'What can hurt someone, and what is still open?' },
  { id: 'log', name: 'Log', question: 'What happened, what is due, what did it cost?' },
] as const

export type StageId = (typeof STAGES)[number]['id']
export const STAGE_IDS: readonly StageId[] = STAGES.map(({ id }) => id)
