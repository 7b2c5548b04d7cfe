import { useEffect } from 'react'
import { Route, Router, Routes } from 'react-router'
import { NotFound } from '../screens/notFound/NotFound'
import { COURSE_PAGE, startAutosave, useSettings } from '../state'
import { Boundary, later } from '../ui'
import { BenchPage } from './BenchPage'
import { Crash } from './Crash'
import { DropZone } from './DropZone'
import { LeaveGuard } from './LeaveGuard'
import { listenToHistory, navigator, useNavigation } from './navigation'
import { keepOffline } from './offline'
import { Overlays } from './Overlays'

/** Who comes straight to a bench does not wait for the list of them. */
const Start = later(async () => (await import('../screens/start/Start')).Start)
const Course = later(async () => (await import('../screens/course/Course')).Course)

export function App() {
  const theme = useSettings((it) => it.theme)
  useEffect(() => {
    if (theme === 'system') delete document.documentElement.dataset['theme']
    else document.documentElement.dataset['theme'] = theme
  }, [theme])
  useEffect(startAutosave, [])
  useEffect(keepOffline, [])
  useEffect(listenToHistory, [])
  return (
    <Boundary fallback={(message) => <Crash message={message} />}>
      <Pages />
    </Boundary>
  )
}

function Pages() {
  const location = useNavigation((it) => it.location)
  const type = useNavigation((it) => it.type)
  return (
    <Router navigator={navigator} location={location} navigationType={type}>
      <Routes>
        <Route path="/" element={<Start />} />
        <Route path={COURSE_PAGE} element={<Course />} />
        <Route path="/bench/:benchId/:stage?/:part?" element={<BenchPage />} />
        <Route path="*" element={<NotFound />} />
      </Routes>
      <DropZone />
      <Overlays />
      <LeaveGuard />
    </Router>
  )
}
