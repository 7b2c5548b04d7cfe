import { HOW_READ } from './observed'

/** How each reading is taken, in a sentence. */
export const faultsHints: Readonly<Record<string, string>> = {
  ...Object.fromEntries(Object.entries(HOW_READ).map(([key, { how }]) => [`faults.read.${key}`, how])),
  'faults.slow': 'The same for every slow line of the pattern.',
  'faults.fast': 'As fast as the machine usually burns; the same for every fast line.',
}
