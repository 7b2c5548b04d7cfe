/** How long a machine may take to answer, ms. */
export const PATIENCE = 3000

/** What goes wrong with a link; each tells the beam to go off. */
export type SessionFault =
  | { readonly code: 'no-report' | 'reset' | 'gone' }
  | { readonly code: 'unasked'; readonly id: number }
  | { readonly code: 'cannot-be'; readonly why: string }
  | { readonly code: 'garbled'; readonly text: string }
  | { readonly code: 'silent'; readonly words: string }

/** What happened, and what to do. */
export function sayFault(fault: SessionFault): string {
  switch (fault.code) {
    case 'no-report':
      return 'The machine has said nothing for a second while the beam may be on. It was told to stop. Look at the machine; if the beam is on, cut its supply. Then connect again.'
    case 'reset':
      return 'The machine started anew in the middle of the work. The beam was told to go off. Its settings may be others now, and where it stands is not known: connect again, read the settings, find the origin.'
    case 'gone':
      return 'The link is gone. If the beam is on, cut its supply now. Then connect again.'
    case 'unasked':
      return `The machine answered request ${fault.id}, which was not asked. The beam was told to go off. Connect again.`
    case 'cannot-be':
      return `The machine reports ${fault.why}, which cannot be. It was told to stop. If the beam is on, cut its supply. Check cable and speed of the link, then connect again.`
    case 'garbled':
      return `The machine said something that is none of its words: “${fault.text.slice(0, 60)}”. The beam was told to go off. Check cable and speed of the link, then connect again.`
    case 'silent':
      return `The machine did not answer “${fault.words.slice(0, 40)}” within ${PATIENCE / 1000} s. The beam was told to go off; look at the machine, and cut the supply if the beam is on. Then connect again.`
  }
}
