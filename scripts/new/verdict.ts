import { needed, type Options, type Tree } from './tree'

/** A verdict over a margin figure; it is judged for all that the margin is of. */
export function newVerdict(tree: Tree, id: string, options: Options): string {
  const [domain = '', name = ''] = id.split('.')
  if (name === '') throw new Error('Say domain and name, such as optics.spotSmallEnough.')
  const margin = needed(options, 'margin', 'spotMargin')
  const stage = needed(options, 'stage', 'beam')
  const file = options['in'] ?? `src/core/${domain}/verdicts.ts`
  tree.change(file, (text) => {
    const imported = new RegExp(`import \\{[^}]*\\b${margin}\\b`).test(text)
    const named = imported ? text : text.replace(/ \} from '\.\/figures'/, `, ${margin} } from './figures'`).replace(',,', ',')
    return `${named.trimEnd()}

/** TODO: where its limits come from. */
export const ${name} = verdict({
  id: '${id}',
  stage: '${stage}',
  margin: ${margin},
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, figure }) => {
    const margin = figure(${margin})
    const next = { words: 'TODO: what to do', path: 'TODO.path' }
    switch (mark) {
      case 'good':
        return { head: 'TODO: it holds', why: \`\${margin} to spare.\` }
      case 'look':
      case 'stop':
        return { head: 'TODO: it does not hold', why: \`\${margin}.\`, next }
      case 'unknown':
        return { head: 'TODO: does it hold?', why: \`Not known yet: \${margin}.\`, next }
    }
  },
})
`
  })
  return `${id} stands in ${file}. By hand: its sentences, limits, and the fact that its advice leads to.`
}
