import { Link, useLocation } from 'react-router'

export function NotFound() {
  const { pathname } = useLocation()
  return (
    <main className="mx-auto max-w-[40rem] p-8">
      <h1 className="text-[22px] font-[680]">There is nothing here</h1>
      <p className="mt-2">
        No page is called <code>{pathname}</code>. The address may be mistyped, or from another version.
      </p>
      <Link to="/" className="button mt-4 inline-flex items-center">
        All benches
      </Link>
    </main>
  )
}
