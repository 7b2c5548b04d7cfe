import { renderToStaticMarkup } from 'react-dom/server'
import { expect, it } from 'vitest'
import { FactField } from './FactField'
import { Phrase, Sentence } from './Sentence'

/** No bench is open here, so a field itself is empty; what is held together stands in the span. */
const markup = (of: React.ReactElement) => renderToStaticMarkup(of).replace(/<\/?p[^>]*>/g, '')

it('holds the comma or stop behind a field to it, through fragments, and leaves the words alone', () => {
  const field = <FactField path="motion.wantedSpeed" />
  expect(
    markup(
      <Sentence>
        You want {field}, or <>at most {field}.</> (As {field} says.)
      </Sentence>,
    ),
  ).toBe(
    'You want <span class="whitespace-nowrap">,</span> or at most <span class="whitespace-nowrap">.</span> (As <span class="whitespace-nowrap"></span> says.)',
  )
})

it('lets what holds no field break as it will', () => {
  const Long = () => <>many words</>
  expect(
    markup(
      <Phrase>
        It is <Long />, <b>bold</b>.
      </Phrase>,
    ),
  ).toBe('It is many words, <b>bold</b>.')
})
