// Before the first paint: the theme that was chosen, so that a dark shed is never lit up.
try {
  const chosen = JSON.parse(localStorage.getItem('fine-kerf.settings') ?? '{}').state?.theme
  if (chosen === 'light' || chosen === 'dark') document.documentElement.dataset.theme = chosen
} catch {
  // Without storage the system's own theme holds.
}
