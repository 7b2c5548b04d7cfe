/** Takes a row out of a list. @param what Said to those who do not see the row. */
export function TakeAway({ what, act }: { readonly what: string; readonly act: () => unknown }) {
  return (
    <button
      type="button"
      className="link no-print ml-auto min-h-8 min-w-6"
      aria-label={what}
      title="Take it away"
      onClick={() => act()}
    >
      ×
    </button>
  )
}
