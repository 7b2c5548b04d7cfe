import { createServer, lacksBuild } from './server'

const port = Number(process.env['PORT'] ?? 4173)
if (!Number.isInteger(port) || port < 1 || port > 65_535) {
  console.error(`PORT must be a whole number 1…65535, got “${process.env['PORT'] ?? ''}”.`)
  process.exit(1)
}

const lacking = lacksBuild('dist')
if (lacking !== null) {
  console.error(lacking)
  process.exit(1)
}

// Bound to this machine only: serial, microphone and camera need a secure context, and 127.0.0.1 is one.
createServer('dist')
  .listen(port, '127.0.0.1', () => console.log(`Fine Kerf stands at http://localhost:${port} (this machine only)`))
  .on('error', (error: NodeJS.ErrnoException) => {
    const taken = error.code === 'EADDRINUSE'
    console.error(taken ? `Port ${port} is taken. Choose another: PORT=${port + 1} npm start` : error.message)
    process.exit(1)
  })
