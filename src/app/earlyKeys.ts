const held: KeyboardEvent[] = []
let hold = true

/** Whether a key is one of those that work everywhere; `Keys` says what each does. */
function isOurs({ key, ctrlKey, metaKey, target }: KeyboardEvent): boolean {
  const isField = target instanceof HTMLElement && target.matches('input, textarea, select')
  // Within a field undo is the field's own, and letters are letters.
  if (ctrlKey || metaKey) return (isField ? 'ks.' : 'kszy.').includes(key.toLowerCase())
  return !isField && '?[]'.includes(key)
}

/**
 * Keeps the keys that are pressed while what answers them is not here.
 * @param ask Told when one is pressed, so that it comes at once.
 * @returns Ends it.
 */
export function holdEarlyKeys(ask: () => void): () => void {
  const listen = (event: KeyboardEvent): void => {
    if (!hold || !isOurs(event)) return
    event.preventDefault()
    held.push(event)
    ask()
  }
  addEventListener('keydown', listen, true)
  return () => removeEventListener('keydown', listen, true)
}

/** Gives again what was pressed too early, once. @returns Keeps what is pressed again, until it is called the next time. */
export function giveEarlyKeys(): () => void {
  hold = false
  for (const event of held.splice(0)) document.dispatchEvent(new KeyboardEvent(event.type, event))
  return () => {
    hold = true
  }
}
