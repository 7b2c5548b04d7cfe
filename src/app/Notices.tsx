import { Toaster } from 'sonner'

/** Notices in passing, in our own face. */
export function Notices() {
  return (
    <Toaster
      position="bottom-center"
      toastOptions={{
        style: {
          fontFamily: 'var(--font-sans)',
          background: 'var(--raised)',
          color: 'var(--ink)',
          border: '1px solid var(--ink)',
          borderRadius: 2,
        },
        actionButtonStyle: { background: 'var(--teal)', color: 'var(--paper)', borderRadius: 2 },
      }}
    />
  )
}
