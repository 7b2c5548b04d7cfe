import { useEffect } from 'react'
import { createBrowserRouter, Outlet, RouterProvider, useRouteError } from 'react-router'
import { NotFound } from '../screens/notFound/NotFound'
import { startAutosave, useSettings } from '../state'
import { later } from '../ui'
import { BenchPage } from './BenchPage'
import { Crash } from './Crash'
import { DropZone } from './DropZone'
import { LeaveGuard } from './LeaveGuard'
import { keepOffline } from './offline'
import { Overlays } from './Overlays'

/** Who comes straight to a bench does not wait for the list of them. */
const Start = later(async () => (await import('../screens/start/Start')).Start)

const router = createBrowserRouter([
  {
    element: <Frame />,
    errorElement: <RouteError />,
    children: [
      { path: '/', element: <Start /> },
      { path: '/bench/:benchId/:stage?', element: <BenchPage /> },
      { path: '*', element: <NotFound /> },
    ],
  },
])

export function App() {
  const theme = useSettings((it) => it.theme)
  useEffect(() => {
    if (theme === 'system') delete document.documentElement.dataset['theme']
    else document.documentElement.dataset['theme'] = theme
  }, [theme])
  useEffect(startAutosave, [])
  useEffect(keepOffline, [])
  return <RouterProvider router={router} />
}

function Frame() {
  return (
    <>
      <Outlet />
      <DropZone />
      <Overlays />
      <LeaveGuard />
    </>
  )
}

function RouteError() {
  const error = useRouteError()
  return <Crash message={error instanceof Error ? error.message : String(error)} />
}
